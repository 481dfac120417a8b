import { parseMissing, solveMissing } from '../../core/problem/missing'
import { parseProblem } from '../../core/problem/parse'
import { DEFAULT_CHOICES } from '../../core/choices'
import { setChains } from '../../core/course/chains/chains'
import { before, lessonId, lessonOf } from '../../core/course/chains/lessons'
import { plan } from '../../core/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import { enter, openBench } from '../../core/record/bench'
import type { Bench } from '../../core/record/moment'
import type { Figure } from './all'

/** Middle and worst of many runs, in milliseconds. */
function time(runs: number, work: () => void): { middle: number; worst: number } {
  // Long enough for the machine to have compiled what it will.
  for (let i = 0; i < Math.min(100, runs); i++) work()
  const took = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  return { middle: took[Math.floor(runs / 2)]!, worst: took.at(-1)! }
}
const ms = (n: number): string => `${n.toFixed(3)} ms`

/** Strips with hundredths all over, and a half among them. */
const inParts = (): Bench =>
  ['lay 3 wholes', 'lay 290 hundredths', 'lay 1 half'].reduce(
    (b, move) => enter(b, { at: 0, on: 'strips', move }),
    openBench({ problem: '6 2/5 + 1/2', representation: 'strips', also: ['equations'] }, 'together'),
  )

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

/** A bench of chips with a column sheet in step, and about 200 chips out. */
function paired(): Bench {
  let bench = openBench({ problem: '9999 - 4567', representation: 'chips', also: ['columns', 'equations'] }, 'together')
  for (const move of ['lay 9999', 'lay 60 hundreds', 'lay 50 tens', 'lay 54 ones'])
    bench = enter(bench, { at: 0, on: 'chips', move })
  return bench
}

/** A frame of 13 rods in the middle of a chain. */
function abacusAtWork(): Bench {
  const abacus = { ...DEFAULT_CHOICES.abacus, rods: 13 }
  const request = { problem: '123456789 + 98765432', representation: 'abacus' as const, choices: { abacus } }
  let bench = openBench(request, 'together')
  for (const move of plan(request).steps[0]!.moves.abacus!)
    bench = enter(bench, { at: 0, on: 'abacus', move: REPRESENTATIONS.abacus.print(move) })
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
  const eight = parseProblem('123456789 + 98765432 + 7654321 + 654321 + 54321 + 4321 + 321 + 21')
  const wide = time(100, () => void plan({ problem: eight, representation: 'columns', way: 'by-column' }))
  const pair = paired()
  const inStep = time(500, () => void enter(pair, { at: 0, on: 'chips', move: 'break ten' }))
  const parted = inParts()
  const recut = time(300, () => void enter(parted, { at: 0, on: 'strips', move: 'recut 1 half as 50 hundredths' }))
  const frame = abacusAtWork()
  const bead = time(500, () => void enter(frame, { at: 0, on: 'abacus', move: 'rod 8 lower 1 to bar' }))
  const chain = parseProblem('123456789 + 98765432 - 7654321 + 654321 - 54321 + 4321 - 321 + 21')
  const beads = time(50, () => void plan({ problem: chain, representation: 'abacus', also: ['columns'] }))
  const lesson = lessonOf('ten+7')!
  const setter = time(
    5,
    () =>
      void setChains({
        lesson,
        rod: 0,
        times: 'once',
        terms: 6,
        digits: 3,
        taught: before(lesson).map(lessonId),
        signs: 'both',
        undoing: true,
        names: 'complement',
        least: 0,
        greatest: 999,
        order: 'highest',
        beads: { upper: 1, lower: 4 },
        count: 200,
        seed: 1,
      }),
  )
  const long = parseProblem('987654321 / 7')
  const division = time(200, () => void plan({ problem: long, representation: 'division' }))
  const riddle = parseMissing('2?6 + 1?8 = 4?4')
  const missing = time(200, () => void solveMissing(riddle))
  return [
    {
      what: 'one bead move, 13 rods, a chain of 9-digit numbers',
      value: ms(bead.middle),
      beside: `half a frame is 8 ms; worst ${ms(bead.worst)}`,
    },
    {
      what: 'plan() of a chain of 8 numbers to 9 digits on the abacus',
      value: ms(beads.middle),
      beside: `worst ${ms(beads.worst)}`,
    },
    {
      what: '200 chains of 6 three-digit numbers for a rule',
      value: ms(setter.middle),
      beside: `a second is allowed; worst ${ms(setter.worst)}`,
    },
    {
      what: 'plan() of 8 addends to 9 digits on the column sheet',
      value: ms(wide.middle),
      beside: `worst ${ms(wide.worst)}`,
    },
    {
      what: 'one act in step across chips and columns, ~200 pieces out',
      value: ms(inStep.middle),
      beside: `worst ${ms(inStep.worst)}; half a frame is 8 ms: ${(8 / inStep.middle).toFixed(0)} times over`,
    },
    {
      what: 'one recut on strips, ~300 parts out, equations in step',
      value: ms(recut.middle),
      beside: `worst ${ms(recut.worst)}; half a frame is 8 ms: ${(8 / recut.middle).toFixed(0)} times over`,
    },
    {
      what: 'plan() of a nine-digit long division, every finger and square',
      value: ms(division.middle),
      beside: `worst ${ms(division.worst)}; 5 ms are allowed: ${(5 / division.middle).toFixed(0)} times over`,
    },
    {
      what: 'missing digits, three unknowns',
      value: ms(missing.middle),
      beside: `worst ${ms(missing.worst)}; 50 ms are allowed: ${(50 / missing.middle).toFixed(0)} times over`,
    },
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
