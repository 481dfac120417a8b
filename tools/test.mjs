/** `npm test`: format, lint, types, layers, licences, unit, server and browser tests; ends with `N passed, N failed`. */
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt, ensureInstalled, run } from './steps.mjs'

ensureInstalled()
ensureChromium()

let passed = 0
let failed = 0
const count = (ok, name) => {
  if (ok) passed += 1
  else failed += 1
  console.log(`${ok ? '✓' : '✗'} ${name}`)
}
const npx = (...args) => run('npx', ['--no-install', ...args])

npx('nuxt', 'prepare')
count(npx('prettier', '--check', '--log-level', 'warn', '.'), 'format')
count(run('npm', ['run', '--silent', 'lint']), 'lint')
count(run('npm', ['run', '--silent', 'types']), 'types')
count(run('npm', ['run', '--silent', 'layers']), 'layers')
count(run('npm', ['run', '--silent', 'licences']), 'licences')
ensureBuilt()

const results = join(mkdtempSync(join(tmpdir(), 'sett-results-')), 'jest.json')
const suites = process.argv.slice(2)
npx('jest', '--json', `--outputFile=${results}`, '--maxWorkers=2', ...suites)
if (existsSync(results)) {
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(results, 'utf8'))
  passed += numPassedTests
  // A suite that does not even start fails no test; it must count all the same.
  failed += Math.max(numFailedTests, numFailedTestSuites)
} else failed += 1

console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1

/** The browser tests need Debian's Chromium and its driver. */
function ensureChromium() {
  const here = () => existsSync('/usr/bin/chromium') && existsSync('/usr/bin/chromedriver')
  if (here()) return
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium from Debian’s packages …')
    spawnSync('apt-get', ['update'], { stdio: 'ignore' })
    spawnSync('apt-get', ['install', '-y', 'chromium', 'chromium-driver'], { stdio: 'ignore' })
  }
  if (here()) return
  console.error('The browser tests need Chromium and its driver: apt-get install -y chromium chromium-driver')
  process.exit(1)
}
