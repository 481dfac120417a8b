import type { Session } from '../../../shared/people'
import { onNetwork } from '../../utils/hosts'
import type { Asker } from '../../utils/person'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Who is signed in, and whether people sign in here at all. */
export default route({ least: 'anybody', whose: 'nobody', writes: false }, (event): Session => {
  const asker = event.context.asker as Asker | undefined
  return {
    asked: useStore().hasKeeper() || onNetwork(),
    person: asker && asker.id !== null ? { name: asker.name, role: asker.role } : null,
  }
})
