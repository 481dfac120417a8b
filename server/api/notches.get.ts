import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** The class's own notches; null where the rule stands. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, () => ({ map: useStore().notches() }))
