import type { H3Event } from 'h3'
import { MAX_FILE_BYTES, type TakenIn } from '../../shared/schemas'
import { alone, writesLater } from './alone'
import { aside, asideDone } from './aside'
import type { IsMine } from './files'
import { firstGroups } from './learners'
import { asker, isReached, noteDone, reachOf } from './person'
import { bodyBytes } from './problem'
import { longWork, type Long } from './progress'
import { useStore } from './store'
import type { CheckedFile } from './takingIn'

type TakingIn = 'takeInRecords' | 'takeInTrials' | 'takeInAnswers'

/** Whether whoever asks may bring something of a learner of some code name: one whom they reach, or somebody new. No name means their own practice. */
const isMine =
  (event: H3Event): IsMine =>
  (name) => {
    if (name === null) return asker(event).only === null || isReached(event, null)
    const known = useStore().learnerNamed(name)
    return known === undefined ? firstGroups(event) !== null : isReached(event, known.id)
  }

/** Takes in the file that a request brings, of what is called so: all of it, or nothing. */
export async function takeInFile<Found>(
  event: H3Event,
  called: string,
  read: (chunks: Buffer[], long: Long, isMine: IsMine) => Promise<CheckedFile<Found>>,
  task: TakingIn,
): Promise<TakenIn | undefined> {
  reachOf(event)
  const groups = firstGroups(event)
  // Until all of it is checked it writes nothing, and nobody has to wait for it.
  writesLater(event)
  const chunks = await bodyBytes(event, MAX_FILE_BYTES)
  return longWork(event, async (long) => {
    const file = await read(chunks, long, isMine(event))
    // Nobody who writes has to wait for a backup that is under way.
    await asideDone()
    return alone(useStore, event, async (store) => {
      const taken = await aside(
        task,
        { path: store.path, file: file as CheckedFile<never>, groups: groups ?? [] },
        { handed: file.things.map((block) => block.buffer), signal: long.signal },
      )
      noteDone(event, `imported a file of ${called}`, `${taken.added} added`)
      return taken
    })
  })
}
