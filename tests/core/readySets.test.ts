import { enter, listed, openBench, plan, READY_SET_IDS, READY_SETS, methodsOf, REPRESENTATIONS } from '../../core/index'
import { handsSchema, wordsSchema } from '../../shared/schemas'

/** The ready sets of words and methods (practice, section 1; common practice, no source). */

test('each id has its set, whose words and methods the door takes as they are', () => {
  expect(READY_SETS.map((s) => s.id)).toEqual([...READY_SET_IDS])
  for (const set of READY_SETS) {
    expect(wordsSchema.parse(set.words)).toEqual(set.words)
    expect(handsSchema.parse(methodsOf(set))).toEqual(methodsOf(set))
  }
})

test.each([
  ['british', /^Exchange one ten for ten ones\./],
  ['formal', /^Exchange one ten for ten units\./],
  ['american', /^Regroup one ten as ten ones\./],
  ['early', /^Swap one ten for ten ones\./],
] as const)('the Bench speaks as %s says', (id, said) => {
  const { words } = READY_SETS.find((s) => s.id === id)!
  let bench = openBench({ problem: '52 - 37', representation: 'blocks', also: [], choices: { words } }, 'together')
  for (const { moves } of plan({ problem: '52 - 37', representation: 'blocks' }).steps.slice(0, 3))
    for (const move of moves.blocks ?? [])
      bench = enter(bench, { at: 0, on: 'blocks', move: REPRESENTATIONS.blocks.print(move as never) })
  expect(listed(bench.now.stones).at(-1)!.say).toMatch(said)
})
