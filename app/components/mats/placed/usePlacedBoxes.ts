import type { Spot } from '../../../../core/representation/placed/gesture'
import type { PlacedState, Zone } from '../../../../core/representation/placed/state'
import { columnShare, unitFor, type Box } from './matLayout'

export const SHELF = 62
const HEAD = 30

/** What of a box is for pieces: below the column's name. */
export const inside = (box: Box, zone: Zone): Box => {
  const head = zone === 'mat' ? HEAD : 22
  return { x: box.x, y: box.y + head, w: box.w, h: Math.max(0, box.h - head) }
}

/** Where the columns of a placed mat lie: a shelf of the store on top, the mat, then what lies beside, then the tray. */
export function usePlacedBoxes(given: {
  readonly width: Ref<number>
  readonly height: Ref<number>
  /** The places from the greatest down. */
  readonly columns: Ref<readonly number[]>
  readonly adding: Ref<boolean>
  readonly taking: Ref<boolean>
  readonly state: Ref<PlacedState>
  /** The index of a place in the state, and the form of its pieces: chips are all ones in form. */
  readonly index: (place: number) => number
  readonly form: (place: number) => number
}) {
  const { width, height, columns, adding, taking, state, index, form } = given
  const boxes = computed(() => {
    const shares = columns.value.map((p) => columnShare(form(p)))
    const total = shares.reduce((a, b) => a + b, 0)
    const below = height.value - SHELF
    const tray = taking.value ? below * 0.3 : 0
    const beside = adding.value ? (below - tray) * 0.4 : 0
    const rows: Record<Zone, { y: number; h: number }> = {
      store: { y: 0, h: SHELF },
      mat: { y: SHELF, h: below - tray - beside },
      beside: { y: SHELF + below - tray - beside, h: beside },
      taken: { y: height.value - tray, h: tray },
    }
    let x = 0
    return columns.value.map((place, i) => {
      const w = (width.value * shares[i]!) / total
      const at = (zone: Zone): Box => ({ x, y: rows[zone].y, w, h: rows[zone].h })
      const made = { place, store: at('store'), mat: at('mat'), beside: at('beside'), taken: at('taken') }
      x += w
      return made
    })
  })
  const boxOf = (spot: Spot): Box => (boxes.value.find((b) => b.place === spot.place) ?? boxes.value[0]!)[spot.zone]
  const zones = computed<readonly Exclude<Zone, 'store'>[]>(() => [
    'mat',
    ...(adding.value ? (['beside'] as const) : []),
    ...(taking.value ? (['taken'] as const) : []),
  ])
  /** One size of a one for each zone, so that pieces can be compared within it. */
  const units = computed(() => {
    const out: Record<string, number> = {}
    for (const zone of zones.value)
      out[zone] = unitFor(
        columns.value.map((place) => ({
          place: form(place),
          box: inside(boxOf({ zone, place }), zone),
          most: Math.max(state.value[zone][index(place)]!, zone === 'mat' ? 15 : 9),
        })),
      )
    return out
  })
  const spotAt = (x: number, y: number): Spot | undefined => {
    for (const column of boxes.value)
      for (const zone of ['store', ...zones.value] as const) {
        const b = column[zone]
        if (x >= b.x && x < b.x + b.w && y >= b.y && y < b.y + b.h) return { zone, place: column.place }
      }
    return undefined
  }
  return { boxOf, zones, units, spotAt }
}
