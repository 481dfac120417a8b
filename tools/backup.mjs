/** `npm run backup`: makes a backup and looks it through, also while Sett is running. */
import { ensureInstalled, run } from './steps.mjs'

ensureInstalled()
process.exitCode = run('npx', ['--no-install', 'tsx', 'tools/data/backup.ts', ...process.argv.slice(2)]) ? 0 : 1
