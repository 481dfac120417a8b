/**
 * `npm run mutate:sample -- 200` tries a random sample of all mutants of the core, and says between which limits the score of all of
 * them lies. The same seed (a second number) draws the same sample. A whole run takes a night; this takes an hour.
 */
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { Stryker } from '@stryker-mutator/core'
import { createInstrumenter } from '@stryker-mutator/instrumenter'
import { commonTokens } from '@stryker-mutator/api/plugin'
import type { Mutant } from '@stryker-mutator/api/core'
import { createInjector } from 'typed-inject'
import { seeded } from '../../core/course/random'

const quiet = {
  isTraceEnabled: () => false,
  isDebugEnabled: () => false,
  isInfoEnabled: () => false,
  isWarnEnabled: () => false,
  isErrorEnabled: () => true,
  isFatalEnabled: () => true,
  trace: () => {},
  debug: () => {},
  info: () => {},
  warn: () => {},
  error: console.error,
  fatal: console.error,
}

/** Every mutant that a whole run would try: the files of stryker.config.json. */
async function allMutants(): Promise<readonly Mutant[]> {
  const files = execFileSync('git', ['ls-files', 'core/*.ts'], { encoding: 'utf8' })
    .split('\n')
    .filter((name) => name && !/(^|\/)index\.ts$|^core\/(choices|materials)\.ts$/.test(name))
    .map((name) => ({ name, mutate: true, content: readFileSync(name, 'utf8') }))
  const instrumenter = createInjector()
    .provideValue(commonTokens.logger, quiet)
    .provideValue(commonTokens.options, {} as never)
    .injectFunction(createInstrumenter as never) as ReturnType<typeof createInstrumenter>
  const { mutants } = await instrumenter.instrument(files, { ignorers: [], plugins: null, excludedMutations: [] })
  return mutants as readonly Mutant[]
}

const keyOf = (file: string, { start, end }: Mutant['location'], by: string): string =>
  `${file.replace(/^.*?core\//, 'core/')}:${start.line}:${start.column}-${end.line}:${end.column} ${by}`

/** Wilson's interval for a share, at 95 % (E. B. Wilson, 1927). */
function limits(hits: number, of: number): readonly [number, number] {
  const [z, p] = [1.96, hits / of]
  const middle = p + (z * z) / (2 * of)
  const spread = z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))
  return [(middle - spread) / (1 + (z * z) / of), (middle + spread) / (1 + (z * z) / of)]
}

const [size = 200, seed = 1] = process.argv.slice(2).map(Number)
const random = seeded(seed)
const all = [...(await allMutants())]
const drawn = Array.from(
  { length: Math.min(size, all.length) },
  () => all.splice(Math.floor(random() * all.length), 1)[0]!,
)
const wanted = new Set(drawn.map((m) => keyOf(m.fileName, m.location, m.replacement)))
const mutate = drawn.map(
  ({ fileName, location: { start, end } }) =>
    `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`,
)
process.env.SETT_MUTATE_DRAWN = JSON.stringify(
  drawn.map(({ location: { start, end } }) => [
    [start.line + 1, start.column],
    [end.line + 1, end.column],
  ]),
)
console.log(`${drawn.length} of ${all.length + drawn.length} mutants, seed ${seed}`)
const results = await new Stryker({
  mutate,
  incremental: false,
  ignorers: ['only-drawn'],
  plugins: ['@stryker-mutator/*', './tools/mutate/onlyDrawn.mjs'],

  concurrency: Number(process.env.SETT_MUTATE_JOBS ?? 2),
}).runMutationTest()
const tried = results.filter(
  (m) => wanted.has(keyOf(m.fileName, m.location, m.replacement ?? '')) && m.status !== 'Ignored',
)
const counted = tried.filter((m) => m.status !== 'CompileError' && m.status !== 'RuntimeError')
const noticed = counted.filter((m) => m.status === 'Killed' || m.status === 'Timeout')
const [low, high] = limits(noticed.length, counted.length).map((n) => `${(100 * n).toFixed(1)} %`)
for (const m of counted.filter((x) => !noticed.includes(x)))
  console.log(
    `${m.status} ${keyOf(m.fileName, m.location, m.replacement ?? '').replace(/\s+/g, ' ')} (${m.mutatorName})`,
  )
console.log(
  `${noticed.length} of ${counted.length} noticed: ${((100 * noticed.length) / counted.length).toFixed(1)} %, of all between ${low} and ${high} (95 %)`,
)
