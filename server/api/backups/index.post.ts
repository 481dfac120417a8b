import { aside } from '../../utils/aside'
import { keepingOf } from '../../utils/keeping'
import { noteDone } from '../../utils/person'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Makes a backup now. Those made by hand are counted by themselves, so that they put no daily one out. */
export default route({ least: 'keeper', whose: 'school', writes: true }, async (event) => {
  const store = useStore()
  const made = await aside('backUp', { path: store.path, keep: keepingOf(store).backups, at: Date.now(), kind: 'hand' })
  noteDone(event, 'made a backup', made.name)
  return made
})
