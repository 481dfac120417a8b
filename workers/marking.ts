import {
  diagnose,
  nextQuestion,
  parseItem,
  printAnswer,
  predicted,
  readTable,
  rivalsIn,
  tellingApart,
  type Before,
  type ClassTable,
  type Diagnosis,
  type Family,
  type ItemText,
  type Rival,
  type Row,
  type TableTrouble,
  type WorkedWith,
} from '../core/diagnose/index'
import { attempt, printProblem, type Choices } from '../core/door'

/** Pages of answers to be marked. */
export interface PagesWish {
  readonly job: 'pages'
  readonly pages: readonly (readonly ItemText[])[]
  readonly with: WorkedWith
  readonly prior?: Before
  readonly choices?: Choices
}
/** The problem that tells most between what may still be behind some answers, or a set that tells all of it apart. */
export interface QuestionWish {
  readonly job: 'next' | 'apart'
  readonly diagnosis: Diagnosis
  readonly family: Family
  readonly most: number
  readonly asked: readonly string[]
  readonly choices?: Choices
}
/** A class's table as rows, to be read and marked; with `all`, only where every line can be read. */
export interface ClassWish {
  readonly job: 'class'
  readonly rows: readonly Row[]
  readonly with: WorkedWith
  readonly choices?: Choices
  readonly all: boolean
  /** Whether lines were broken before they could be read at all. */
  readonly broken: boolean
}
export type MarkingWish = PagesWish | QuestionWish | ClassWish

/** A question as it is shown: what each explanation would answer to it; an empty one is working as one should. */
export interface Asked {
  readonly problem: string
  readonly bits: number
  readonly answers: readonly { readonly answer: string; readonly bugs: readonly (readonly string[])[] }[]
}
export type MarkingAnswer =
  | { readonly job: 'progress'; readonly done: number; readonly of: number }
  | { readonly job: 'pages'; readonly said: readonly Diagnosis[]; readonly ms: number }
  | {
      readonly job: 'class'
      readonly table: ClassTable
      readonly troubles: readonly TableTrouble[]
      /** Null where nothing was marked, because of a line that cannot be read, or because there is nothing. */
      readonly said: readonly Diagnosis[] | null
    }
  | { readonly job: 'next'; readonly question: Asked | null }
  | {
      readonly job: 'apart'
      readonly problems: readonly string[]
      readonly together: readonly (readonly (readonly string[])[])[]
    }
  | { readonly job: 'refused'; readonly refused: string }

const told = (answer: MarkingAnswer): void => self.postMessage(answer)
/** How often progress is told, in milliseconds. */
const TOLD_MS = 100

function pages({ pages, prior, choices, with: where }: PagesWish): MarkingAnswer {
  const begun = performance.now()
  let last = begun
  const said = pages.map((texts, i) => {
    if (performance.now() - last > TOLD_MS) {
      last = performance.now()
      told({ job: 'progress', done: i, of: pages.length })
    }
    const items = texts.map(parseItem)
    return diagnose({ items, with: where, ...(prior ? { prior } : {}), ...(choices ? { choices } : {}) })
  })
  return { job: 'pages', said, ms: performance.now() - begun }
}

function wholeClass({ rows, all, broken, ...wish }: ClassWish): MarkingAnswer {
  const { table, troubles } = readTable(rows)
  const empty = table.learners.length === 0 || table.problems.length === 0
  if (empty || (all && (broken || troubles.length > 0))) return { job: 'class', table, troubles, said: null }
  const texts = table.learners.map(({ answers }) =>
    table.problems.map((problem, i): ItemText => ({ problem, answer: answers[i] ?? '' })),
  )
  const marked = pages({ ...wish, job: 'pages', pages: texts })
  return { job: 'class', table, troubles, said: marked.job === 'pages' ? marked.said : null }
}

const namesOf = (rivals: readonly Rival[]): readonly (readonly string[])[] =>
  rivals.map(({ suspect }) => suspect?.of.map((k) => k.id) ?? [])

function question({ job, diagnosis, family, most, asked, choices }: QuestionWish): MarkingAnswer {
  const rivals = rivalsIn(diagnosis, choices)
  if (job === 'apart') {
    const { problems, together } = tellingApart(rivals, { family, most })
    return { job, problems: problems.map(printProblem), together: together.map(namesOf) }
  }
  const found = nextQuestion(rivals, { family, most }, asked)
  if (!found) return { job, question: null }
  const answers = found.answers.map(({ rivals: those }) => ({
    answer: printAnswer(predicted(those[0]!.suspect ?? { of: [], form: 0 }, found.problem)[0]!),
    bugs: namesOf(those),
  }))
  return { job, question: { problem: printProblem(found.problem), bits: found.bits, answers } }
}

self.onmessage = ({ data }: MessageEvent<MarkingWish>): void => {
  const done = attempt(() =>
    data.job === 'pages' ? pages(data) : data.job === 'class' ? wholeClass(data) : question(data),
  )
  told('ok' in done ? done.ok : { job: 'refused', refused: done.refused.message })
}
