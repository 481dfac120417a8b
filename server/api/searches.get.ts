import { searchesOf } from '../utils/searches'
import { useStore } from '../utils/store'

/** How the Daybook was narrowed before, under names. */
export default defineEventHandler(() => searchesOf(useStore()))
