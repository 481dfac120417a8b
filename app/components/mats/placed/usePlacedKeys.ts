import type { Ref } from 'vue'
import { placeName } from '../../../../core/door'
import type { Spot } from '../../../../core/representation/placed/gesture'

interface Given {
  readonly root: Ref<HTMLElement | null>
  /** The spots row by row; each row has one for every column. */
  readonly grid: Ref<readonly (readonly Spot[])[]>
  /** Where the pieces in hand came from, or null where nothing is in hand. */
  readonly held: () => Spot | null
  readonly tapSpot: (spot: Spot) => void
  readonly pickCount: (spot: Spot, count: number) => void
  readonly putBack: () => void
  readonly move: (text: string) => void
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
}

/** A mat of columns by keyboard: arrows walk between the spots, digits pick up so many, B breaks and T ties. */
export function usePlacedKeys({ root, grid, held, tapSpot, pickCount, putBack, move }: Given) {
  const focus = ref({ row: 1, column: 0 })
  const width = computed(() => grid.value[0]?.length ?? 0)
  watch(width, (now) => (focus.value = { row: 1, column: Math.min(focus.value.column, now - 1) }))
  const isStop = (row: number, column: number): boolean =>
    Math.min(focus.value.row, grid.value.length - 1) === row && focus.value.column === column

  function walk(row: number, column: number, [down, right]: readonly [number, number]): void {
    const to = {
      row: Math.max(0, Math.min(grid.value.length - 1, row + down)),
      column: Math.max(0, Math.min(width.value - 1, column + right)),
    }
    focus.value = to
    root.value?.querySelector<HTMLElement>(`[data-spot="${to.row}-${to.column}"]`)?.focus()
  }
  function key(event: KeyboardEvent, spot: Spot, row: number, column: number): void {
    const step = STEPS[event.key]
    if (step) walk(row, column, step)
    else if (event.key === 'Enter' || event.key === ' ') tapSpot(spot)
    else if (/^\d$/.test(event.key)) pickCount(held() ?? spot, event.key === '0' ? 10 : Number(event.key))
    else if (event.key === 'Escape' && held()) putBack()
    else if (event.key === 'b' && spot.zone === 'mat') move(`break ${placeName(spot.place, 1)}`)
    else if (event.key === 't' && spot.zone === 'mat') move(`tie ${placeName(spot.place, 1)}`)
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return { focus, isStop, key }
}
