import { parseProblem } from '../../core/problem/parse'
import { enter, openBench } from '../../core/record/bench'
import { recordOf, reopen } from '../../core/record/record'
import { attempt } from '../../core/refusal'
import { REPRESENTATIONS } from '../../core/representation/index'
import { REPRESENTATION_IDS, type RepresentationId } from '../../core/representation/representation'
import { waysOf } from '../../core/way/index'
import type { Figure } from './all'

const MOVES = 5000
const PROBLEMS = [
  '1.25 - 0.5',
  '952 - 37',
  '612 / 7',
  '37 * 24',
  '7 * 8',
  '3/8 + 2/8',
  '-3 - -5',
  '3 * 25 + 2 * 10',
  '9 * 4',
  '8 + 7',
]

/** The same numbers in the same order each time. */
function chance(seed: number): () => number {
  let s = seed
  return () => (s = (s * 1664525 + 1013904223) >>> 0) / 2 ** 32
}

/** Moves at random from what a material's own example says, with other numbers: what somebody sends who means no good. */
export function hostile(id: RepresentationId, problem: string) {
  const r = REPRESENTATIONS[id]
  const random = chance(7)
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!
  const own = [...r.example.split(' · '), 'unread', 'write 52']
  const { way } = waysOf(parseProblem(problem), r)[0]!
  let bench = openBench({ problem, representation: id, way, also: ['equations'] }, 'together')
  for (let tried = 0; tried < 4 * MOVES && bench.log.length < MOVES; tried++) {
    const move = pick(own).replace(/\d+/g, () => pick(['0', '1', '2', '5', '9', '12', '75', '999']))
    const done = attempt(() => enter(bench, { at: tried, on: id, move }))
    if ('ok' in done) bench = done.ok
  }
  return recordOf(bench)
}

/** How long 5,000 hostile moves of each material take to replay; the slowest materials by name. */
export function hostileRecords(): Figure[] {
  const times = REPRESENTATION_IDS.flatMap((id) => {
    const r = REPRESENTATIONS[id]
    const problem = PROBLEMS.find((p) => r.fits(parseProblem(p)).fits && waysOf(parseProblem(p), r).length > 0)
    if (id === 'equations' || !problem) return []
    const record = hostile(id, problem)
    if (record.moves.length < 200) return []
    const start = performance.now()
    reopen(record)
    return [{ id, count: record.moves.length, ms: performance.now() - start }]
  }).map((t) => ({ ...t, all: (t.ms / t.count) * MOVES }))
  times.sort((a, b) => b.all - a.all)
  return times.slice(0, 6).map(({ id, count, all }) => ({
    what: `replaying ${MOVES} hostile moves on ${REPRESENTATIONS[id].title}`,
    value: `${all.toFixed(0)} ms`,
    beside: `from ${count} moves; 500 wanted`,
  }))
}
