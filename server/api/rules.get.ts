import { rulesOf } from '../utils/rules'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

/** The rules that suggestions go by. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, () => rulesOf(useStore()))
