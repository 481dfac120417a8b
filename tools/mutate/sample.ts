/**
 * `npm run mutate:sample -- 40 1` tries mutants of the core drawn at random for 40 minutes, and says between which limits the score of
 * all of them lies. The same seed (the second number) draws the same ones in the same order. A whole run takes days of one core.
 */
import { execFileSync, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { commonTokens } from '@stryker-mutator/api/plugin'
import type { Mutant } from '@stryker-mutator/api/core'
import { createInstrumenter } from '@stryker-mutator/instrumenter'
import { createInjector } from 'typed-inject'
import { seeded } from '../../core/course/random'

const silent = (): void => {}
const no = (): boolean => false
const logger = {
  ...{
    isTraceEnabled: no,
    isDebugEnabled: no,
    isInfoEnabled: no,
    isWarnEnabled: no,
    isErrorEnabled: no,
    isFatalEnabled: no,
  },
  ...{ trace: silent, debug: silent, info: silent, warn: silent, error: silent, fatal: silent },
}

const listed = (pattern: string): readonly string[] =>
  execFileSync('git', ['ls-files', pattern], { encoding: 'utf8' }).split('\n').filter(Boolean)

/** Every mutant that a whole run would try: those of the files of stryker.config.json. */
async function allMutants(): Promise<Mutant[]> {
  const files = listed('core/*.ts')
    .filter((name) => !/(^|\/)index\.ts$|^core\/(choices|materials)\.ts$/.test(name))
    .map((name) => ({ name, mutate: true, content: readFileSync(name, 'utf8') }))
  const instrumenter = createInjector()
    .provideValue(commonTokens.logger, logger)
    .provideValue(commonTokens.options, {} as never)
    .injectFunction(createInstrumenter as never) as ReturnType<typeof createInstrumenter>
  const { mutants } = await instrumenter.instrument(files, { ignorers: [], plugins: null, excludedMutations: [] })
  return mutants as Mutant[]
}

/** A file's text with the mutant in it; lines and columns are counted from 0. */
function mutated(text: string, { location: { start, end }, replacement }: Mutant): string {
  const lines = text.split('\n')
  const at = ({ line, column }: typeof start): number =>
    lines.slice(0, line).reduce((n, l) => n + l.length + 1, 0) + column
  return text.slice(0, at(start)) + replacement + text.slice(at(end))
}

/** Wilson's interval for a share, at 95 % (E. B. Wilson, 1927). */
function limits(hits: number, of: number): readonly [number, number] {
  const [z, p] = [1.96, hits / of]
  const middle = p + (z * z) / (2 * of)
  const spread = z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))
  return [(middle - spread) / (1 + (z * z) / of), (middle + spread) / (1 + (z * z) / of)]
}
const percent = (n: number): string => `${(100 * n).toFixed(1)} %`

/** The transcripts that tell most of a file's part of the core: tried first, so that most mutants are noticed within seconds. */
const FIRST: readonly (readonly [RegExp, string])[] = [
  [/^core\/paper\//, 'sheets'],
  [/^core\/story\//, 'stories'],
  [/^core\/course\//, 'courses'],
  [/^core\/(diagnose|mistakes)\//, 'marking'],
  [/^core\/(kit|progress|rehearse)\//, 'cupboard'],
  [/^core\/(braille|number|problem)\//, 'numbers'],
  [/./, 'bench'],
]

/** Tests that take longest: without them a mutant that nobody notices costs two minutes, and not six. So the score is a lower limit. */
const WITHOUT =
  'multiplying,stories,paper,foreign,marking,chains,steps,placement,methods,touch,setter,laws,courses'.split(',')

/** The tests of the core against one tree, each law tried four times; true where all of them pass. */
function passes(tree: string, file?: string): boolean {
  const first = FIRST.find(([part]) => file !== undefined && part.test(file))
  return (!first || run(tree, `tests/core/transcripts/${first[1]}.test.ts`)) && run(tree)
}

function run(tree: string, ...more: readonly string[]): boolean {
  const args = [
    '-c',
    'jest.mutate.config.mjs',
    '--bail',
    '-i',
    '--testSequencer',
    './tools/mutate/quickFirst.cjs',
    ...more,
  ]
  const ended = spawnSync(join('node_modules', '.bin', 'jest'), args, {
    cwd: tree,
    timeout: 300_000,
    stdio: 'ignore',
    env: {
      ...process.env,
      SETT_MUTATE_RUNS: '4',
      SETT_MUTATE_WITHOUT: WITHOUT.map((name) => `(core|outside)/${name}`).join(),
    },
  })
  return ended.status === 0
}

const [minutes = 40, seed = 1] = process.argv.slice(2).map(Number)
const random = seeded(seed)
const all = await allMutants()
const tree = mkdtempSync(join(tmpdir(), 'sett-mutants-'))
try {
  for (const name of listed('.')) if (!name.startsWith('docs/')) cpSync(name, join(tree, name))
  symlinkSync(join(process.cwd(), 'node_modules'), join(tree, 'node_modules'))
  if (!passes(tree)) throw new Error('The tests do not pass without any mutant.')
  console.log(`${all.length} mutants in all; seed ${seed}, ${minutes} minutes`)
  const until = Date.now() + minutes * 60_000
  let [tried, noticed] = [0, 0]
  while (Date.now() < until && all.length > 0) {
    const mutant = all.splice(Math.floor(random() * all.length), 1)[0]!
    const text = readFileSync(join(tree, mutant.fileName), 'utf8')
    writeFileSync(join(tree, mutant.fileName), mutated(text, mutant))
    const survives = passes(tree, mutant.fileName)
    writeFileSync(join(tree, mutant.fileName), text)
    tried += 1
    if (!survives) noticed += 1
    else
      console.log(
        `survives: ${mutant.fileName}:${mutant.location.start.line + 1} ${mutant.mutatorName}: ${mutant.replacement.replace(/\s+/g, ' ').slice(0, 90)}`,
      )
    const [low, high] = limits(noticed, tried)
    console.log(
      `${noticed} of ${tried} noticed: ${percent(noticed / tried)}; of all, between ${percent(low)} and ${percent(high)} (95 %)`,
    )
  }
} finally {
  rmSync(tree, { recursive: true, force: true })
}
