import { takeInFile } from '../../utils/importing'
import { readRecords } from '../../utils/keep'

/** Takes in a file of records: all of it, or nothing. */
export default defineEventHandler((event) => takeInFile(event, 'records', readRecords, 'takeInRecords'))
