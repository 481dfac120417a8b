import { coursesHere } from '../../utils/courses'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Which course the room takes, and those that the school has made. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, () => coursesHere(useStore()))
