import { listBackups } from '../../utils/backups'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

export default route({ least: 'keeper', whose: 'school', writes: false }, () => listBackups(useStore().path))
