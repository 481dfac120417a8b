import { takeInFile } from '../../utils/importing'
import { readRecords } from '../../utils/keep'
import { route } from '../../utils/route'

/** Takes in a file of records: all of it, or nothing. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) =>
  takeInFile(event, 'records', readRecords, 'takeInRecords'),
)
