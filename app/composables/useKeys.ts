type Handler = (event: KeyboardEvent) => void

const inText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    // A list of PrimeVue's is searched by the letters that are typed.
    target.role === 'combobox')

const inOverlay = (): boolean => document.querySelector('[role="dialog"], .p-menu-overlay, .p-select-overlay') !== null

/**
 * Keys of the whole screen, by name (`z`, `Z` with Shift, `ArrowRight`, ` `). They rest while one types or a dialog is
 * open, and wherever something nearer has already used the key.
 */
export function useKeys(keys: Record<string, Handler>): void {
  const { access } = useAccess()
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || inText(event.target) || inOverlay())
      return
    // Who hits keys by chance can have those of one letter put off.
    if (!access.value.keys && event.key.length === 1 && event.key !== ' ') return
    const handler = keys[event.key]
    if (!handler) return
    // Space and Enter belong to the button that has the focus.
    if ((event.key === ' ' || event.key === 'Enter') && event.target instanceof HTMLButtonElement) return
    event.preventDefault()
    handler(event)
  })
}
