import interact from '../../../utils/interact'

/** What a finger on something has hold of: what moves along with it, how far it can go, and which way counts as going. */
export interface Grip<T> {
  readonly what: T
  readonly elements: readonly HTMLElement[]
  readonly travel: number
  /** Along which axis it goes, and in which direction. */
  readonly axis: 'x' | 'y'
  readonly way: 1 | -1
}

/**
 * Pushing along a line with mouse, pen or several fingers: what is gripped follows the finger as far as it can go, and past
 * a third of its way it is pushed. What two fingers push at once is told together.
 */
export function usePushing<T>(
  area: Readonly<Ref<HTMLElement | null>>,
  selector: string,
  { grip, pushed }: { grip(target: HTMLElement): Grip<T> | null; pushed(all: readonly T[]): void },
) {
  const held = new Map<HTMLElement, { grip: Grip<T>; by: number }>()
  let waiting: T[] = []
  let just = false

  const place = ({ grip: { elements, axis }, by }: { grip: Grip<T>; by: number }): void => {
    for (const element of elements) element.style.translate = axis === 'x' ? `${by}px 0` : `0 ${by}px`
  }
  function letGo(target: HTMLElement): void {
    const hold = held.get(target)
    held.delete(target)
    if (!hold) return
    for (const element of hold.grip.elements) element.style.translate = ''
    if (Math.abs(hold.by) > hold.grip.travel / 3) waiting.push(hold.grip.what)
    if (held.size > 0 || waiting.length === 0) return
    const all = waiting
    waiting = []
    pushed(all)
  }

  onMounted(() => {
    const gripped = interact(selector, { context: area.value! }).draggable({
      max: Infinity,
      maxPerElement: 1,
      listeners: {
        start({ target }: { target: HTMLElement }) {
          just = true
          const taken = grip(target)
          if (taken) held.set(target, { grip: taken, by: 0 })
        },
        move({ target, dx, dy }: { target: HTMLElement; dx: number; dy: number }) {
          const hold = held.get(target)
          if (!hold) return
          const { axis, way, travel } = hold.grip
          const along = (hold.by + (axis === 'x' ? dx : dy)) * way
          hold.by = way * Math.max(0, Math.min(travel, along))
          place(hold)
        },
        end({ target }: { target: HTMLElement }) {
          letGo(target)
          // The click that ends a push is not a tap.
          setTimeout(() => (just = false))
        },
      },
    })
    onBeforeUnmount(() => gripped.unset())
  })
  return { justPushed: (): boolean => just }
}
