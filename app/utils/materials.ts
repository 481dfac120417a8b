import { introduce, isHere, isRepresentation, isWay, isWayHere, REPRESENTATIONS } from '../../core/door'

/**
 * A Bench opens with few materials; all others, and their ways, are one file, fetched when a hand first touches the page or when
 * something is wanted that is not here yet.
 */

/** Whether all materials are here. */
export const allHere = ref(false)
let fetching: Promise<void> | null = null

/** All materials and ways, fetched once; one that failed is tried again the next time. */
export function fetchAll(): Promise<void> {
  fetching ??= import('../../core/whole').then(
    ({ WHOLE }) => {
      introduce(WHOLE)
      allHere.value = true
    },
    (error: unknown) => {
      fetching = null
      throw new Error('The other materials could not be fetched. Is Sett still running?', { cause: error })
    },
  )
  return fetching
}

/** A component that needs all of them, fetched beside them. */
export const withAll =
  <C>(load: () => Promise<C>): (() => Promise<C>) =>
  () =>
    Promise.all([load(), fetchAll()]).then(([component]) => component)

/** Whether the Bench, as this browser has kept it, opens with what is not here yet. */
export function opensWithMore(): boolean {
  const [material, beside, way] = ['sett.material', 'sett.beside', 'sett.way'].map((key) => localStorage.getItem(key))
  return (
    [material, beside].some((id) => id && isRepresentation(id) && !isHere(id)) ||
    Boolean(way && isWay(way) && !isWayHere(way))
  )
}

/** A material by its title, once all of them are here; its id until then. */
export const nameOfMaterial = (id: string): string =>
  allHere.value && isRepresentation(id) && isHere(id) ? REPRESENTATIONS[id].title : id
