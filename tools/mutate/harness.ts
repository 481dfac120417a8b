import { readFileSync, writeFileSync } from 'node:fs'
import { expect } from 'expect'
import { spyOn } from 'jest-mock'

/**
 * A test runner in one process, for mutants: the tests of the core, bundled, with as much of Jest's own as they use. A mutant costs a
 * second so instead of minutes, since nothing is loaded twice.
 */

type Work = () => unknown
interface Test {
  readonly id: string
  readonly work: Work
  readonly before: readonly Work[]
}
const tests: Test[] = []
const after: Work[] = []
let [file, path, hooks] = ['', [] as readonly string[], [] as Work[]]

/** `%s` and `$name` in the name of a row, as far as names have to differ. */
const named = (name: string, row: readonly unknown[]): string =>
  `${name} ${row.map((v) => (typeof v === 'object' ? JSON.stringify(v) : String(v))).join(' ')}`.slice(0, 160)

function test(name: string, work: Work): void {
  tests.push({ id: [file, ...path, name].join(' › '), work, before: [...hooks] })
}
function describe(name: string, inside: () => void): void {
  const [outer, had] = [path, hooks]
  ;[path, hooks] = [[...path, name], [...hooks]]
  inside()
  ;[path, hooks] = [outer, had]
}
const each =
  (make: (name: string, work: () => never) => void) =>
  (table: readonly unknown[]) =>
  (name: string, work: (...row: unknown[]) => unknown): void => {
    for (const row of table) {
      const values = Array.isArray(row) ? (row as unknown[]) : [row]
      make(named(name, values), () => work(...values) as never)
    }
  }
const once = (work: Work): Work => {
  let done: unknown
  let begun = false
  return () => {
    if (!begun) [begun, done] = [true, work()]
    return done
  }
}

Object.assign(globalThis, {
  expect,
  jest: { spyOn },
  test: Object.assign(test, { each: each(test) }),
  it: Object.assign(test, { each: each(test) }),
  describe: Object.assign(describe, { each: each(describe) }),
  beforeAll: (work: Work) => void hooks.push(once(work)),
  beforeEach: (work: Work) => void hooks.push(work),
  afterAll: (work: Work) => void after.push(work),
  inFile: (name: string): void => {
    ;[file, path, hooks] = [name, [], []]
  },
})

/**
 * Runs tests once all have been registered. With `SETT_TIMES` all of them run, and how long each takes is written there, below nought where
 * it fails; else those named in the file `SETT_TESTS` (one a line, in that order) run until one fails, and the process says so by ending with 1.
 */
export async function run(): Promise<void> {
  const { SETT_TIMES: timed, SETT_TESTS: only = '' } = process.env
  const wanted = new Map((only ? readFileSync(only, 'utf8') : '').split('\n').map((id, i) => [id, i]))
  const chosen = timed
    ? tests
    : tests.filter((t) => wanted.has(t.id)).sort((a, b) => wanted.get(a.id)! - wanted.get(b.id)!)
  const times: Record<string, number> = {}
  for (const { id, work, before } of chosen) {
    const begun = performance.now()
    try {
      for (const hook of before) await hook()
      await work()
      times[id] = performance.now() - begun
    } catch (error) {
      if (process.env.SETT_SAYS) console.log(id, '\n', String(error).slice(0, 1500))
      if (!timed) process.exit(1)
      times[id] = -1
    }
  }
  for (const work of after) await work()
  if (timed) writeFileSync(timed, JSON.stringify(times))
  process.exit(0)
}
