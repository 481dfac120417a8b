import { MAX_TRIALS_BYTES, trialsSchema } from '../../../shared/trials'
import { mustBeKnown } from '../../utils/mayKeep'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { others } from '../../utils/progress'
import { route } from '../../utils/route'
import { useStore } from '../../utils/store'
import { isUnsound, keepTrials, mayKeepTrial, seenIn } from '../../utils/trials'

/**
 * Keeps trials, all of them or none; they are on disk when this answers. The same trial twice is one, and a newer state of it takes the
 * place of the older one. What was given is judged here.
 */
export default route({ least: 'helper', whose: 'learners', writes: true }, async (event) => {
  const { trials } = await checkedBody(event, trialsSchema, MAX_TRIALS_BYTES)
  const store = useStore()
  const sound: Parameters<typeof keepTrials>[1][number][] = []
  for (const [i, trial] of trials.entries()) {
    await others()
    const at = `/trials/${i}`
    mustBeKnown(store, trial.learnerId, at)
    mustReach(event, trial.learnerId)
    if (mayKeepTrial(store, trial, at) === 'same') continue
    const seen = seenIn(trial)
    if (isUnsound(seen)) refuse(422, seen.detail, [{ pointer: at + seen.pointer, detail: seen.detail }])
    sound.push({ trial, seen })
  }
  keepTrials(store, sound)
  return { kept: trials.map((t) => t.id) }
})
