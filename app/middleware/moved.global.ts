/** Old addresses lead to the new ones, with whatever was asked of them. */
export default defineNuxtRouteMiddleware(({ path, query, hash }) => {
  const now = movedTo(path)
  if (now) return navigateTo({ path: now, query, hash }, { replace: true })
})
