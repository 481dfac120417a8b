const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Moves the focus from one square to the nearest in the arrow's direction; false where the key is no arrow. */
export function walkSquares(event: KeyboardEvent): boolean {
  const step = STEPS[event.key]
  if (!step) return false
  const [dx, dy] = step
  const from = event.currentTarget as HTMLElement
  const here = from.getBoundingClientRect()
  const squares = [...from.closest('.sheet')!.querySelectorAll<HTMLElement>('button.square')]
  const far = (r: DOMRect): number => Math.abs(r.x - here.x) + Math.abs(r.y - here.y)
  const [nearest] = squares
    .map((el) => ({ el, r: el.getBoundingClientRect() }))
    .filter(({ r }) =>
      dx
        ? (r.x - here.x) * dx > 4 && Math.abs(r.y - here.y) < 20
        : (r.y - here.y) * dy > 4 && Math.abs(r.x - here.x) < 20,
    )
    .sort((a, b) => far(a.r) - far(b.r))
  nearest?.el.focus()
  return true
}
