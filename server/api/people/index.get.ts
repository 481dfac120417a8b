import type { Person } from '../../../shared/people'
import { useStore } from '../../utils/store'

/** Everybody who may use Sett. */
export default defineEventHandler((): readonly Person[] =>
  useStore()
    .people()
    .map(({ passphrase: _, ...person }) => person),
)
