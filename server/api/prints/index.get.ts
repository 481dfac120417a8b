import { useStore } from '../../utils/store'

/** Every print set that is kept, by its name. */
export default defineEventHandler(() => useStore().printSets())
