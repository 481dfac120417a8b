import { makeBackup } from '../../utils/backups'
import { keepingOf } from '../../utils/keeping'
import { noteDone } from '../../utils/person'
import { useStore } from '../../utils/store'

/** Makes a backup now. */
export default defineEventHandler(async (event) => {
  const store = useStore()
  const made = await makeBackup(store.path, keepingOf(store).backups)
  noteDone(event, 'made a backup', made.name)
  return made
})
