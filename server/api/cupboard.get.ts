import { cupboardOf } from '../utils/cupboard'
import { useStore } from '../utils/store'

/** What the school has of pieces. */
export default defineEventHandler(() => cupboardOf(useStore()))
