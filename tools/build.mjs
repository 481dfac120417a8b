/** `npm run build`: builds the app when any of its sources is other than at the last build; with `--look`, only says whether it is. */
import { ensureBuilt, isBuilt } from './steps.mjs'

if (process.argv.includes('--look')) process.exitCode = isBuilt() ? 0 : 1
else ensureBuilt()
