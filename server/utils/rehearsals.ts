import { isRightAnswer } from '../../core/rehearse/index'
import { attempt } from '../../core/index'
import {
  FILE_VERSION,
  rehearsalFileSchema,
  type FiledAnswer,
  type KeptAnswer,
  type RehearsalFile,
  type TakenIn,
} from '../../shared/schemas'
import { codeNames, enrolling, readAs } from './files'
import type { Store } from './store'

/** Reads a file of rehearsals. Refuses with a sentence for each trouble. */
export const readRehearsals = (json: unknown): Promise<RehearsalFile> =>
  readAs(
    {
      format: 'sett-rehearsals',
      called: 'rehearsals',
      schema: rehearsalFileSchema,
      unsound: ({ answers }) =>
        answers.flatMap((a, i) => {
          const item = attempt(() => isRightAnswer(a.item, a.given))
          return 'refused' in item ? [{ pointer: `/answers/${i}/item`, detail: item.refused.message }] : []
        }),
    },
    json,
  )

/** Takes answers in: all of them or none. Whether one is right is found here; one that is here already stays as it is. */
export function takeInRehearsals(store: Store, { answers }: RehearsalFile): TakenIn {
  return store.db.transaction(() => {
    const learners = enrolling(store)
    const added = answers.filter(
      ({ learner, ...a }) =>
        store.erasedAt(a.id) === undefined &&
        store.keepAnswer({
          ...a,
          learnerId: learner === null ? null : learners.idOf(learner),
          right: isRightAnswer(a.item, a.given),
        }),
    ).length
    return { added, already: answers.length - added, learners: learners.added() }
  })()
}

/** Answers as a file, learners by code name. */
export function rehearsalsToFile(store: Store, answers: readonly KeptAnswer[]): RehearsalFile {
  const names = codeNames(store)
  const filed = answers.map(({ id, learnerId, at, item, given, ms }): FiledAnswer => ({
    id,
    learner: learnerId === null ? null : names.get(learnerId)!,
    at,
    item,
    given,
    ms,
  }))
  return { format: 'sett-rehearsals', version: FILE_VERSION, answers: filed }
}
