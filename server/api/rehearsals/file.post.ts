import { takeInFile } from '../../utils/importing'
import { readRehearsals } from '../../utils/rehearsals'

/** Takes in a file of rehearsals: all of it, or nothing. */
export default defineEventHandler((event) => takeInFile(event, 'rehearsals', readRehearsals, 'takeInAnswers'))
