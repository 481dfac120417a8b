import { join } from 'node:path'
import { restoreSchema } from '../../../shared/people'
import { alone } from '../../utils/alone'
import { aside } from '../../utils/aside'
import { backupsOf, listBackups, putReady } from '../../utils/backups'
import { asker, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { longWork } from '../../utils/progress'
import { closeStore, useStore } from '../../utils/store'

/** Puts a backup back in place. What is there now is kept as a backup first, so that this too can be gone back on. Once begun it is done to its end. */
export default defineEventHandler(async (event) => {
  const { name } = await checkedBody(event, restoreSchema)
  const { path } = useStore()
  const { name: who } = asker(event)
  if (!listBackups(path).some((b) => b.name === name)) refuse(404, 'There is no backup of that name.')
  const trouble = await aside('lookThrough', { path: join(backupsOf(path), name) })
  if (trouble) refuse(409, `${trouble} Nothing was changed.`)
  return longWork(event, (long) =>
    alone(useStore, event, async () => {
      const told = (done: number): void => void long.step(done, 2).catch(() => {})
      told(0)
      const before = await aside('backUp', { path, keep: Number.MAX_SAFE_INTEGER, at: Date.now() })
      told(1)
      await aside('makeReady', { path, name })
      // From here to the end nothing else is answered: it is one turn of the process.
      closeStore()
      try {
        putReady(path)
      } finally {
        useStore(true)
      }
      noteDone(event, 'restored a backup', name, who)
      return { restored: name, before: before.name }
    }),
  )
})
