/** An answer of the API has no page in it, so that nothing has to be found out of what a page may load and run. */
const NO_PAGE = { rules: { enabled: false } }

export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    if (event.path.startsWith('/api/')) event.context.security = NO_PAGE
  })
})
