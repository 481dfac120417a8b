import { MAX_FILE_BYTES } from '../../../shared/schemas'
import { alone, writesLater } from '../../utils/alone'
import { aside } from '../../utils/aside'
import { readFile } from '../../utils/keep'
import { noteDone } from '../../utils/person'
import { bodyBytes } from '../../utils/problem'
import { longWork } from '../../utils/progress'
import { useStore } from '../../utils/store'

/** Takes in a file of records: all of it, or nothing. */
export default defineEventHandler(async (event) => {
  // Until all of it is checked it writes nothing, and nobody has to wait for it.
  writesLater(event)
  const chunks = await bodyBytes(event, MAX_FILE_BYTES)
  return longWork(event, async (long) => {
    const file = await readFile(chunks, long)
    const store = useStore()
    return alone(store, event, async () => {
      const taken = await aside('takeIn', { path: store.path, file })
      noteDone(event, 'imported a file of records', `${taken.added} added`)
      return taken
    })
  })
})
