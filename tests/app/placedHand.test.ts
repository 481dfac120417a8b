import { nextTick, ref } from 'vue'
import './nuxt'
import { usePlacedHand } from '../../app/components/mats/placed/usePlacedHand'
import { DEFAULT_CHOICES } from '../../core/choices'
import { placeName } from '../../core/number/places'
import { parseProblem } from '../../core/problem/parse'
import { BLOCKS, blocks } from '../../core/representation/blocks/blocks'
import type { PlacedState } from '../../core/representation/placed/state'
import { applyAll } from '../../core/representation/representation'

/** A hand over blocks: what it moved, what was refused, what was said. */
function over(...laid: string[]) {
  const empty = blocks.start(parseProblem('52 - 37'), DEFAULT_CHOICES) as PlacedState
  const state = ref(applyAll(blocks, empty, laid.map(blocks.parse)) as PlacedState)
  const stones = ref(1)
  const [moves, refused, said]: [string[], string[], string[]] = [[], [], []]
  const hand = usePlacedHand({
    material: BLOCKS,
    state: state as never,
    stones,
    nameOf: (place, count) => placeName(place, count),
    where: (zone) => `in the ${zone}`,
    move: (text) => {
      moves.push(text)
      state.value = blocks.apply(state.value, blocks.parse(text)) as PlacedState
    },
    refuse: (why) => refused.push(why),
    say: (text) => said.push(text),
  })
  return { ...hand, state, moves, refused, said, shows: () => blocks.shows(state.value) }
}

test('a tap takes one, another tap on the same spot one more, and letting go moves them together', async () => {
  const h = over('lay 5 tens', 'lay 2 ones')
  h.tapSpot({ zone: 'mat', place: 1 })
  h.tapSpot({ zone: 'mat', place: 1 })
  expect(h.hand.value?.count).toBe(2)
  expect(h.said.at(-1)).toBe('2 tens in the hand. Choose where to let go, or press Escape.')
  h.tapSpot({ zone: 'taken', place: 1 })
  await nextTick()
  expect(h.moves).toEqual(['take 2 tens'])
  expect([h.shows(), h.hand.value]).toEqual(['32', null])
})

test('more are not taken than lie there, and from an empty spot none: it says so', () => {
  const h = over('lay 2 ones')
  h.pickCount({ zone: 'mat', place: 0 }, 9)
  expect(h.hand.value?.count).toBe(2)
  h.hand.value = null
  h.pickCount({ zone: 'mat', place: 1 }, 1)
  expect(h.refused).toEqual(['There are no tens in the mat.'])
  expect(h.hand.value).toBeNull()
})

test('single pieces are picked out and put back by tapping them', () => {
  const h = over('lay 5 tens')
  const [first, second] = h.tracked.value.pieces.map((p) => p.id)
  h.tapPiece(first!)
  h.tapPiece(second!)
  expect(h.hand.value?.ids).toEqual([first, second])
  h.tapPiece(first!)
  h.tapPiece(second!)
  expect(h.hand.value).toBeNull()
  h.tapPiece(-1)
  expect(h.hand.value).toBeNull()
})

test('what is dragged is one piece, or all that were picked with it; past the pieces it is one of the store', async () => {
  const h = over('lay 5 tens')
  const [first, second] = h.tracked.value.pieces.map((p) => p.id)
  const held = () => h.hand.value?.count
  expect(h.hold(first!, 1)).toBe(true)
  expect(held()).toBe(1)
  h.hand.value = null
  h.tapPiece(first!)
  h.tapPiece(second!)
  h.hold(second!, 1)
  expect(held()).toBe(2)
  h.hand.value = null
  expect(h.hold(-1, 0)).toBe(false)
  h.letGo({ zone: 'mat', place: 0 })
  await nextTick()
  expect(h.moves).toEqual(['lay 1 one'])
})

test.each([[{ zone: 'store', place: 0 }], [{ zone: 'mat', place: 0 }], [{ zone: 'mat', place: 2 }]] as const)(
  'a ten let go at %o does what the material can do with it, or says why not',
  async (to) => {
    const h = over('lay 5 tens')
    h.tapSpot({ zone: 'mat', place: 1 })
    h.letGo(to)
    await nextTick()
    expect(h.moves.length + h.refused.length).toBe(1)
    expect(h.hand.value).toBeNull()
    if (h.refused.length > 0) expect(h.shows()).toBe('50')
    // An empty hand lets nothing go.
    h.letGo({ zone: 'taken', place: 1 })
    expect(h.moves.length + h.refused.length).toBe(1)
  },
)

test('what was said to be in the hand is taken back as soon as it is let go, also where nothing was moved', async () => {
  const h = over('lay 5 tens')
  h.tapSpot({ zone: 'mat', place: 1 })
  await nextTick()
  expect(h.said.at(-1)).toContain('1 ten in the hand')
  h.letGo({ zone: 'mat', place: 1 })
  await nextTick()
  expect([h.hand.value, h.moves, h.said.at(-1)]).toEqual([null, [], ''])
})
