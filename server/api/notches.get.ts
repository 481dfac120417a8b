import { useStore } from '../utils/store'

/** The class's own notches; null where the rule stands. */
export default defineEventHandler(() => ({ map: useStore().notches() }))
