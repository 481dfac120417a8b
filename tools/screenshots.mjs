/** `npm run screenshots`: one picture of each main view, from the demo's data, into docs/screenshots. */
import { ensureBuilt, ensureInstalled, run } from './steps.mjs'

ensureInstalled()
ensureBuilt()
process.exitCode = run('npx', ['--no-install', 'tsx', 'tools/screenshots/take.ts']) ? 0 : 1
