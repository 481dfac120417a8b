/** Keeps what Sett needs to open without its server, once the page is at rest; the Bench comes first. */
export default defineNuxtPlugin({
  name: 'offline',
  setup() {
    // Browsers have no service workers where a page does not come from this machine or over TLS.
    if (import.meta.dev || !('serviceWorker' in navigator)) return
    const WAIT_MS = 4000
    onNuxtReady(() =>
      setTimeout(() => void navigator.serviceWorker.register('/offline.js').catch(() => undefined), WAIT_MS),
    )
  },
})
