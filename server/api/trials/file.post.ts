import { takeInFile } from '../../utils/importing'
import { readTrials } from '../../utils/trials'
import { route } from '../../utils/route'

/** Takes in a file of trials: all of it, or nothing. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) =>
  takeInFile(event, 'trials', readTrials, 'takeInTrials'),
)
