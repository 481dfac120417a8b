import { parseProblem } from '../problem/parse'
import { printProblem } from '../problem/problem'
import { attempt, Refusal } from '../refusal'
import { answerIn, judged, STORY_SLIPS, type StageSays, type StorySlip, type Workable } from './work'
import { cellById, cellId, misleads, type Cell } from './situation'
import { cellsFor, tellStory, type Story, type StoryWish } from './tell'

/** Stories in a list, as they are printed on a sheet: each from a problem, a kind and a seed, so that the same line is the same story. */
export interface Listed {
  readonly cell: Cell
  readonly problem: string
  readonly seed: number
}

/** A story for each problem that can be told, of different kinds one after another; of `kinds` only, where some are given and fit. */
export function storiesFrom(
  problems: readonly string[],
  seed: number,
  kinds: readonly string[] = [],
): readonly Listed[] {
  return problems.flatMap((typed, i) => {
    const read = attempt(() => printProblem(parseProblem(typed)))
    const problem = 'ok' in read ? read.ok : typed
    const fit = cellsFor(problem)
    const wanted = fit.filter((c) => kinds.includes(cellId(c)))
    const cells = wanted.length > 0 ? wanted : fit
    const cell = cells[(seed + i * 5) % cells.length]
    return cell ? [{ cell, problem, seed: seed + i }] : []
  })
}
export const toldIn = ({ cell, problem, seed }: Listed, more: Pick<StoryWish, 'words'> = {}): Story =>
  tellStory({ cell, problem, seed, ...more })

/** A line of a list: `story compare/lesser/more 12: 15 - 8`. */
export const storyLine = ({ cell, problem, seed }: Listed): string => `story ${cellId(cell)} ${seed}: ${problem}`
/** Reads a line back. @throws Refusal where it is none. */
export function readStoryLine(line: string): Listed {
  const [, id, seed, problem] = /^story (\S+) (\d{1,6}): (.+)$/.exec(line) ?? []
  const cell = id === undefined ? undefined : cellById(id)
  if (!cell || !problem) throw new Refusal('That is no line of a list of stories.')
  return { cell, problem, seed: Number(seed) }
}

/** What one answer of a page says; null where none was written. */
export interface PageLine {
  readonly says: StageSays | null
  readonly why?: string
}
/** A mistake on a page: in how many stories it was seen, and in how many it would have shown. */
export interface PageSlip {
  readonly slip: StorySlip
  readonly seen: number
  readonly could: number
}
export interface PageSays {
  readonly lines: readonly PageLine[]
  readonly right: number
  readonly answered: number
  /** The mistake that was seen in the greatest share of the stories where it would show comes first. */
  readonly slips: readonly PageSlip[]
}

/** Whether a mistake would show in the answer to a story. */
const WOULD_SHOW: Partial<Readonly<Record<StorySlip, (s: Workable) => boolean>>> = {
  [STORY_SLIPS['by the word']]: ({ cell }) => misleads(cell),
  [STORY_SLIPS['first step']]: ({ cell }) => cell.after !== undefined,
  [STORY_SLIPS['not needed']]: ({ extra }) => extra !== undefined,
  [STORY_SLIPS['other side']]: ({ cell: { situation, unknown } }) =>
    (situation === 'rise' || situation === 'fall') && unknown !== 'change',
  [STORY_SLIPS['made up']]: ({ missing }) => missing !== undefined,
  [STORY_SLIPS.unit]: ({ unit }) => unit !== '',
}

/** What a page of answers says: each line, and which mistakes run through it. Nothing is said of a mistake that could not have shown. */
export function pageSays(page: readonly { readonly story: Workable; readonly answer: string }[]): PageSays {
  const lines = page.map(({ story, answer }): PageLine => {
    if (answer.trim() === '') return { says: null }
    const read = attempt(() => {
      answerIn(answer)
      return judged(story, 'answer', answer)
    })
    return 'ok' in read ? { says: read.ok } : { says: null, why: read.refused.message }
  })
  const answered = page.filter((_, i) => lines[i]!.says !== null)
  const slips = Object.values(STORY_SLIPS).flatMap((slip): PageSlip[] => {
    const seen = lines.filter((l) => l.says?.slip === slip).length
    const would = WOULD_SHOW[slip] ?? (() => true)
    return seen === 0 ? [] : [{ slip, seen, could: answered.filter(({ story }) => would(story)).length }]
  })
  return {
    lines,
    right: lines.filter((l) => l.says?.right).length,
    answered: answered.length,
    slips: slips.sort((a, b) => b.seen / b.could - a.seen / a.could || b.seen - a.seen),
  }
}
