/** `npm run keeper`: who may use Sett, and a way in for whoever has lost theirs; for the one who has this machine. */
import { ensureInstalled, run } from './steps.mjs'

ensureInstalled()
process.exitCode = run('npx', ['--no-install', 'tsx', 'tools/data/keeper.ts', ...process.argv.slice(2)]) ? 0 : 1
