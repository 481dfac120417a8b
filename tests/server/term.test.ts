import { join } from 'node:path'
import { outcome, replay } from '../../core/index'
import { seedTerm } from '../../demo/term'
import { glanceAt } from '../../server/utils/glance'
import { cupboardOf } from '../../server/utils/cupboard'
import { makeStore, type Store } from '../../server/utils/store'
import { folder } from './seeded'

/** The term of the demo: six learners over twelve weeks, each with a story of their own. */

const TODAY = new Date('2026-12-02T12:00:00Z')
let store: Store
const idOf = (name: string): string => store.learnerNamed(name)!.id
beforeAll(() => {
  store = makeStore(join(folder(), 'term.db'))
  seedTerm(store, TODAY)
}, 60_000)
afterAll(() => store.db.close())

/** Of each week of the term, the share that came right without help; null where nothing was tried. */
function weeksOf(name: string): readonly (number | null)[] {
  const id = idOf(name)
  const tried = [
    ...[...store.records(id)].map((r) => ({
      at: r.startedAt,
      alone: r.outcome.right && r.outcome.help === 'independent',
    })),
    ...[...store.trials(id)]
      .filter((t) => t.kind === 'table')
      .map((t) => ({ at: t.startedAt, alone: t.right && t.help === 'independent' })),
  ]
  const WEEK = 7 * 24 * 3_600_000
  const first = TODAY.getTime() - 13 * WEEK
  return Array.from({ length: 13 }, (_, week) => {
    const own = tried.filter(({ at }) => Math.floor((Date.parse(at) - first) / WEEK) === week)
    return own.length === 0 ? null : own.filter((t) => t.alone).length / own.length
  })
}

test('every record of the Bench can be replayed, and comes out as it says', () => {
  let wrong = 0
  for (const record of store.records(null)) {
    const bench = replay(record.work as never).bench
    expect([record.id, outcome(bench).right]).toEqual([record.id, record.outcome.right])
    if (!record.outcome.right) wrong += 1
  }
  expect(wrong).toBeGreaterThan(20)
})

test('everything lies before today, and none of it further back than the term', () => {
  for (const { startedAt } of [...store.records(null), ...store.trials(null)]) {
    expect(Date.parse(startedAt)).toBeLessThan(TODAY.getTime())
    expect(Date.parse(startedAt)).toBeGreaterThan(TODAY.getTime() - 100 * 24 * 3_600_000)
  }
})

test('each learner has their own story', () => {
  const share = (weeks: readonly (number | null)[], from: number, to: number): number => {
    const some = weeks.slice(from, to).filter((w) => w !== null)
    return some.reduce((sum, w) => sum + w, 0) / some.length
  }
  // A steady rise; a plateau and then a rise; a gap and a loss; the same low share with zeros.
  const [wren, pip, fen, ash] = ['Wren', 'Pip', 'Fen', 'Ash'].map(weeksOf) as [never, never, never, never]
  expect(share(wren, 3, 5)).toBeGreaterThan(share(wren, 0, 2) + 0.3)
  expect(share(wren, 10, 12)).toBeGreaterThan(share(wren, 6, 8) + 0.3)
  expect(Math.abs(share(pip, 1, 3) - share(pip, 4, 6))).toBeLessThan(0.15)
  expect(share(pip, 11, 13)).toBeGreaterThan(share(pip, 4, 6) + 0.3)
  expect((fen as readonly unknown[]).slice(6, 8)).toEqual([null, null])
  expect(share(fen, 8, 10)).toBeLessThan(share(fen, 4, 6) - 0.3)
  expect(share(fen, 11, 13)).toBeGreaterThan(share(fen, 8, 10) + 0.1)
  expect(share(ash, 4, 6)).toBeGreaterThan(share(ash, 9, 12) + 0.3)
  // Help that fades: hand over hand is there at the start, and gone at the end.
  const teal = [...store.trials(idOf('Teal'))].map((t) => t.help)
  expect(teal.slice(0, 10)).toContain('hand-over-hand')
  expect(teal.slice(-20)).not.toContain('hand-over-hand')
  expect(store.learner(idOf('Moth'))!.choices.access.switches).toBe(2)
})

test('goals, marked pages, facts, lessons taught and to come, and a stock that is short', async () => {
  expect(store.goals(idOf('Wren'))).toHaveLength(2)
  expect(store.markings(idOf('Ash'))[0]!.said.ranked[0]!.bug).toContain('stops-borrow-at-zero')
  expect(store.answers(idOf('Ash')).filter((a) => a.right).length).toBeGreaterThan(75)
  expect(store.lessons('2026-10-01', '2026-12-31').length).toBeGreaterThanOrEqual(9)
  expect(cupboardOf(store).stock['blocks/ten']!.have).toBe(14)
  const { learners } = await glanceAt(store, { only: null, now: TODAY.getTime() })
  expect(learners.flatMap((l) => l.suggests).length).toBeGreaterThan(3)
})

test('the same day makes the same term', () => {
  const other = makeStore(join(folder(), 'other.db'))
  seedTerm(other, TODAY)
  const all = (s: Store): unknown => [...s.records(null)].map((r) => [r.id, r.startedAt, r.work.problem, r.outcome])
  expect(all(other)).toEqual(all(store))
  other.db.close()
}, 60_000)
