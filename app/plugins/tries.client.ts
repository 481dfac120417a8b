/** Tries that were noted and had not reached the server when the browser was closed go on their way again, on whatever page it is opened. */
export default defineNuxtPlugin({
  name: 'tries',
  setup() {
    // The name is that of TRIES_WAIT; what sends them is fetched only when there is something to send.
    if (localStorage.getItem('sett.tries-wait') !== 'yes') return
    onNuxtReady(() => void import('../composables/useTrialQueue').then((queue) => queue.useTrialQueue()))
  },
})
