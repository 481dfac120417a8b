import { existsSync } from 'node:fs'
import { listBackups, makeBackup } from '../../server/utils/backups'
import { databaseIn, dataFolder } from '../../server/utils/store'

/** Makes a backup of the data folder; it may be in use. Nothing older is taken away: Sett itself does that by its rule. */
const path = databaseIn(dataFolder())
try {
  if (!existsSync(path)) throw new Error(`There is no database at ${path}.`)
  const { name, bytes } = await makeBackup(path, Number.MAX_SAFE_INTEGER, new Date(), 'hand')
  console.log(`${name}, ${bytes} bytes, is whole. Backups there now: ${listBackups(path).length}.`)
} catch (error) {
  console.error((error as Error).message)
  process.exitCode = 1
}
