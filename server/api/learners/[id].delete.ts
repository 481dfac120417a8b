import { eraseLearner } from '../../utils/erasing'
import { mustReach, noteDone } from '../../utils/person'
import { refuse } from '../../utils/problem'
import { longWork } from '../../utils/progress'
import { useStore } from '../../utils/store'
import { route } from '../../utils/route'

/** Erases a learner and everything kept of them for good, copies included; answers with a receipt. Once begun it is done to its end. */
export default route({ least: 'keeper', whose: 'learners', writes: true }, (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  mustReach(event, id)
  if (!useStore().hasLearner(id)) refuse(404, 'There is no such learner.')
  return longWork(event, async (long) => {
    const told = (done: number, of: number): void => void long.step(done, of).catch(() => {})
    const receipt =
      (await eraseLearner(useStore, id, new Date(), event, told)) ?? refuse(404, 'There is no such learner.')
    noteDone(
      event,
      'erased a learner',
      `${receipt.records} records, ${receipt.answers} answers, ${receipt.copies} copies`,
    )
    return receipt
  })
})
