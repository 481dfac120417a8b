import type { BeadMove } from '../../../../core/door'
import { push, type AbacusState } from '../../../../core/representation/abacus/frame'
import type { BeadSpot, FrameLayout } from '../../../../core/representation/abacus/layout'
import { usePushing } from './usePushing'

/**
 * A frame by mouse and finger: a bead is tapped or drawn along and takes with it what lies between; two fingers on one rod, or
 * the pinch held down, pinch. Where it is worked by touch, a bead stays put until it is pushed a second time.
 */
export function useBeadPushes(given: {
  readonly room: Ref<HTMLElement | null>
  readonly state: () => AbacusState
  readonly spots: () => readonly BeadSpot[]
  readonly layout: () => FrameLayout
  readonly movable: () => boolean
  readonly staysPut: () => boolean
  readonly make: (move: BeadMove) => void
  readonly feel: (spot: BeadSpot) => void
}) {
  const { room, state, spots, layout, movable, staysPut, make, feel } = given
  const pinching = ref(false)
  /** The bead that was pushed once and would move now. */
  const armed = ref('')
  const nameOf = ({ rod, bead, nth }: BeadSpot): string => `${rod} ${bead} ${nth}`
  const spotOf = (element: HTMLElement): BeadSpot | undefined => spots()[Number(element.dataset.spot)]
  watch(state, () => (armed.value = ''))

  /** What a push on a bead would do. Where the upper and the lower beads go the same way, a pinch takes the upper one along. */
  function pushOf(spot: BeadSpot, pinch: boolean): BeadMove {
    const move = push(state(), spot.rod - state().decimals, spot.bead, spot.nth)
    const { upper } = state().rods[spot.rod]!
    const along = move.to === 'bar' ? upper < state().beads.upper : upper > 0
    return pinch && spot.bead === 'lower' && along ? { ...move, bead: 'pinch' } : move
  }

  const { justPushed } = usePushing<BeadMove>(room, '.bead', {
    grip(target) {
      const spot = spotOf(target)
      if (!spot || !movable()) return null
      // A finger that feels its way over the frame moves nothing: only a bead that was pushed once is taken hold of.
      if (staysPut() && armed.value !== nameOf(spot)) return null
      const goes = (other: BeadSpot): boolean =>
        other.rod === spot.rod &&
        other.bead === spot.bead &&
        other.atBar === spot.atBar &&
        (spot.atBar ? other.nth >= spot.nth : other.nth <= spot.nth)
      const all = [...(room.value?.querySelectorAll<HTMLElement>('.bead') ?? [])]
      const out = spot.bead === 'upper' ? -1 : 1
      return {
        what: pushOf(spot, pinching.value),
        elements: all.filter((e) => goes(spotOf(e)!)),
        travel: layout().travel,
        axis: layout().across ? 'x' : 'y',
        way: (spot.atBar ? out : -out) as 1 | -1,
      }
    },
    pushed: (all) => together(all).forEach(make),
  })

  function tap(event: MouseEvent, spot: BeadSpot): void {
    if (justPushed() || !movable()) return
    if (staysPut() && armed.value !== nameOf(spot)) {
      armed.value = nameOf(spot)
      feel(spot)
    } else make(pushOf(spot, pinching.value || event.shiftKey))
  }
  return { pinching, tap, isArmed: (spot: BeadSpot): boolean => armed.value === nameOf(spot) }
}

/** An upper and a lower push on one rod, both to the bar or both away, are one pinch. */
function together(moves: readonly BeadMove[]): readonly BeadMove[] {
  const [a, b] = moves
  if (moves.length !== 2 || !a || !b || a.rod !== b.rod || a.to !== b.to || a.bead === b.bead) return moves
  const lower = [a, b].find((m) => m.bead === 'lower')
  return lower && [a, b].some((m) => m.bead === 'upper' && m.count === 1) ? [{ ...lower, bead: 'pinch' }] : moves
}
