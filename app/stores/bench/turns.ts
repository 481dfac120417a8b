import type { Mode } from '../../../core/door'
import type { Outcome, SavedRecord } from '../../../shared/schemas'
import type { Draft } from '../../utils/kept'
import type { Queued } from '../../utils/queued'
import { request, ServerRefusal } from '../../utils/request'
import type { BenchLying } from './lying'
import type { BenchQueue } from './queue'

/** What was saved by itself last: told, and taken back with one press. */
export interface SavedTurn {
  readonly draft: Draft
  readonly learner: string
  readonly outcome: Outcome
}

/** The help that is taken for granted where nobody says what it was. */
export const usualHelp = (mode: Mode): Outcome['help'] =>
  mode === 'show' ? 'shown' : mode === 'together' ? 'pointed' : 'independent'

/** Saves work under its learner; where it is a turn of a lesson, the lesson knows that it was worked. @throws ServerRefusal */
export async function saveWork(
  { id, startedAt, work, turn }: Draft,
  learnerId: string,
  outcome: Outcome,
): Promise<void> {
  const record: SavedRecord = {
    id,
    learnerId,
    startedAt,
    work: work as SavedRecord['work'],
    outcome,
  }
  await request('/api/records', { method: 'POST', body: record })
  if (turn?.lesson && turn.learner === learnerId) await noteWorked(turn, id)
}

/** A lesson that is gone, or that has no such turn any more, has nothing to be told. */
const UNKNOWN = [404, 409]
/** Lets a lesson know that one of its turns was worked. @throws ServerRefusal where it cannot be told now */
async function noteWorked({ lesson, learner = null, problem, mode }: Queued, record: string | null): Promise<void> {
  const body = { learner, problem, mode, record }
  await request(`/api/lessons/${lesson}/done`, { method: 'POST', body }).catch((error: unknown) => {
    if (!(error instanceof ServerRefusal && UNKNOWN.includes(error.status))) throw error
  })
}

/** In a lesson each turn that is finished is saved by itself under the learner whose turn it is. */
export function benchTurns(
  { bench, id, savedLength, lent }: BenchLying,
  { turn }: BenchQueue,
  {
    draftNow,
    isDone,
    saved,
  }: { draftNow: () => Draft; isDone: () => Outcome['right'] | null; saved: (draft: Draft) => void },
) {
  const savedTurn = shallowRef<SavedTurn | null>(null)
  /** Why the last turn could not be saved; it lies with the unsaved work until it can. */
  const turnTrouble = ref('')
  let before: Promise<void> = Promise.resolve()
  /** The work whose save was taken back: it is not saved by itself again. */
  let takenBack = ''

  /** What a turn was saved as, by itself or by the teacher: what is done after that is saved with the same help and note. */
  function savedAs(draft: Draft, learner: string, outcome: Outcome): void {
    if (draft.turn?.lesson) savedTurn.value = { draft, learner, outcome }
  }
  async function save(draft: Draft, learner: string, outcome: Outcome): Promise<void> {
    try {
      await saveWork(draft, learner, outcome)
      saved(draft)
      savedAs(draft, learner, outcome)
      turnTrouble.value = ''
    } catch (error) {
      turnTrouble.value = (error as Error).message
    }
  }
  /** Saves the turn on the bench, if it is one of a lesson and has an answer; after what is being saved. */
  function saveTurn(): Promise<void> {
    const right = isDone()
    const draft = draftNow()
    const learner = turn.value?.learner
    if (lent.value || !turn.value?.lesson || !learner || draft.learner !== learner) return before
    if (id.value === takenBack || bench.value.log.length <= savedLength.value) return before
    // What was saved already is kept as it is now, also where its answer was taken back.
    const last = savedTurn.value?.draft.id === id.value ? savedTurn.value.outcome : null
    if (right === null && !last) return before
    const outcome: Outcome = {
      right: right ?? last?.right ?? false,
      help: last?.help ?? usualHelp(bench.value.mode),
      note: last?.note ?? '',
    }
    return (before = before.then(() => save(draft, learner, outcome)))
  }
  /** What becomes of a turn when the next one is asked: it is saved if it has an answer; what was only shown to all counts as done. */
  async function endTurn(): Promise<void> {
    const now = turn.value
    if (!now?.lesson || (now.learner ?? null) !== null) return saveTurn()
    await noteWorked(now, null).catch((error: unknown) => (turnTrouble.value = (error as Error).message))
  }
  /** Takes the last save back: the work is unsaved again, and the lesson goes on with its turn. Returns the work. */
  async function undoSave(): Promise<Draft | null> {
    await before
    const last = savedTurn.value
    if (!last) return null
    const { id: record, turn: of } = last.draft
    await request(`/api/records/${record}`, { method: 'DELETE' })
    savedTurn.value = null
    takenBack = record
    if (of?.lesson)
      await request(`/api/lessons/${of.lesson}/done?record=${record}`, { method: 'DELETE' }).catch(() => {})
    return last.draft
  }
  const forget = (): void => void (savedTurn.value = null)
  return { savedTurn, turnTrouble, saveTurn, savedAs, endTurn, undoSave, forget }
}
