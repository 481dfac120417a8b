import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, resolve } from 'node:path'

/**
 * Approved texts: what Sett says and writes, as plain text that has been read and found right, kept in tests/fixtures/approved. A change
 * shows as a change of that text. `SETT_APPROVE=1 npx jest tests/core/approved` writes them anew, to be read again before they are
 * committed; without it, a file that is missing is a failure.
 */
export function approved(name: string, lines: readonly string[]): void {
  const file = resolve('tests/fixtures/approved', `${name}.txt`)
  const text = `${lines.join('\n')}\n`
  if (process.env.SETT_APPROVE) {
    mkdirSync(dirname(file), { recursive: true })
    writeFileSync(file, text)
  }
  if (!existsSync(file))
    throw new Error(`There is no approved text ${name}: write it with SETT_APPROVE=1, and read it.`)
  expect(text.split('\n')).toEqual(readFileSync(file, 'utf8').split('\n'))
}

/** What comes of something, or the sentence in which it is refused. */
export function saidOf(make: () => string): string {
  try {
    return make()
  } catch (error) {
    return `✗ ${(error as Error).message}`
  }
}

/** The same numbers in the same order each time: a small generator of its own, so that the one in the core is tested too. */
export function chances(seed: number): <T>(all: readonly T[]) => T {
  let state = seed
  return (all) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return all[Math.floor((state / 2 ** 32) * all.length)]!
  }
}
