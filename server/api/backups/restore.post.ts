import { restoreSchema } from '../../../shared/people'
import { isFull } from '../../db/trouble'
import { alone, letWrite } from '../../utils/alone'
import { aside } from '../../utils/aside'
import { backupNamed, putReady } from '../../utils/backups'
import { asker, noteDone } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { longWork } from '../../utils/progress'
import { route } from '../../utils/route'
import { closeStore, useStore } from '../../utils/store'

/**
 * Puts a backup back in place. What is there now is kept as a backup first, so that this too can be gone back on. People and passphrases
 * stay as they are, unless it is said that they are to come from the backup too; everybody has to sign in anew. Once begun it is done to
 * its end. (It writes nothing itself before it has the database to itself.)
 */
export default route({ least: 'keeper', whose: 'school', writes: false }, async (event) => {
  const { name, people } = await checkedBody(event, restoreSchema)
  const { path } = useStore()
  const { name: who } = asker(event)
  const file = backupNamed(path, name) ?? refuse(404, 'There is no backup of that name.')
  const trouble = await aside('lookThrough', { path: file })
  if (trouble) refuse(409, `${trouble} Nothing was changed.`)
  return longWork(event, (long) =>
    alone(useStore, event, async () => {
      const told = (done: number): void => void long.step(done, 2).catch(() => {})
      told(0)
      let before: string
      let from: typeof people
      try {
        before = await keptBefore(path)
        told(1)
        from = await aside('makeReady', { path, name, people })
      } catch (error) {
        if (isFull(error)) refuse(507, 'The disk is full, so the backup was not put back. Nothing was changed.')
        throw error
      }
      // From here to the end nothing else is answered: it is one turn of the process.
      closeStore()
      try {
        putReady(path)
      } finally {
        useStore(true)
        letWrite()
      }
      noteDone(event, from === 'now' ? 'restored a backup' : 'restored a backup, with its people', name, who)
      return { restored: name, before, people: from }
    }),
  )
})

/** So many backups made before others were put back are kept. */
const MOST_BEFORE = 10

/** Backs up what is there now: the name of the backup, or nothing where what is there is too damaged for that. @throws Error of the disk */
async function keptBefore(path: string): Promise<string> {
  try {
    return (await aside('backUp', { path, keep: MOST_BEFORE, at: Date.now(), kind: 'before' })).name
  } catch (error) {
    if (isFull(error) || !(await aside('lookThroughInUse', { path }))) throw error
    return ''
  }
}
