import { attempt, parseProblem, printProblem } from '../../core/index'
import { storyOutcome, workable } from '../../core/story/index'
import { trialFileSchema, type FiledTrial, type Trial } from '../../shared/trials'
import { FILE_VERSION, type TakenIn } from '../../shared/schemas'
import type { Seen } from '../db/trials'
import { codeNames, enrolling, readAs } from './files'
import type { FieldError } from './problem'
import type { Store } from './store'

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

/** Keeps trials, all or none. Those that are here already for the same learner take their newer state; what was erased stays away. */
export function keepTrials(store: Store, trials: readonly { readonly trial: Trial; readonly seen: Seen }[]): void {
  store.db.transaction(() => {
    for (const { trial, seen } of trials) store.keepTrial(trial, seen)
  })()
}

/** Trials as a file, learners by code name. */
export function trialsToFile(store: Store, trials: Iterable<Trial>) {
  const names = codeNames(store)
  const filed = [...trials].map(({ learnerId, ...t }): FiledTrial => ({ ...t, learner: names.get(learnerId)! }))
  return { format: 'sett-trials' as const, version: FILE_VERSION, trials: filed }
}

/** Takes a file of trials in: all of it or nothing. What is here already stays as it is. */
export async function takeInTrials(store: Store, json: unknown): Promise<TakenIn> {
  const seen: Seen[] = []
  const { trials } = await readAs(
    {
      format: 'sett-trials',
      called: 'trials',
      schema: trialFileSchema,
      unsound: (file) =>
        file.trials.flatMap((t, i) => {
          const found = seenIn(t)
          if (isUnsound(found)) return [{ pointer: `/trials/${i}${found.pointer}`, detail: found.detail }]
          seen.push(found)
          return []
        }),
    },
    json,
  )
  return store.db.transaction(() => {
    const learners = enrolling(store)
    const fresh = trials.flatMap(({ learner, ...t }, i) =>
      store.trial(t.id) || store.erasedAt(t.id) !== undefined
        ? []
        : [{ trial: { ...t, learnerId: learners.idOf(learner) }, seen: seen[i]! }],
    )
    keepTrials(store, fresh)
    return { added: fresh.length, already: trials.length - fresh.length, learners: learners.added() }
  })()
}
