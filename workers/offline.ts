/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { registerRoute, setCatchHandler } from 'workbox-routing'
import { NetworkFirst, NetworkOnly } from 'workbox-strategies'

/**
 * What lets Sett open without its server: the app's own files as they were built, the page around them, and what the server last said of
 * the room. While the server answers, it is always asked; nothing that a learner did is kept here (what was noted waits in IndexedDB).
 */
declare const self: ServiceWorkerGlobalScope

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()

const ROOM = 'sett-room'
const SHELL = 'sett-shell'
/** A room that was not asked for in so long is forgotten. */
const KEPT_SECONDS = 14 * 24 * 3600
/** A server that says nothing for so long is taken as away. */
const PATIENCE_SECONDS = 10

// Every address is the same page here; which one it shows is found in the browser.
registerRoute(
  ({ request }) => request.mode === 'navigate',
  new NetworkFirst({
    cacheName: SHELL,
    networkTimeoutSeconds: PATIENCE_SECONDS,
    plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
  }),
)

/** Whose room it is, its words, learners, steps and rules: what noting and the Bench cannot open without. */
const ROOM_SAYS = ['/api/session', '/api/classroom', '/api/courses', '/api/rules', '/api/scenes']
registerRoute(
  ({ url }) => url.origin === self.location.origin && ROOM_SAYS.includes(url.pathname),
  new NetworkFirst({
    cacheName: ROOM,
    networkTimeoutSeconds: PATIENCE_SECONDS,
    plugins: [
      new ExpirationPlugin({ maxAgeSeconds: KEPT_SECONDS }),
      {
        // Somebody whose session has ended has no room here any more.
        fetchDidSucceed: async ({ response }) => {
          if (response.status === 401 || response.status === 403) await caches.delete(ROOM)
          return response
        },
      },
    ],
  }),
)

/** After signing in or out, and after a learner was erased, nothing that was said before may be shown. */
const forgetting = new NetworkOnly({
  plugins: [
    {
      fetchDidSucceed: async ({ response }) => {
        await caches.delete(ROOM)
        return response
      },
    },
  ],
})
const FORGETS: readonly (readonly ['POST' | 'DELETE', RegExp])[] = [
  ['POST', /^\/api\/(?:session|people)(?:\/|$)/],
  ['DELETE', /^\/api\/(?:session|people|learners)(?:\/|$)/],
]
for (const [method, path] of FORGETS) registerRoute(({ url }) => path.test(url.pathname), forgetting, method)

// A page of a newer Sett asks for files that this one does not list, but may have been given already.
setCatchHandler(async ({ request }) => (await caches.match(request)) ?? Response.error())
