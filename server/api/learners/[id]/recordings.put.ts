import { MOST_BYTES, MOST_RECORDINGS, recordingSchema } from '../../../../shared/recordings'
import { mustReach } from '../../../utils/person'
import { checkedBody, refuse } from '../../../utils/problem'
import { soundType } from '../../../utils/sound'
import { useStore } from '../../../utils/store'
import { route } from '../../../utils/route'

/** Keeps a recording of some words, in the place of an earlier one of the same words. */
export default route({ least: 'teacher', whose: 'learners', writes: true }, async (event) => {
  const store = useStore()
  const learnerId = getRouterParam(event, 'id') ?? ''
  const { id, said, audio: sent } = await checkedBody(event, recordingSchema)
  mustReach(event, learnerId)
  if (!store.hasLearner(learnerId)) refuse(404, 'There is no such learner.')
  const audio = Buffer.from(sent, 'base64')
  if (audio.length > MOST_BYTES) refuse(413, 'This recording is too long: say it in parts of at most twenty seconds.')
  const type = audio.length < 12 ? undefined : soundType(audio)
  if (!type) refuse(422, 'This is no sound that browsers can play: WebM, Ogg, MP4 and WAV are.', [])
  if (store.otherRecordings(learnerId, said) >= MOST_RECORDINGS)
    refuse(409, `${MOST_RECORDINGS} recordings are kept for one learner. Delete some that are not needed.`)
  const there = store.recording(id)
  if (there && (there.learnerId !== learnerId || there.said !== said))
    refuse(409, 'Another recording has this identifier.')
  store.keepRecording({ id, learnerId, said, type, audio, madeAt: new Date().toISOString() })
  return store.recordings(learnerId)
})
