import { listed } from '../../core/number/trail'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import { spokenAct, spokenMoves } from '../../core/record/spoken'
import type { RepresentationId } from '../../core/representation/representation'

/** Moves typed in everyday words, on materials that call them otherwise. */

const on = (problem: string, representation: RepresentationId, ...texts: string[]): Bench =>
  texts.reduce(
    (b, text) => spokenMoves(b, text)!.reduce((c, move) => enter(c, { at: c.log.length, on: representation, move }), b),
    openBench({ problem, representation }, 'together'),
  )
const labels = (b: Bench): string[] => listed(b.now.stones).map((s) => s.label)

test.each<[RepresentationId, string[]]>([
  ['blocks', ['set out 52', 'exchange 1 ten', 'take away 7', 'subtract 3 tens', 'answer 15']],
  ['chips', ['lay 52', 'trade a ten for 10 ones', 'minus 7 ones', 'less 30', '= 15']],
  ['drawn', ['draw 52', 'unbundle 1 ten into ten ones', 'take away 7 ones', '-30', 'read 15']],
  ['columns', ['write 52', 'rename 1 ten as 10 ones', 'take away 7 ones', 'take away 3 tens', 'read 15']],
])('on %s: %j', (id, texts) => {
  // On the sheet the next number is written under by hand; elsewhere it is asked.
  const texted = id === 'columns' ? on('52 - 37', id, texts[0]!) : on('52 - 37', id, ...texts)
  const b =
    id === 'columns'
      ? ['under - 37', ...texts.slice(1)].reduce(
          (c, t) =>
            t.startsWith('under')
              ? enter(c, { at: 0, on: id, move: t })
              : spokenMoves(c, t)!.reduce((d, move) => enter(d, { at: 0, on: id, move }), c),
          texted,
        )
      : texted
  expect(labels(b)).toEqual(['lay 52', '− 37', 'exchange 1 ten', 'take 7 ones', 'take 3 tens', 'read 15'])
})

test('putting ten together, and adding what was set beside', () => {
  const b = on('17 + 5', 'blocks', 'lay 17', 'add 5', 'regroup 10 ones as 1 ten')
  expect(labels(b).slice(-2)).toEqual(['add 5 ones', 'exchange 10 ones'])
  expect(labels(on('9 - 4', 'counters', 'put 9', 'take away 4')).at(-1)).toBe('return 4')
  expect(labels(on('8 + 5', 'fingers', 'keep 8 in the head'))[0]).toBe('keep 8')
})

test('what cannot be done is refused with the material’s reason, and other words are left to it', () => {
  expect(() => on('52 - 37', 'blocks', 'lay 52', 'take away 7')).toThrow('There are only 2 ones on the mat')
  expect(() => on('52 - 37', 'blocks', 'lay 52', 'exchange 5 tens 2 ones')).toThrow('One kind is exchanged at a time.')
  expect(() => on('9 - 4', 'counters', 'put 9', 'exchange 1 ten')).toThrow('Counters have no tens to exchange')
  expect(() => spokenAct('take away x')).toThrow('is not a place here')
  expect(spokenAct('fly 7 ones')).toBeUndefined()
})

test('places that the material has not are refused, and nothing of what was said is done', () => {
  const blocks = openBench({ problem: '52 - 37', representation: 'blocks' }, 'together')
  for (const text of ['add 8 tenths', 'add 2 ones 3 tenths', 'exchange 1 tenth', 'exchange 1 ten-thousand'])
    expect(() => spokenMoves(blocks, text)).toThrow(/\.$/)
  expect(blocks.now.standing.value).toBe('0')
})
