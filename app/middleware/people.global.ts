import type { Role } from '../../shared/roles'

declare module '#app' {
  interface PageMeta {
    /** The least role that a page is for; pages without one are for everybody who is signed in. */
    role?: Role
  }
}

/** Pages are opened by those they are for. The server checks everything again: this only spares people a page of refusals. */
export default defineNuxtRouteMiddleware(async (to) => {
  const session = useSession()
  if (!session.loaded) await session.load().catch(() => undefined)
  const { asked, person } = session.session
  if (asked && person === null && to.path !== '/sign-in')
    return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
  if (to.path === '/sign-in' && (!asked || person !== null)) return navigateTo('/bench')
  if (to.meta.role && !session.may(to.meta.role)) return navigateTo('/bench')
})
