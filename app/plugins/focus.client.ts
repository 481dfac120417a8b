import { focusHome } from '../composables/useReturnFocus'

const CAN =
  'button:not(:disabled), a[href], input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]'

/**
 * Keeps the focus from being lost to the page. Where what had it goes away or cannot be used any more (a button that has done its
 * work, a square that is written), it goes to what is nearest: the next control of the same group, else the mat. Escape leaves a box.
 */
export default defineNuxtPlugin({
  name: 'focus',
  setup() {
    let last: HTMLElement | null = null
    /** What the focused element stood in, from the inside out. */
    let around: readonly HTMLElement[] = []

    document.addEventListener('focusin', (event) => {
      last = event.target as HTMLElement
      const chain: HTMLElement[] = []
      for (let e = last.parentElement; e && e !== document.body; e = e.parentElement) chain.push(e)
      around = chain
    })
    // A button that was just disabled keeps the focus until the next frame, and then nobody has it.
    const isGone = (): boolean => last !== null && (!last.isConnected || last.matches(':disabled'))
    const isLost = (): boolean =>
      isGone() && [document.body, last, null].includes(document.activeElement as HTMLElement | null)
    /** A control in the smallest group that is still there; not in all of the page, where the first would be far away. */
    function nearest(): HTMLElement | null {
      for (const group of around) {
        if (!group.isConnected) continue
        if (group.matches('main, .bench, .p-dialog-mask, #mat')) return null
        const found = [...group.querySelectorAll<HTMLElement>(CAN)].find((e) => e.tabIndex >= 0 && e.checkVisibility())
        if (found) return found
      }
      return null
    }
    let asked = false
    new MutationObserver(() => {
      if (asked || !isGone()) return
      asked = true
      // After everything of this change is drawn, and after whatever moves the focus by itself.
      requestAnimationFrame(() => {
        asked = false
        if (isLost()) (nearest() ?? focusHome())?.focus()
      })
    }).observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] })

    document.addEventListener('keydown', (event) => {
      const box = event.target as HTMLElement
      if (event.key !== 'Escape' || event.defaultPrevented || !box.matches('input, textarea, select')) return
      if (box.closest('[role="dialog"]') || document.querySelector('.p-select-overlay')) return
      focusHome()?.focus()
    })
  },
})
