import { coursesHere } from '../../utils/courses'
import { useStore } from '../../utils/store'

/** Which course the room takes, and those that the school has made. */
export default defineEventHandler(() => coursesHere(useStore()))
