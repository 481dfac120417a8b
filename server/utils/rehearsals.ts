import { isRightAnswer } from '../../core/rehearse/index'
import { attempt } from '../../core/index'
import {
  FILE_VERSION,
  filedAnswerSchema,
  rehearsalFileSchema,
  type FiledAnswer,
  type KeptAnswer,
  type RehearsalFile,
} from '../../shared/schemas'
import { codeNames, readFile, type IsMine } from './files'
import type { FieldError } from './problem'
import type { Long } from './progress'
import type { Store } from './store'
import type { CheckedFile } from './takingIn'

/** Reads a file of rehearsals; whether an answer is right is found anew. Refuses as `readFile` does. */
export const readRehearsals = (chunks: Buffer[], long?: Long, isMine?: IsMine): Promise<CheckedFile<boolean>> =>
  readFile(
    {
      format: 'sett-rehearsals',
      called: 'rehearsals',
      list: 'answers',
      schema: rehearsalFileSchema,
      thing: filedAnswerSchema,
      find: ({ item, given }): boolean | FieldError => {
        const right = attempt(() => isRightAnswer(item, given))
        return 'refused' in right ? { pointer: '/item', detail: right.refused.message } : right.ok
      },
    },
    chunks,
    long,
    isMine,
  )

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
