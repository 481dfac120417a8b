import { hold } from '../../server/db/hold'
import { StartTrouble } from '../../server/db/open'
import { isFull, sentenceFor } from '../../server/db/trouble'
import { listBackups } from '../../server/utils/backups'
import { putBack } from '../../server/utils/restoring'
import { databaseIn, dataFolder } from '../../server/utils/store'

/**
 * Lists the backups of the data folder; with a name, or `latest`, puts that one back. People and passphrases stay as they are now, unless
 * `--people` says that they are to come from the backup. Sett must not be running on it.
 */
const path = databaseIn(dataFolder())
const backups = listBackups(path)
const given = process.argv.slice(2)
const wanted = given.find((word) => !word.startsWith('--'))
const people = given.includes('--people') ? 'backup' : 'now'
try {
  if (wanted === undefined) {
    console.log(backups.length === 0 ? `There is no backup beside ${path}.` : backups.map((b) => b.name).join('\n'))
    if (backups.length > 0) console.log('\nPut one back: npm run restore -- NAME, or npm run restore -- latest')
  } else {
    const held = hold(dataFolder())
    const name = wanted === 'latest' ? backups[0]?.name : wanted
    if (name === undefined) throw new StartTrouble(`There is no backup beside ${path}.`)
    const from = putBack(path, name, people)
    held.release()
    console.log(`${name} is back in place. Everybody has to sign in anew.`)
    console.log(
      from === 'now'
        ? 'People and passphrases are as they were here.'
        : 'People and passphrases are those of the backup.',
    )
  }
} catch (error) {
  console.error(
    isFull(error)
      ? `The disk is full. Nothing was changed. Make room, and restore again.`
      : (sentenceFor(error, path) ?? (error as Error).message),
  )
  process.exitCode = 1
}
