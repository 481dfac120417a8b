import { takeInFile } from '../../utils/importing'
import { readTrials } from '../../utils/trials'

/** Takes in a file of trials: all of it, or nothing. */
export default defineEventHandler((event) => takeInFile(event, 'trials', readTrials, 'takeInTrials'))
