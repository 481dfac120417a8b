import { scenesOf } from '../utils/scenes'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** The scenes and people that the class has added to stories. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, () => scenesOf(useStore()))
