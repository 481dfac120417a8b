import type { BeadMove } from '../../../../core/door'
import type { AbacusState } from '../../../../core/representation/abacus/frame'

/**
 * A frame by keyboard alone: each rod is one stop. Upright rods go left and right, and up and down move a lower bead, with Shift
 * the upper one; rods that lie across go up and down, Enter counts a bead and Backspace takes it away. A digit sets so many.
 */
export function useRodKeys(given: {
  readonly state: () => AbacusState
  readonly movable: () => boolean
  readonly across: () => boolean
  readonly focus: (rod: number) => void
  readonly make: (rod: number, bead: 'upper' | 'lower', count: number, to: BeadMove['to']) => void
  readonly tooFew: (rod: number, free: number) => void
}) {
  const { state, movable, across, focus, make, tooFew } = given
  /** The rod that Tab comes to: the one last stood on, the unit rod at first. */
  const stood = ref<number | null>(null)
  const stop = computed(() => Math.min(stood.value ?? state().decimals, state().rods.length - 1))

  function walk(rod: number, step: number): void {
    const to = rod + step
    if (to < 0 || to >= state().rods.length) return
    stood.value = to
    void nextTick(() => focus(to))
  }

  /** What a key does on a rod; undefined where it is not one of these keys. */
  function meant(event: KeyboardEvent, rod: number): (() => void) | undefined {
    const { key, shiftKey } = event
    const steps: Partial<Record<string, number>> = across()
      ? { ArrowLeft: 1, ArrowRight: -1, ArrowUp: 1, ArrowDown: -1 }
      : { ArrowLeft: 1, ArrowRight: -1 }
    const step = steps[key]
    if (step !== undefined) return () => walk(rod, step)
    if (!movable()) return undefined
    if (/^[1-9]$/.test(key)) {
      const free = state().beads.lower - state().rods[rod]!.lower
      return () => (Number(key) > free ? tooFew(rod, free) : make(rod, 'lower', Number(key), 'bar'))
    }
    if (across()) {
      if (key === 'Enter') return () => make(rod, 'lower', 1, 'bar')
      return key === 'Backspace' ? () => make(rod, 'lower', 1, 'away') : undefined
    }
    if (key !== 'ArrowUp' && key !== 'ArrowDown') return undefined
    // Lower beads come up to the bar, upper ones come down to it.
    const upper = shiftKey && state().beads.upper > 0
    return () => make(rod, upper ? 'upper' : 'lower', 1, (key === 'ArrowUp') !== upper ? 'bar' : 'away')
  }

  function onKey(event: KeyboardEvent, rod: number): void {
    const act = meant(event, rod)
    if (!act) return
    event.preventDefault()
    act()
  }
  return { stop, stand: (rod: number): void => void (stood.value = rod), onKey }
}
