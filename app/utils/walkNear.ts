const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Moves the focus to the nearest of `others` in the arrow's direction; false where the key is no arrow. */
export function walkNear(event: KeyboardEvent, others: readonly HTMLElement[]): boolean {
  const step = STEPS[event.key]
  if (!step) return false
  const [dx, dy] = step
  const here = (event.target as HTMLElement).getBoundingClientRect()
  const middle = (r: DOMRect): { x: number; y: number } => ({ x: r.x + r.width / 2, y: r.y + r.height / 2 })
  const from = middle(here)
  const [nearest] = others
    .map((el) => ({ el, at: middle(el.getBoundingClientRect()) }))
    .map(({ el, at }) => ({
      el,
      along: (at.x - from.x) * dx + (at.y - from.y) * dy,
      off: dx ? at.y - from.y : at.x - from.x,
    }))
    .filter(({ along, off }) => along > 4 && (dy !== 0 || Math.abs(off) < here.height / 2))
    .sort((a, b) => a.along + 2 * Math.abs(a.off) - (b.along + 2 * Math.abs(b.off)))
  nearest?.el.focus()
  return true
}
