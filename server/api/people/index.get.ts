import type { Person } from '../../../shared/people'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Everybody who may use Sett. */
export default route({ least: 'keeper', whose: 'staff', writes: false }, (): readonly Person[] =>
  useStore()
    .people()
    .map(({ passphrase: _, ...person }) => person),
)
