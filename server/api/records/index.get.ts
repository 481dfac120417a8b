import { useStore } from '../../utils/store'

export default defineEventHandler(() => useStore().summaries())
