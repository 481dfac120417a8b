import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Every print set that is kept, by its name. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, () => useStore().printSets())
