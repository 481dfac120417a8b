/** Who a person is to Sett, each role with all that the ones before it may. */
export const ROLES = ['looker-on', 'helper', 'teacher', 'keeper'] as const
export type Role = (typeof ROLES)[number]

/** Whether a role may what another needs. */
export const reaches = (role: Role, needs: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(needs)
