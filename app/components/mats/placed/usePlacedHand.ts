import { gesture, type Spot } from '../../../../core/representation/placed/gesture'
import type { PlacedMaterial, PlacedState, Zone } from '../../../../core/representation/placed/state'
import { printMove } from '../../../../core/representation/placed/text'
import { attempt } from '../../../../core/door'
import { NOTHING_OUT, track } from './pieces'

/** What lies in the hand: from which spot, which pieces (none from the store), how many. */
export interface InHand {
  readonly spot: Spot
  readonly ids: readonly number[]
  readonly count: number
}

/** The hand over a placed mat: it picks up here and lets go there, and what it means becomes a typed move. */
export function usePlacedHand(given: {
  readonly material: PlacedMaterial
  readonly state: Ref<PlacedState>
  readonly stones: Ref<number>
  readonly nameOf: (place: number, count: number) => string
  readonly where: (zone: Zone) => string
  readonly move: (text: string) => void
  readonly refuse: (why: string) => void
  readonly say: (text: string) => void
}) {
  const { material, state, stones, nameOf, where, move, refuse, say } = given
  const { t } = useI18n()
  const index = (place: number): number => place + material.decimals
  const tracked = shallowRef(NOTHING_OUT)
  const hand = ref<InHand | null>(null)
  const lifted = computed(() => new Set(hand.value?.ids ?? []))
  watch(
    state,
    (now) => {
      tracked.value = track(tracked.value, now, lifted.value, stones.value - 1)
      hand.value = null
    },
    { immediate: true },
  )

  // What was said to be in the hand is there no longer.
  watch(hand, (now) => now === null && say(''))

  function pick(spot: Spot, ids: readonly number[], count: number): void {
    hand.value = { spot, ids, count }
    say(t('mat.picked', { pieces: `${count} ${nameOf(spot.place, count)}` }))
  }
  function pickCount(spot: Spot, count: number): void {
    if (spot.zone === 'store') return pick(spot, [], count)
    const here = tracked.value.pieces.filter((p) => p.zone === spot.zone && p.place === index(spot.place))
    if (here.length === 0) return refuse(t('mat.noneThere', { pieces: nameOf(spot.place, 2), where: where(spot.zone) }))
    const n = Math.min(count, here.length)
    pick(
      spot,
      here.slice(-n).map((p) => p.id),
      n,
    )
  }
  function letGo(to: Spot): void {
    const held = hand.value
    if (!held) return
    const meant = attempt(() => gesture(material, state.value, held.spot, held.count, to))
    if ('refused' in meant) {
      refuse(meant.refused.message)
      hand.value = null
    } else if (meant.ok) {
      move(printMove(material, meant.ok))
      // Held until the mat has changed, so that it is these very pieces that go; and let go where the move was refused.
      void nextTick(() => (hand.value = null))
    } else hand.value = null
  }
  const sameSpot = (a: Spot, b: Spot): boolean => a.zone === b.zone && a.place === b.place
  const spotOf = (id: number): Spot | undefined => {
    const piece = tracked.value.pieces.find((p) => p.id === id)
    return piece && { zone: piece.zone, place: piece.place - material.decimals }
  }
  function tapPiece(id: number): void {
    const spot = spotOf(id)
    if (!spot) return
    if (hand.value && !sameSpot(hand.value.spot, spot)) return letGo(spot)
    const ids = new Set(hand.value?.ids ?? [])
    if (!ids.delete(id)) ids.add(id)
    if (ids.size === 0) hand.value = null
    else pick(spot, [...ids], ids.size)
  }
  function tapSpot(spot: Spot): void {
    if (!hand.value) return pickCount(spot, 1)
    if (sameSpot(hand.value.spot, spot)) return pickCount(spot, hand.value.count + 1)
    letGo(spot)
  }
  /** Takes one piece into the hand as it is dragged, or one of the store where there is no such piece; true for a piece. */
  function hold(id: number, storePlace: number): boolean {
    const spot = spotOf(id)
    if (!spot) hand.value = { spot: { zone: 'store', place: storePlace }, ids: [], count: 1 }
    else if (!lifted.value.has(id)) hand.value = { spot, ids: [id], count: 1 }
    return spot !== undefined
  }
  return { tracked, hand, lifted, hold, letGo, tapPiece, tapSpot, pickCount }
}
