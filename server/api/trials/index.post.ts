import { isDeepStrictEqual } from 'node:util'
import { MAX_TRIALS_BYTES, trialsSchema } from '../../../shared/trials'
import { mustReach } from '../../utils/person'
import { checkedBody, refuse } from '../../utils/problem'
import { others } from '../../utils/progress'
import { useStore } from '../../utils/store'
import { isUnsound, keepTrials, seenIn } from '../../utils/trials'

/**
 * Keeps trials, all of them or none; they are on disk when this answers. The same trial twice is one, and a newer state of it takes the
 * place of the older one. What was given is judged here.
 */
export default defineEventHandler(async (event) => {
  const { trials } = await checkedBody(event, trialsSchema, MAX_TRIALS_BYTES)
  const store = useStore()
  const sound: Parameters<typeof keepTrials>[1][number][] = []
  for (const [i, trial] of trials.entries()) {
    await others()
    const at = `/trials/${i}`
    if (store.erasedAt(trial.learnerId) !== undefined)
      refuse(410, 'This learner was erased for good; nothing more is kept of them.')
    if (!store.hasLearner(trial.learnerId))
      refuse(422, 'There is no such learner to keep this for.', [
        { pointer: `${at}/learnerId`, detail: 'No learner has this identifier.' },
      ])
    mustReach(event, trial.learnerId)
    if (store.erasedAt(trial.id) !== undefined) refuse(410, 'This work was erased for good and is not taken back.')
    const kept = store.trial(trial.id)
    if (kept && isDeepStrictEqual(kept, trial)) continue
    if (kept && (kept.learnerId !== trial.learnerId || kept.startedAt !== trial.startedAt || kept.kind !== trial.kind))
      refuse(409, 'Something else is kept under this identifier; it stays as it is.', [
        { pointer: `${at}/id`, detail: 'This identifier is taken.' },
      ])
    const seen = seenIn(trial)
    if (isUnsound(seen)) refuse(422, seen.detail, [{ pointer: at + seen.pointer, detail: seen.detail }])
    sound.push({ trial, seen })
  }
  keepTrials(store, sound)
  return { kept: trials.map((t) => t.id) }
})
