/**
 * Dragging within a drawing: what is gripped says by `data-from` where it comes from, and where it is let go is told in the drawing's
 * own units. A tap that ends a drag is no tap.
 */
export function useDrawingDrag<From extends string>(
  movable: () => boolean,
  dropped: (from: From, point: { readonly x: number; readonly y: number }) => void,
) {
  const root = ref<HTMLElement | null>(null)
  const svg = ref<SVGSVGElement | null>(null)
  let from: From | undefined
  const { dragging, justDragged } = useDragging(root, {
    grip: '.grip',
    carried: '.ghost',
    start(data) {
      from = data.from as From
      return true
    },
    end(x, y) {
      if (!movable() || !svg.value || !root.value || from === undefined) return
      const { left, top } = root.value.getBoundingClientRect()
      dropped(from, new DOMPoint(left + x, top + y).matrixTransform(svg.value.getScreenCTM()!.inverse()))
    },
  })
  const tap = (act: () => void): void => {
    if (movable() && !justDragged()) act()
  }
  return { root, svg, dragging, tap }
}
