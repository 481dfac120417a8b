import { beginRoom } from '../utils/firstRoom'

/**
 * What the Bench needs first is asked for at once and side by side: its page, the frame around it and the mat, while the room is
 * fetched. Each would otherwise wait for the one before it to be drawn.
 */
export default defineNuxtPlugin({
  name: 'early',
  enforce: 'pre',
  setup() {
    beginRoom()
    if (!['/', '/bench'].includes(location.pathname)) return
    void import('../layouts/default.vue')
    void import('../pages/bench.vue')
    void import('../components/bench/MatOf.vue')
  },
})
