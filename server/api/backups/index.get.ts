import { listBackups } from '../../utils/backups'
import { useStore } from '../../utils/store'

export default defineEventHandler(() => listBackups(useStore().path))
