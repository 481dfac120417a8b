import { cupboardOf } from '../utils/cupboard'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** What the school has of pieces. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, () => cupboardOf(useStore()))
