import { MAX_FILE_BYTES } from '../../../shared/schemas'
import { readFile, takeIn } from '../../utils/keep'
import { noteDone } from '../../utils/person'
import { jsonBody } from '../../utils/problem'
import { longWork } from '../../utils/progress'
import { useStore } from '../../utils/store'

/** Takes in a file of records: all of it, or nothing. */
export default defineEventHandler(async (event) => {
  const json = await jsonBody(event, MAX_FILE_BYTES)
  return longWork(event, async (long) => {
    const taken = takeIn(useStore(), await readFile(json, long))
    noteDone(event, 'imported a file of records', `${taken.added} added`)
    return taken
  })
})
