import { hold } from '../../server/db/hold'
import { StartTrouble } from '../../server/db/open'
import { listBackups, putBack } from '../../server/utils/backups'
import { databaseIn, dataFolder } from '../../server/utils/store'

/** Lists the backups of the data folder; with a name, or `latest`, puts that one back. Sett must not be running on it. */
const path = databaseIn(dataFolder())
const backups = listBackups(path)
const wanted = process.argv[2]
try {
  if (wanted === undefined) {
    console.log(backups.length === 0 ? `There is no backup beside ${path}.` : backups.map((b) => b.name).join('\n'))
    if (backups.length > 0) console.log('\nPut one back: npm run restore -- NAME, or npm run restore -- latest')
  } else {
    const held = hold(dataFolder())
    const name = wanted === 'latest' ? backups[0]?.name : wanted
    if (name === undefined) throw new StartTrouble(`There is no backup beside ${path}.`)
    putBack(path, name)
    held.release()
    console.log(`${name} is back in place.`)
  }
} catch (error) {
  console.error((error as Error).message)
  process.exitCode = 1
}
