import { existsSync, readFileSync } from 'node:fs'

/** The docs promise only what a test holds: each test that they name is there, and each part that promises something names one. */
const partsOf = (file: string): readonly string[] => readFileSync(file, 'utf8').split(/^## /m).slice(1)
const named = (text: string): readonly string[] =>
  [...text.matchAll(/`(tests\/[\w/.-]+\.test\.ts)`/g)].map(([, path]) => path!)

test.each(['docs/security.md', 'docs/data.md'])('%s names tests that there are', (file) => {
  const tests = named(readFileSync(file, 'utf8'))
  expect(tests.length).toBeGreaterThan(4)
  expect(tests.filter((path) => !existsSync(path))).toEqual([])
})

test('every part that promises something says which test holds it', () => {
  const promising = ['At the door', 'Who reaches whom', 'Signing in', 'On the disk', 'Backups', 'Erasing']
  const parts = [...partsOf('docs/security.md'), ...partsOf('docs/data.md')]
  for (const title of promising) {
    const part = parts.find((p) => p.startsWith(title))
    expect([title, named(part ?? '').length > 0]).toEqual([title, true])
  }
  // At the door each line of the table is a promise of its own.
  const rows = parts
    .find((p) => p.startsWith('At the door'))!
    .split('\n')
    .filter((line) => /^\| (?!-|against)/.test(line))
  expect(rows.filter((row) => named(row).length === 0)).toEqual([])
})
