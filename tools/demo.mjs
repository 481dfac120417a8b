/** `npm run demo`: everything from a fresh clone to an open bench with the lantern-walk class. */
import { mkdirSync, rmSync } from 'node:fs'
import { ensureBuilt, ensureInstalled, serve } from './steps.mjs'

ensureInstalled()
ensureBuilt()
const data = '.data/demo'
// The demo starts the same every time; a person's own data is never here.
rmSync(data, { recursive: true, force: true })
mkdirSync(data, { recursive: true })
await serve({
  env: { SETT_DATA: data, SETT_DEMO: 'term' },
  said: (url) => `\nSett’s demo is open at ${url}/bench\nStop it with Ctrl+C.`,
})
