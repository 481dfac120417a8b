import { MAX_FILE_BYTES } from '../../../shared/schemas'
import { readFile, takeIn } from '../../utils/keep'
import { jsonBody } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Takes in a file of records: all of it, or nothing. */
export default defineEventHandler(async (event) =>
  takeIn(useStore(), await readFile(await jsonBody(event, MAX_FILE_BYTES))),
)
