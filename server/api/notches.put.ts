import { parseNotchMap } from '../../core/representation/touch/index'
import { attempt } from '../../core/index'
import { jsonBody, refuse } from '../utils/problem'
import { useStore } from '../utils/store'
import { route } from '../utils/route'

const MOST_BYTES = 100_000

/** Keeps the class's own notches. A map that would change what a numeral counts is refused, with the numeral and its total. */
export default route({ least: 'teacher', whose: 'nobody', writes: true }, async (event) => {
  const json = await jsonBody(event, MOST_BYTES)
  const read = attempt(() => parseNotchMap(json))
  if ('refused' in read) refuse(422, read.refused.message, [{ pointer: '/digits', detail: read.refused.reason }])
  useStore().setNotches(read.ok)
  return { map: read.ok }
})
