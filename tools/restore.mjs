/** `npm run restore`: lists the backups, or puts one of them back while Sett is not running. */
import { ensureInstalled, run } from './steps.mjs'

ensureInstalled()
process.exitCode = run('npx', ['--no-install', 'tsx', 'tools/data/restore.ts', ...process.argv.slice(2)]) ? 0 : 1
