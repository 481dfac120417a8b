import { momentSchema } from '../../../shared/learners'
import { reachedRecord } from '../../utils/person'
import { checkedBody } from '../../utils/problem'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'

/** Chooses a record to be shown in the learner's timeline and report, with a word to it. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const { word } = await checkedBody(event, momentSchema)
  useStore().chooseMoment(reachedRecord(event, getRouterParam(event, 'id') ?? '').id, word)
  return { word }
})
