import { parseProblem } from '../../core/problem/problem'
import { plan } from '../../core/index'
import { enter, openBench, type Bench } from '../../core/record/bench'
import type { Figure } from './all'

/** Middle and worst of many runs, in milliseconds. */
function time(runs: number, work: () => void): { middle: number; worst: number } {
  for (let i = 0; i < Math.min(20, runs); i++) work()
  const took = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  return { middle: took[Math.floor(runs / 2)]!, worst: took.at(-1)! }
}
const ms = (n: number): string => `${n.toFixed(3)} ms`

/** A bench with about 500 blocks out on the mat. */
export function crowded(): Bench {
  let bench = openBench(
    { problem: '9999 - 4567', representation: 'blocks', also: ['columns', 'equations'] },
    'together',
  )
  const make = (move: string): void => void (bench = enter(bench, { at: 0, on: 'blocks', move }))
  make('lay 9999')
  make('lay 120 hundreds')
  make('lay 150 tens')
  make('lay 180 ones')
  return bench
}

export function timesOfCore(): Figure[] {
  const problems = ['4321 - 1987', '9000 - 4567', '4678 + 3987'].map(parseProblem)
  const planned = problems.map((problem) =>
    time(300, () => void plan({ problem, representation: 'blocks', also: ['columns', 'equations'] })),
  )
  const bench = crowded()
  const moves = ['break ten', 'take 7 ones', 'return 1 ten', 'break hundred'].map((move) =>
    time(500, () => void enter(bench, { at: 0, on: 'blocks', move })),
  )
  const worst = (all: { worst: number }[]): number => Math.max(...all.map((t) => t.worst))
  const middle = (all: { middle: number }[]): number => Math.max(...all.map((t) => t.middle))
  return [
    {
      what: 'plan() of a 4-digit problem in three representations',
      value: ms(middle(planned)),
      beside: `worst ${ms(worst(planned))}`,
    },
    {
      what: 'one move: apply, recognise, write, say; ~500 pieces out',
      value: ms(middle(moves)),
      beside: `worst ${ms(worst(moves))}; half a frame is 8 ms: ${(8 / middle(moves)).toFixed(0)} times over`,
    },
  ]
}
