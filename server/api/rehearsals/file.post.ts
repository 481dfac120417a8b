import { takeInFile } from '../../utils/importing'
import { readRehearsals } from '../../utils/rehearsals'
import { route } from '../../utils/route'

/** Takes in a file of rehearsals: all of it, or nothing. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, (event) =>
  takeInFile(event, 'rehearsals', readRehearsals, 'takeInAnswers'),
)
