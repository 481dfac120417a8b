import type { Act } from '../../core/act/act'
import { DEFAULT_CHOICES } from '../../core/choices'
import { adviseWays } from '../../core/course/advice'
import { exact } from '../../core/number/exact'
import { parseProblem } from '../../core/problem/parse'
import { printProblem } from '../../core/problem/problem'
import { enter, openBench } from '../../core/record/bench'
import { attempt, Refusal } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll } from '../../core/representation/representation'
import { named, packOf } from '../../core/speech/words'
import { PROCEDURES } from '../../core/mistakes/index'
import { SLIPS } from '../../core/record/slips'
import { wayById } from '../../core/way/index'
import { WAY_IDS } from '../../core/way/way'

/** Edges that mutants drawn at random have shown to be held by no other test. */

test('fingers are kept in the head only when all of them are up', () => {
  const b = openBench({ problem: '8 + 5', representation: 'fingers', way: 'count-all' }, 'alone')
  const raised = enter(b, { at: 0, on: 'fingers', move: 'raise 8' })
  const early = attempt(() => enter(raised, { at: 0, on: 'fingers', move: 'store' }))
  expect(early).toMatchObject({ refused: { reason: 'There are 2 fingers left to use first.' } })
  const full = enter(raised, { at: 0, on: 'fingers', move: 'raise 2' })
  expect(enter(full, { at: 0, on: 'fingers', move: 'store' }).now.states.fingers).toMatchObject({ stored: 10, out: 0 })
})

test('a frame without a rod for the next ten refuses it, and says what would hold it', () => {
  const { abacus } = REPRESENTATIONS
  const choices = { ...DEFAULT_CHOICES, abacus: { ...DEFAULT_CHOICES.abacus, rods: 2 } }
  const problem = parseProblem('95 + 3')
  const start = abacus.start(problem, choices)
  const at95 = applyAll(abacus, start, abacus.perform(start, { kind: 'lay', amount: exact(95) }))
  expect(() => abacus.perform(at95, { kind: 'join', amount: exact(7) })).toThrow(Refusal)
  expect(() => abacus.perform(at95, { kind: 'join', amount: exact(7) })).toThrow('no rod left for the next ten')
  expect(abacus.shows(applyAll(abacus, at95, abacus.perform(at95, { kind: 'join', amount: exact(4) })))).toBe('99')
})

test('a count in steps that is not the one the way asks is another thing done', () => {
  const begun = (move: string): string =>
    enter(openBench({ problem: '14 - 8', representation: 'fingers', way: 'count-up' }, 'alone'), {
      at: 0,
      on: 'fingers',
      move,
    }).now.stones.last!.step
  expect([begun('count from 8 to 14'), begun('count from 7 to 14'), begun('count from 8 to 13')]).toEqual([
    'planned',
    'other',
    'other',
  ])
})

test('there is advice on chains of two numbers and more, on products, divisions and heaps of coins, and on nothing else', () => {
  const advice = (text: string): number => adviseWays(parseProblem(text), DEFAULT_CHOICES, { losesTrack: false }).length
  expect(advice('52 - 37')).toBeGreaterThan(1)
  for (const text of ['6 * 9', '36 / 9', '612 / 7', '37 * 24', '3 * 25 + 2 * 10'])
    expect([text, advice(text) > 0]).toEqual([text, true])
  expect(advice('1/2 in simplest form')).toBe(0)
})

test('one of the lowest place is called by the class’s own word', () => {
  const pack = packOf('exchange')
  expect([named(0, 1, pack), named(0, 2, pack), named(1, 1, pack), named(1, 2, pack)]).toEqual([
    'one',
    'ones',
    'ten',
    'tens',
  ])
})

test('what is drawn and then read are two things', () => {
  const { drawn } = REPRESENTATIONS
  const start = drawn.start(parseProblem('23 + 4'), DEFAULT_CHOICES)
  const moves = ['draw 2 tens', 'read 20'].map((m) => drawn.parse(m))
  expect(drawn.recognise(start, moves)).toBeUndefined()
  expect(drawn.recognise(start, moves.slice(0, 1)) as readonly Act[]).toMatchObject([{ kind: 'lay', amount: '20' }])
})

test('where both numbers are as near to a ten, the first one keeps its place', () => {
  const arranged = (text: string): string =>
    printProblem(wayById('make-friendly').arrange!(parseProblem(text), DEFAULT_CHOICES))
  expect([arranged('19 + 29'), arranged('17 + 29'), arranged('29 + 17')]).toEqual(['19 + 29', '29 + 17', '29 + 17'])
})

test('every material and every way says what it is, and its example can be typed', () => {
  for (const r of Object.values(REPRESENTATIONS)) {
    expect([r.id, r.title, r.called].every((text) => /^[a-z][a-z -]+$/.test(text))).toBe(true)
    if (r.opening) expect([r.id, r.opening.length > 8 && /\{number\}|first/.test(r.opening)]).toEqual([r.id, true])
    for (const move of r.example.split(' · '))
      expect([r.id, move, r.print(r.parse(move)) !== '']).toEqual([r.id, move, true])
  }
  for (const id of WAY_IDS) {
    const { title, school, at } = wayById(id)
    expect([id, title.length > 3, /^[A-Z−0-9].{20,}[.]$/.test(school), /^[A-Z].{20,}[.]$/.test(at)]).toEqual([
      id,
      true,
      true,
      true,
    ])
  }
  expect(new Set(WAY_IDS.map((id) => wayById(id).title)).size).toBe(WAY_IDS.length)
})

test('every slip and every mistaken procedure has a name of its own', () => {
  const names = [...Object.values(SLIPS), ...PROCEDURES.map((p) => p.name)]
  for (const name of names) expect(name).toMatch(/^[a-z].{10,}[^.]$/)
  expect(new Set(names).size).toBe(names.length)
})
