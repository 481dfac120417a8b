import { rulesOf } from '../utils/rules'
import { useStore } from '../utils/store'

/** The rules that suggestions go by. */
export default defineEventHandler(() => rulesOf(useStore()))
