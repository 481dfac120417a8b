import { eraseLearner } from '../../utils/erasing'
import { noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { useStore } from '../../utils/store'

/** Erases a learner and everything kept of them for good, copies included; answers with a receipt. */
export default defineEventHandler((event) => {
  const receipt =
    eraseLearner(useStore(), getRouterParam(event, 'id') ?? '') ?? refuse(404, 'There is no such learner.')
  noteDone(
    event,
    'erased a learner',
    `${receipt.records} records, ${receipt.answers} answers, ${receipt.copies} copies`,
  )
  return receipt
})
