import { scenesOf } from '../utils/scenes'
import { useStore } from '../utils/store'

/** The scenes and people that the class has added to stories. */
export default defineEventHandler(() => scenesOf(useStore()))
