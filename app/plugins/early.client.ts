import { FIRST, introduce } from '../../core/door'
import { beginRoom } from '../utils/firstRoom'
import { fetchAll, opensWithMore } from '../utils/materials'

/**
 * What the Bench needs first is asked for at once and side by side: its page, the frame around it and the mat, while the room is
 * fetched. Each would otherwise wait for the one before it to be drawn. All other materials come when a hand first touches the page.
 */
export default defineNuxtPlugin({
  name: 'early',
  enforce: 'pre',
  setup() {
    beginRoom()
    introduce(FIRST)
    if (location.pathname !== '/bench') return
    const later = (): void => void fetchAll().catch(() => undefined)
    if (opensWithMore()) later()
    else
      for (const touched of ['pointermove', 'pointerdown', 'keydown', 'focusin'])
        addEventListener(touched, later, { once: true, passive: true })
    void import('../layouts/default.vue')
    void import('../pages/bench/index.vue')
    void import('../components/bench/MatOf.vue')
  },
})
