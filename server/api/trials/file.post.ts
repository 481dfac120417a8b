import { MAX_FILE_BYTES } from '../../../shared/schemas'
import { noteDone } from '../../utils/person'
import { jsonBody } from '../../utils/problem'
import { longWork } from '../../utils/progress'
import { useStore } from '../../utils/store'
import { takeInTrials } from '../../utils/trials'

/** Takes in a file of trials: all of it, or nothing. */
export default defineEventHandler(async (event) => {
  const json = await jsonBody(event, MAX_FILE_BYTES)
  return longWork(event, async (long) => {
    const taken = await takeInTrials(useStore(), json, long)
    noteDone(event, 'imported a file of trials', `${taken.added} added`)
    return taken
  })
})
