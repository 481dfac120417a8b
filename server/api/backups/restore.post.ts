import { restoreSchema } from '../../../shared/people'
import { listBackups, makeBackup, putBack, troubleWith, backupsOf } from '../../utils/backups'
import { asker, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { closeStore, useStore } from '../../utils/store'

/** Puts a backup back in place. What is there now is kept as a backup first, so that this too can be gone back on. */
export default defineEventHandler(async (event) => {
  const { name } = await checkedBody(event, restoreSchema)
  const { path } = useStore()
  const { name: who } = asker(event)
  if (!listBackups(path).some((b) => b.name === name)) refuse(404, 'There is no backup of that name.')
  const trouble = troubleWith(`${backupsOf(path)}/${name}`)
  if (trouble) refuse(409, `${trouble} Nothing was changed.`)
  const before = await makeBackup(path, Number.MAX_SAFE_INTEGER)
  // From here to the end nothing else is answered: it is one turn of the process.
  closeStore()
  try {
    putBack(path, name)
  } finally {
    useStore()
  }
  noteDone(event, 'restored a backup', name, who)
  return { restored: name, before: before.name }
})
