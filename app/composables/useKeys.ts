type Handler = (event: KeyboardEvent) => void

const inText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))

const inOverlay = (): boolean => document.querySelector('[role="dialog"], .p-menu-overlay, .p-select-overlay') !== null

/**
 * Keys of the whole screen, by name (`z`, `Z` with Shift, `ArrowRight`, ` `). They rest while one types or a dialog is
 * open, and wherever something nearer has already used the key.
 */
export function useKeys(keys: Record<string, Handler>): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || inText(event.target) || inOverlay())
      return
    const handler = keys[event.key]
    if (!handler) return
    // Space and Enter belong to the button that has the focus.
    if ((event.key === ' ' || event.key === 'Enter') && event.target instanceof HTMLButtonElement) return
    event.preventDefault()
    handler(event)
  })
}
