import { momentSchema } from '../../../shared/learners'
import { checkedBody, refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Chooses a record to be shown in the learner's timeline and report, with a word to it. */
export default defineEventHandler(async (event) => {
  const { word } = await checkedBody(event, momentSchema)
  if (!useStore().chooseMoment(getRouterParam(event, 'id') ?? '', word)) refuse(404, 'There is no such record.')
  return { word }
})
