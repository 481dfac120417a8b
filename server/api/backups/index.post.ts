import { aside } from '../../utils/aside'
import { keepingOf } from '../../utils/keeping'
import { noteDone } from '../../utils/person'
import { useStore } from '../../utils/store'

/** Makes a backup now. */
export default defineEventHandler(async (event) => {
  const store = useStore()
  const made = await aside('backUp', { path: store.path, keep: keepingOf(store).backups, at: Date.now() })
  noteDone(event, 'made a backup', made.name)
  return made
})
