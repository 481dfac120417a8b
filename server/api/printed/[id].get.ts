import { attempt } from '../../../core/index'
import { listCode } from '../../../core/paper/index'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** The problems of a printed sheet, by the code at its foot. */
export default route({ least: 'looker-on', whose: 'nobody', writes: false }, (event) => {
  const code = attempt(() => listCode(getRouterParam(event, 'id') ?? ''))
  if ('refused' in code) return refuse(422, code.refused.message)
  return useStore().printed(code.ok) ?? refuse(404, 'No sheet with this code was printed here.')
})
