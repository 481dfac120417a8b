/**
 * `npm run mutate:sample -- 40 1` tries mutants of the core drawn at random for 40 minutes, two at a time, and says between which limits
 * the score of all of them lies. The same seed (the second number) draws the same ones in the same order. Each law is tried four times
 * for each, so the score is a lower limit. All tests of the core are bundled into one file with harness.ts, so that nothing is loaded twice.
 */
import { execFileSync, spawn } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { context, type BuildContext } from 'esbuild'
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

/** Tests that count what many runs have seen, that need a server, or that are too long to be made anew for every mutant. */
const WITHOUT = new RegExp(
  `^tests/(core|outside)/(${[
    ...['advice', 'accepts', 'whole', 'fuzz', 'heaps', 'coins', 'multiplyingHands', 'spanishReasons', 'multiplying'],
    ...['tried', 'oneRoster', 'calendar', 'readingLevel', 'stories', 'paper', 'marking', 'chains', 'steps'],
    ...['placement', 'methods', 'touch', 'setter', 'courses'],
    // These bring a material of their own into the world, which the others do not know.
    ...['foreign', 'units', 'laws', 'match'],
  ].join('|')})\\.test\\.ts$`,
)

/** All tests of the core in one file, to be run by harness.ts. */
async function bundle(tree: string, out: string): Promise<BuildContext> {
  const files = listed('tests/core/*.test.ts')
    .concat(listed('tests/outside/*.test.ts'))
    .filter((f) => !WITHOUT.test(f))
  return context({
    absWorkingDir: tree,
    stdin: {
      contents: [
        `import { run } from './tools/mutate/harness'`,
        `import './core/index'`,
        ...files.map((f) => `import './${f}'`),
        'await run()',
      ].join('\n'),
      resolveDir: tree,
    },
    outfile: out,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    // For tests that ask for a package by name at run time.
    banner: { js: `import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);` },
    logLevel: 'silent',
    plugins: [
      {
        name: 'sett-mutants',
        setup(build) {
          build.onResolve({ filter: /^fast-check$/ }, ({ importer }) =>
            importer.endsWith('fewRuns.ts')
              ? { path: 'fast-check', external: true }
              : { path: join(tree, 'tools/mutate/fewRuns.ts') },
          )
          // A package of CommonJS has its names only where it is bundled.
          build.onResolve({ filter: /^number-to-words$/ }, () => ({
            path: join(tree, 'node_modules/number-to-words/numberToWords.js'),
          }))
          build.onLoad({ filter: /\.test\.ts$/ }, ({ path }) => ({
            contents: `inFile(${JSON.stringify(path.slice(tree.length + 1))})\n${readFileSync(path, 'utf8')}`,
            loader: 'ts',
          }))
        },
      },
    ],
  })
}

/** Runs a bundle; whether it ended well, in that time. */
const ends = (tree: string, out: string, env: Record<string, string>, ms: number): Promise<boolean> =>
  new Promise((told) => {
    const child = spawn(process.execPath, [out], {
      cwd: tree,
      stdio: process.env.SETT_SAYS ? 'inherit' : 'ignore',
      env: { ...process.env, ...env },
    })
    const late = setTimeout(() => child.kill('SIGKILL'), ms)
    child.on('exit', (code) => {
      clearTimeout(late)
      told(code === 0)
    })
  })

/** A copy of the tree, in which a mutant may stand. */
function copied(): string {
  const tree = mkdtempSync(join(tmpdir(), 'sett-mutants-'))
  for (const name of listed('.')) if (!name.startsWith('docs/')) cpSync(name, join(tree, name))
  symlinkSync(join(process.cwd(), 'node_modules'), join(tree, 'node_modules'))
  return tree
}

/** The approved texts that tell most of a file's part of the core: tried first, so that most mutants are noticed at once. */
const FIRST: readonly (readonly [RegExp, string])[] = [
  [/^core\/paper\//, 'sheets'],
  [/^core\/story\//, 'stories'],
  [/^core\/course\//, 'courses'],
  [/^core\/(diagnose|mistakes)\//, 'marking'],
  [/^core\/(kit|progress|rehearse)\//, 'cupboard'],
  [/^core\/problem\//, 'problems'],
  [/^core\/(braille|number)\//, 'numbers'],
  [/./, 'bench'],
]

const [minutes = 40, seed = 1] = process.argv.slice(2).map(Number)
const random = seeded(seed)
const mutants = await allMutants()
const trees = [copied(), copied()]
try {
  const [tree] = trees as [string, string]
  const out = join(tree, 'all.mjs')
  const whole = await bundle(tree, out)
  await whole.rebuild()
  await whole.dispose()
  await ends(tree, out, { SETT_TIMES: join(tree, 'times.json') }, 1_800_000)
  const times = JSON.parse(readFileSync(join(tree, 'times.json'), 'utf8')) as Readonly<Record<string, number>>
  const sound = Object.keys(times).filter((id) => times[id]! >= 0)
  for (const id of Object.keys(times))
    if (times[id]! < 0) console.log(`left out, since it fails without any mutant: ${id}`)
  const all = sound.reduce((sum, id) => sum + times[id]!, 0)
  /** All tests: those first that are about a file, then the quickest. */
  const testsFor = (file: string): readonly string[] => {
    const [, first] = FIRST.find(([part]) => part.test(file))!
    const rank = (id: string): number => (id.startsWith(`tests/core/approved/${first}.`) ? 0 : 1)
    return sound.toSorted((a, b) => rank(a) - rank(b) || times[a]! - times[b]!)
  }
  console.log(
    `${mutants.length} mutants in all; ${sound.length} tests, ${(all / 1000).toFixed(0)} s; seed ${seed}, ${minutes} minutes`,
  )

  const until = Date.now() + minutes * 60_000
  let [tried, noticed] = [0, 0]
  /** One of the two that try mutants, each in a tree of its own. */
  async function trying(tree: string): Promise<void> {
    const mine = join(tree, 'one.mjs')
    const build = await bundle(tree, mine)
    while (Date.now() < until && mutants.length > 0) {
      const mutant = mutants.splice(Math.floor(random() * mutants.length), 1)[0]!
      const { fileName, location, mutatorName, replacement } = mutant
      const text = readFileSync(join(tree, fileName), 'utf8')
      writeFileSync(join(tree, fileName), mutated(text, mutant))
      const stands = await build.rebuild().then(
        () => true,
        () => false,
      )
      const order = join(tree, 'order.txt')
      writeFileSync(order, testsFor(fileName).join('\n'))
      const survives = stands && (await ends(tree, mine, { SETT_TESTS: order }, 30_000 + 4 * all))
      writeFileSync(join(tree, fileName), text)
      tried += 1
      if (!survives) noticed += 1
      else
        console.log(
          `survives: ${fileName}:${location.start.line + 1}:${location.start.column} ${mutatorName}: ${replacement.replace(/\s+/g, ' ').slice(0, 90)}`,
        )
      if (tried % 20 === 0) {
        const [low, high] = limits(noticed, tried)
        console.log(
          `${noticed} of ${tried} noticed: ${percent(noticed / tried)}; of all, between ${percent(low)} and ${percent(high)} (95 %)`,
        )
      }
    }
    await build.dispose()
  }
  await Promise.all(trees.map((tree) => trying(tree).catch((error: unknown) => console.error(error))))
  const [low, high] = limits(noticed, tried)
  console.log(
    `${noticed} of ${tried} noticed: ${percent(noticed / tried)}; of all, between ${percent(low)} and ${percent(high)} (95 %)`,
  )
} finally {
  for (const tree of trees) rmSync(tree, { recursive: true, force: true, maxRetries: 20, retryDelay: 500 })
}
