/** `npm run bench`: measures what product and house promise, and prints figures and ratios. */
import { ensureBuilt, ensureInstalled, run } from './steps.mjs'

ensureInstalled()
ensureBuilt()
process.exitCode = run('npx', ['--no-install', 'tsx', 'tools/bench/all.ts', ...process.argv.slice(2)]) ? 0 : 1
