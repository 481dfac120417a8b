import { placeName } from '../../../../core/door'
import { digitsOn, type AbacusState } from '../../../../core/representation/abacus/frame'
import type { FrameLayout } from '../../../../core/representation/abacus/layout'

export const NUMBERS = ['nought', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']

/** What a narrow rod is called under it; its whole name is told. */
const SHORT = new Map([
  [-3, 'thths'],
  [-2, 'hdths'],
  [2, 'hund.'],
  [3, 'th.'],
  [4, '10 th.'],
  [5, '100 th.'],
  [6, 'mill.'],
  [7, '10 mill.'],
  [8, '100 mill.'],
  [9, 'bill.'],
  [10, '10 bill.'],
  [11, '100 bill.'],
  [12, 'trill.'],
])

/** What rods are called, under them and aloud, and what they show; rods are numbered from the lowest. */
export function useRodNames(given: { state: () => AbacusState; layout: () => FrameLayout; ones: () => string }) {
  const { state, layout, ones } = given
  const shown = computed(() => digitsOn(state()))
  const rods = computed(() =>
    state()
      .rods.map((_, i) => i)
      .reverse(),
  )
  const placeOf = (rod: number): number => rod - state().decimals
  const nameOf = (place: number, n = 2): string => (place === 0 && n !== 1 ? ones() : placeName(place, n))
  function underRod(rod: number): string {
    const place = placeOf(rod)
    // About seven pixels a letter, and a gap.
    const tight = !layout().across && nameOf(place).length * 7.6 > layout().rod
    return (tight && SHORT.get(place)) || nameOf(place)
  }
  const reading = (rod: number): string => `${nameOf(placeOf(rod))}: ${NUMBERS[shown.value[rod]!] ?? shown.value[rod]}`
  const described = computed(
    () =>
      rods.value
        .filter((r) => shown.value[r]! > 0)
        .map(reading)
        .join(', ') || 'every rod is clear',
  )
  return { shown, rods, placeOf, nameOf, underRod, reading, described }
}
