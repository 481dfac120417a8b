/**
 * Gives the focus back to what had it when a dialog opened, so that it is never lost to the page; where that is gone, to the
 * mat or the main part.
 */
export function useReturnFocus(): void {
  const before = document.activeElement as HTMLElement | null
  onBeforeUnmount(() => {
    // What closed the dialog may have moved the focus somewhere useful already.
    requestAnimationFrame(() => {
      if (document.activeElement && document.activeElement !== document.body) return
      const home = before?.isConnected && before !== document.body ? before : focusHome()
      home?.focus()
    })
  })
}

/** Where the focus rests when it has no other place. */
export const focusHome = (): HTMLElement | null => document.getElementById('mat') ?? document.getElementById('main')
