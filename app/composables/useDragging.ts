import interact from '../utils/interact'

interface Dragging {
  /** What can be gripped, and what moves along with the finger, as selectors inside the area. */
  readonly grip: string
  readonly carried: string
  /** Takes something up; true when it is drawn anew under the finger instead of moving from where it lies. */
  start(data: DOMStringMap): boolean
  /** Lets go at a point of the area. */
  end(x: number, y: number): void
}

/**
 * Dragging inside an area with mouse, pen or finger. The way dragged goes straight to the styles of what is carried,
 * past Vue, so that a frame costs the same however much lies about.
 */
export function useDragging(area: Readonly<Ref<HTMLElement | null>>, { grip, carried, start, end }: Dragging) {
  const { access } = useAccess()
  const dragging = ref(false)
  let moving: readonly HTMLElement[] = []
  let way = { x: 0, y: 0 }
  let just = false

  function to(x: number, y: number): void {
    way = { x, y }
    for (const element of moving) element.style.translate = `${x}px ${y}px`
  }
  const inArea = (event: { clientX: number; clientY: number }): [number, number] => {
    const box = area.value!.getBoundingClientRect()
    return [event.clientX - box.left, event.clientY - box.top]
  }

  onMounted(() => {
    const gripped = interact(grip, { context: area.value! }).draggable({
      listeners: {
        start(event: { target: HTMLElement; clientX: number; clientY: number }) {
          just = true
          way = start(event.target.dataset) ? { x: inArea(event)[0], y: inArea(event)[1] } : { x: 0, y: 0 }
          dragging.value = true
          void nextTick(() => {
            moving = [...area.value!.querySelectorAll<HTMLElement>(carried)]
            to(way.x, way.y)
          })
        },
        move: (event: { dx: number; dy: number }) => to(way.x + event.dx, way.y + event.dy),
        end(event: { clientX: number; clientY: number }) {
          dragging.value = false
          for (const element of moving) element.style.translate = ''
          moving = []
          end(...inArea(event))
          // The click that ends a drag is not a tap.
          setTimeout(() => (just = false))
        },
      },
    })
    // A hand that shakes rests on a piece for a while before it moves along.
    watch(
      () => access.value.hold,
      (ms) => gripped.draggable({ hold: ms }),
      { immediate: true },
    )
    onBeforeUnmount(() => gripped.unset())
  })
  return { dragging, justDragged: (): boolean => just }
}

/** What lies under a point of an area, the uppermost first, as the data that its elements carry. */
export function underPoint(area: HTMLElement, x: number, y: number): readonly DOMStringMap[] {
  const box = area.getBoundingClientRect()
  return document
    .elementsFromPoint(box.left + x, box.top + y)
    .map((e) => (e instanceof HTMLElement || e instanceof SVGElement ? e.dataset : {}))
}
