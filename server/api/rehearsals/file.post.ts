import { MAX_FILE_BYTES } from '../../../shared/schemas'
import { jsonBody } from '../../utils/problem'
import { readRehearsals, takeInRehearsals } from '../../utils/rehearsals'
import { useStore } from '../../utils/store'

/** Takes in a file of rehearsals: all of it, or nothing. */
export default defineEventHandler(async (event) =>
  takeInRehearsals(useStore(), await readRehearsals(await jsonBody(event, MAX_FILE_BYTES))),
)
