import type { H3Event } from 'h3'
import type { Role } from '../../shared/roles'
import { asker } from './person'
import { refuse } from './problem'
import type { Store } from './store'

/** Learners' names and groups: who may have which, and who may change that. */

/** Refuses (409) a code name that another learner has. */
export function mustBeFreeName(store: Store, learner: { readonly id: string; readonly codeName: string }): void {
  const namesake = store.learnerNamed(learner.codeName)
  if (namesake && namesake.id !== learner.id)
    refuse(409, `There is a learner called ${namesake.codeName} already.`, [
      { pointer: '/codeName', detail: 'Choose another code name.' },
    ])
}

/** The groups that a person is given: a keeper has all learners, and a helper only those of the groups or learners named. */
export const groupsFor = (role: Role, groups: readonly string[] | null): readonly string[] | null =>
  role === 'keeper' ? null : role === 'helper' ? (groups ?? []) : groups

/** Groups that give somebody the learners in them. A group that nobody has been given is only a name for some learners. */
const teams = (store: Store): ReadonlySet<string> => new Set(store.people().flatMap((p) => p.groups ?? []))

/**
 * Who reaches a learner is not for everybody to change: somebody who has only some groups may put learners into these and take them out
 * again, as long as they keep them, and leaves the groups of others as they are.
 */
export function mustKeepTeams(event: H3Event, store: Store, before: readonly string[], after: readonly string[]): void {
  const { groups } = asker(event)
  if (groups === null) return
  const others = [...teams(store)].filter((team) => !groups.includes(team))
  const changed = others.find((team) => before.includes(team) !== after.includes(team))
  if (changed !== undefined)
    refuse(403, `The group ${changed} is not one of yours. A keeper can change who is in it.`, [
      { pointer: '/groups', detail: 'Leave the groups of others as they are.' },
    ])
  if (before.some((g) => groups.includes(g)) && !after.some((g) => groups.includes(g)))
    refuse(403, 'Then you would not see this learner any more. A keeper can move them to another group.', [
      { pointer: '/groups', detail: 'Keep one of your own groups.' },
    ])
}

/** The groups that a learner starts in: of somebody who has only some, the first of these. */
export function firstGroups(event: H3Event): readonly string[] {
  const { groups } = asker(event)
  if (groups === null) return []
  const [first] = groups
  return first === undefined
    ? refuse(403, 'You have no group to add a learner to. A keeper can give you one.')
    : [first]
}
