/** `npm run dev`: the app rebuilt as it is edited, on the demo's data. */
import { ensureInstalled, run } from './steps.mjs'

ensureInstalled()
run('npx', ['--no-install', 'nuxt', 'dev', '--host', '127.0.0.1'], { SETT_DATA: '.data/dev', SETT_DEMO: 'term' })
