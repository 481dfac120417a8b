/** `npm start`: Sett on a person's own data. */
import { homedir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt, ensureInstalled, serve } from './steps.mjs'

ensureInstalled()
ensureBuilt()
const data = process.env.SETT_DATA || join(homedir(), '.sett')
await serve({
  env: { SETT_DATA: data },
  said: (url) => `\nSett is open at ${url}\nIts data lies in ${data}. Stop it with Ctrl+C.`,
})
