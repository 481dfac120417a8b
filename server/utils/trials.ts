import { isDeepStrictEqual } from 'node:util'
import { attempt, parseProblem, printProblem } from '../../core/index'
import { storyOutcome, workable } from '../../core/story/index'
import { filedTrialSchema, trialFileSchema, type FiledTrial, type Trial } from '../../shared/trials'
import { FILE_VERSION } from '../../shared/schemas'
import type { Damaged } from '../db/sums'
import type { Seen } from '../db/trials'
import { codeNames, damagedPart, readFile, type IsMine } from './files'
import { isSameWork, mayKeep } from './mayKeep'
import type { FieldError } from './problem'
import type { Long } from './progress'
import type { Store } from './store'
import type { CheckedFile } from './takingIn'

/** What is found of a trial: a story is told again and what was given is judged anew. Else what is wrong with it. */
export function seenIn({ work, help }: Pick<Trial, 'work' | 'help'>): Seen | FieldError {
  if (work.format === 'sett-story') return seenInStory(work)
  const plain = { durationMs: work.ms, step: '', material: '', mode: 'together', slips: [] }
  if (work.format === 'sett-note') return { ...plain, problem: '' }
  const { step, material, asked } = work
  const read = attempt(() => printProblem(parseProblem(asked)))
  return {
    ...plain,
    step,
    material,
    problem: 'ok' in read ? read.ok : asked,
    mode: help === 'independent' ? 'alone' : 'together',
  }
}
/** Stories are no step of a course: what is asked in them is more than its problem. */
const STORIES = 'stories'
function seenInStory(work: Extract<Trial['work'], { format: 'sett-story' }>): Seen | FieldError {
  const told = attempt(() => workable(work.story))
  if ('refused' in told) return { pointer: '/work/story', detail: told.refused.message }
  const came = attempt(() => storyOutcome(work))
  if ('refused' in came) return { pointer: '/work/entries', detail: came.refused.message }
  const material = work.entries.findLast((e) => e.stage === 'material' && e.given !== '')?.given ?? ''
  return {
    durationMs: work.entries.at(-1)?.at ?? 0,
    problem: told.ok.problem ?? told.ok.sentence,
    step: STORIES,
    material,
    mode: work.mode,
    slips: came.ok.slips,
  }
}
export const isUnsound = (seen: Seen | FieldError): seen is FieldError => 'pointer' in seen

/** Whether a trial may be kept now (see `mayKeep`). */
export const mayKeepTrial = (store: Store, trial: Trial, at = ''): 'same' | 'new' =>
  mayKeep(
    store,
    trial,
    store.trial(trial.id),
    (kept) =>
      kept.kind !== trial.kind || !isSameWork(kept, trial)
        ? 'other'
        : isDeepStrictEqual(kept, trial)
          ? 'same'
          : 'newer',
    at,
  )

/** Keeps trials, all or none. Those that are here already for the same learner take their newer state; what was erased stays away. */
export function keepTrials(store: Store, trials: readonly { readonly trial: Trial; readonly seen: Seen }[]): void {
  store.db.transaction(() => {
    for (const { trial, seen } of trials) if (mayKeepTrial(store, trial) === 'new') store.keepTrial(trial, seen)
  })()
}

/** Trials as a file, learners by code name; written one at a time, so that it may be of any length. Those that cannot be read any more are named at its end. */
export function* trialsToFile(store: Store, trials: (damaged: Damaged) => Iterable<Trial>): Generator<string> {
  const names = codeNames(store)
  yield `{"format":"sett-trials","version":${FILE_VERSION},"trials":[`
  let first = true
  const damaged: string[] = []
  for (const { learnerId, ...t } of trials((id) => damaged.push(id))) {
    const filed: FiledTrial = { ...t, learner: names.get(learnerId)! }
    yield (first ? '' : ',') + JSON.stringify(filed)
    first = false
  }
  yield `]${damagedPart(damaged)}}`
}

/** Reads a file of trials; each is judged anew. Refuses as `readFile` does. */
export const readTrials = (chunks: Buffer[], long?: Long, isMine?: IsMine): Promise<CheckedFile<Seen>> =>
  readFile(
    {
      format: 'sett-trials',
      called: 'trials',
      list: 'trials',
      schema: trialFileSchema,
      thing: filedTrialSchema,
      find: seenIn,
    },
    chunks,
    long,
    isMine,
  )
