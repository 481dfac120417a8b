import { enter, openBench } from '../../core/record/bench'
import { recordOf, reopen, type WorkRecord } from '../../core/record/record'
import type { Figure } from './all'

const MOVES = [
  'break ten',
  'take 7 ones',
  'give 7 ones',
  'tie ten',
  'take 3 tens',
  'give 3 tens',
  'take 2 hundreds',
  'give 2 hundreds',
]

/** A record of so many moves, all detours, with a sheet beside that cannot follow most of them: the hardest to keep. */
function recordOfLength(n: number): WorkRecord {
  const request = { problem: '952 - 37', representation: 'blocks', also: ['columns', 'equations'] } as const
  let bench = openBench(request, 'together')
  for (let i = 0; i < n; i++)
    bench = enter(bench, { at: i, on: 'blocks', move: i === 0 ? 'lay 952' : MOVES[(i - 1) % MOVES.length]! })
  return recordOf(bench)
}

/** How long it takes to open records of growing length, and to undo in the longest. */
export async function longRecords(): Promise<Figure[]> {
  const lengths = [300, 1000, 3000]
  reopen(recordOfLength(300))
  const times = lengths.map((n) => {
    const record = recordOfLength(n)
    const start = performance.now()
    const bench = reopen(record)
    const opened = performance.now() - start
    const before = performance.now()
    enter(bench, { at: n, on: 'bench', move: 'undo' })
    return { n, opened, undone: performance.now() - before }
  })
  return times.map(({ n, opened, undone }) => ({
    what: `opening a record of ${n} moves`,
    value: `${opened.toFixed(0)} ms`,
    beside: `${((opened / n) * 1000).toFixed(0)} µs a move; undo ${undone.toFixed(2)} ms`,
  }))
}
