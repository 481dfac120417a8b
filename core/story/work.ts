import { multiply, exact, ZERO, type Exact } from '../number/exact'
import { parseNumeral, valueOf } from '../number/numeral'
import { attempt, Refusal } from '../refusal'
import { numbersFound, ownStory } from './own'
import type { Person, Scene } from './scene'
import { sentenceIn, valueOfSum } from './sentence'
import { cellById, SITUATIONS, toldOf, type Amounts, type Role, type SituationId } from './situation'
import { toldNumbers, understood, type Judged, type Understood } from './judge'
import { tellStory, type Length, type Story } from './tell'

/** A story as it is worked: which one, what was given at each stage, and what that says. */

/** The stages of a story, in their order; any can be left out. */
export const STAGES = ['situation', 'marks', 'bars', 'sentence', 'material', 'answer', 'check'] as const
export type Stage = (typeof STAGES)[number]

/** A story that Sett tells, as it is told again: with its scene and people, so that a class may change its own. */
export interface ToldPlan {
  readonly cell: string
  readonly amounts: Amounts
  readonly before?: Amounts
  readonly scene: Scene
  readonly people: readonly [Person, Person]
  readonly seed: number
  readonly length: Length
  readonly extra: boolean
  readonly missing?: Role
}
/** A teacher’s own. */
export interface OwnPlan {
  readonly cell: string
  readonly text: string
  readonly marks: Readonly<Partial<Record<Role, number>>>
}

/** One thing that was done: what was given at a stage, or that it was shown. */
export interface StoryEntry {
  /** Milliseconds after the start. */
  readonly at: number
  readonly stage: Stage
  /** What was given, as `judged` reads it; empty where it was shown. */
  readonly given: string
}

export interface StoryWork {
  readonly format: 'sett-story'
  readonly version: 1
  readonly story: ToldPlan | OwnPlan
  /** As it was told. */
  readonly text: string
  readonly mode: 'show' | 'together' | 'alone'
  readonly entries: readonly StoryEntry[]
}
export const MOST_ENTRIES = 200

/** What is worked of a story, whoever tells it. */
export interface Workable
  extends Judged, Pick<Story, 'sentences' | 'unit' | 'said' | 'sentence' | 'problem' | 'steps'> {
  readonly people: readonly { readonly name: string }[]
  readonly misleads: boolean
}

/** A story that is to be worked. @throws Refusal where it cannot be, as `tellStory` and `ownStory`. */
export function workable(plan: ToldPlan | OwnPlan): Workable {
  const cell = cellById(plan.cell)
  if (!cell) throw new Refusal('There is no such kind of story.', 'Choose another.')
  if (!('text' in plan)) return tellStory({ ...plan, cell })
  const own = ownStory({ text: plan.text, cell, marks: plan.marks })
  const numbers = numbersFound(plan.text)
  const unit =
    toldOf(cell)
      .filter((role) => role !== 'number' && role !== 'share')
      .map((role) => numbers[plan.marks[role] ?? -1]?.unit ?? '')
      .find((word) => !NO_UNIT.test(word)) ?? ''
  return {
    ...own,
    sentences: sentencesOf(plan.text),
    people: [{ name: 'one' }, { name: 'other' }],
    unit: cell.unknown === 'number' || cell.unknown === 'share' ? '' : unit,
    said: `#${unit && !/^[$£€]$/.test(unit) ? ` ${unit}` : ''}.`,
    steps: own.problem === null ? [] : [own.problem],
    misleads: own.misleading.length > 0,
    ...(own.extra[0] ? { extra: own.extra[0].value } : {}),
  } as Workable
}
/** Words that stand after a number, and are not what it is a number of. */
const NO_UNIT = /^(?:more|fewer|less|longer|shorter|times|of|and|in|on|each|)$/i
const sentencesOf = (text: string): readonly string[] =>
  text
    .match(/[^.?!]*(?:\.\d[^.?!]*)*[.?!]?/g)!
    .map((s) => s.trim())
    .filter((s) => s !== '')

/** Mistakes of stories, by the names that the Daybook lists (common practice, no source). */
export const STORY_SLIPS = {
  situation: 'took the story for another situation',
  needed: 'marked a number that is not needed',
  asked: 'marked something else as asked',
  places: 'put a number in another place of the bars',
  'by the word': 'chose by a key word',
  'told already': 'answered another question: a number that is told',
  'first step': 'forgot the second step',
  'not needed': 'used what was not needed',
  'other side': 'lost the side of nought',
  'made up': 'answered though a number is missing',
  'worked otherwise': 'worked the right numbers another way',
  unit: 'lost the unit',
  check: 'did not see whether the answer fits',
} as const
export type StorySlip = (typeof STORY_SLIPS)[keyof typeof STORY_SLIPS]

/** What was given at a stage: whether it is right, and which mistake it is where it has a name. */
export interface StageSays {
  readonly right: boolean
  readonly slip?: StorySlip
  readonly understood?: Understood
}
const RIGHT: StageSays = { right: true }
const named = (found: Understood): StageSays =>
  found === 'right'
    ? RIGHT
    : {
        right: false,
        understood: found,
        ...(found === 'otherwise' ? {} : { slip: STORY_SLIPS[found] }),
      }

/** The situation that is chosen for a story; where it takes two steps, only that. */
export type Chosen = SituationId | 'two-steps'
export const situationOf = ({ cell }: Judged): Chosen => (cell.after ? 'two-steps' : cell.situation)

/** A number as it is written, below nought with a sign or with “below”; `null` where it is said that nobody can know. @throws Refusal */
export function answerIn(text: string): { readonly value: Exact | null; readonly unit: string } {
  const plain = text.trim().replace(/[−–]/gu, '-')
  if (/^(?:nobody|no ?one|cannot|can't|can’t|\?)/i.test(plain)) return { value: null, unit: '' }
  const m = /^(?:yes|no)?[,;:]?\s*([$£€]?)\s*(-?\s*\d+(?:[.,]\d+)?(?:\s*\/\s*\d+)?)\s*(.*)$/i.exec(plain)
  if (!m) throw new Refusal('Write a number, and what it is a number of.', 'For example: 7 lanterns')
  const size = valueOf(parseNumeral(m[2]!.replace(/\s/g, '').replace(',', '.')))
  const below = /\bbelow\b|\bminus\b|\bmissing\b/i.test(m[3]!) && !size.startsWith('-')
  return { value: below ? multiply(size, exact(-1)) : size, unit: m[1] || m[3]!.trim() }
}

/** Whether a unit is named: its word stands in what was written, one or several. */
function hasUnit(given: string, unit: string): boolean {
  if (unit === '') return true
  const words = given.toLowerCase()
  const stem = unit.toLowerCase().replace(/(?:es|s)$/, '')
  return words.includes(stem)
}

/** Reads `key=value` pairs. */
const pairsIn = (given: string): ReadonlyMap<string, string> =>
  new Map(given.split(' ').flatMap((pair) => (pair.includes('=') ? [pair.split('=', 2) as [string, string]] : [])))

/** What was given at a stage of a story. @throws Refusal where it cannot be read. */
export function judged(story: Workable, stage: Stage, given: string): StageSays {
  const { cell, roles, missing } = story
  switch (stage) {
    case 'situation':
      return given === situationOf(story) ? RIGHT : { right: false, slip: STORY_SLIPS.situation }
    case 'marks': {
      // needs=15,8 asked=lesser, or missing=yes
      const marks = pairsIn(given)
      if ((marks.get('missing') === 'yes') !== (missing !== undefined))
        return { right: false, ...(missing ? { slip: STORY_SLIPS['made up'] } : {}) }
      const needs = (marks.get('needs') ?? '').split(',').filter((n) => n !== '')
      if (story.extra !== undefined && needs.includes(story.extra)) return { right: false, slip: STORY_SLIPS.needed }
      if ([...needs].sort().join() !== [...toldNumbers(story)].sort().join()) return { right: false }
      return marks.get('asked') === cell.unknown ? RIGHT : { right: false, slip: STORY_SLIPS.asked }
    }
    case 'bars': {
      // lesser=? difference=8 greater=15
      const placed = pairsIn(given)
      const right = SITUATIONS[cell.situation].roles.every((role) => {
        const there = placed.get(role)
        const asked = role === cell.unknown || (cell.unknown === 'both' && role !== 'whole') || role === missing
        return asked ? there === '?' : there === roles[role]
      })
      return right ? RIGHT : { right: false, slip: STORY_SLIPS.places }
    }
    case 'sentence':
      return sentenceSays(story, given)
    case 'material':
      return RIGHT
    case 'answer': {
      const { value, unit } = answerIn(given)
      const found = understood(story, value)
      const says = named(found)
      if (says.slip || value === null || !says.right) return says
      return hasUnit(unit, story.unit) ? says : { right: true, slip: STORY_SLIPS.unit }
    }
    case 'check': {
      // fits=yes answer=7: whether the answer fits, once it has been put back into the story
      const says = pairsIn(given)
      const text = (says.get('answer') ?? '').replaceAll('_', ' ')
      const fits = understood(story, text === '' ? null : answerIn(text).value) === 'right'
      return fits === (says.get('fits') === 'yes') ? RIGHT : { right: false, slip: STORY_SLIPS.check }
    }
  }
}

/** The sentence of the story, and what is worked: `? + 8 = 15; 15 - 8`. Either may be left out. */
function sentenceSays(story: Workable, given: string): StageSays {
  const { answer, roles, cell } = story
  const [sentence = '', work = ''] = given.split(';').map((part) => part.trim())
  if (answer === null) return RIGHT
  if (work !== '') {
    const value = valueOfSum(work)
    if (value === undefined) throw new Refusal('That cannot be read as something to be worked.', 'For example: 15 - 8')
    const found = understood(story, value)
    if (found !== 'right' && found !== 'first step') return named(found)
  }
  if (sentence === '') return RIGHT
  const read = sentenceIn(sentence, answer)
  if (!read) throw new Refusal('That cannot be read as a number sentence.', 'For example: ? + 8 = 15')
  if (read.asked !== 1) throw new Refusal('Write ? for what is asked, once.', 'For example: ? + 8 = 15')
  const size = (n: Exact): string => n.replace('-', '')
  const known = toldNumbers(story).map(size).sort().join()
  const right =
    read.holds &&
    read.numbers
      .map(size)
      .filter((n) => n !== ZERO || known.includes(ZERO))
      .sort()
      .join() === known
  return right || (cell.situation === 'enough' && roles.over === ZERO)
    ? RIGHT
    : { right: false, slip: STORY_SLIPS.situation }
}

/** What a worked story comes to. */
export interface StoryOutcome {
  /** Whether the last answer is right; null where none was given. */
  readonly right: boolean | null
  readonly slips: readonly StorySlip[]
  /** Stages that were shown instead of done. */
  readonly shown: readonly Stage[]
}

/** @throws Refusal where an entry cannot be read, or the story cannot be told. */
export function storyOutcome({ story: plan, entries }: StoryWork): StoryOutcome {
  const story = workable(plan)
  const slips: StorySlip[] = []
  const shown = new Set<Stage>()
  let right: boolean | null = null
  for (const { stage, given } of entries) {
    if (given === '') {
      shown.add(stage)
      continue
    }
    const says = judged(story, stage, given)
    if (says.slip) slips.push(says.slip)
    if (stage === 'answer') right = says.right
  }
  return { right, slips: [...new Set(slips)], shown: [...shown] }
}

/** As `judged`, with why it cannot be read instead of an error. */
export const tryJudged = (story: Workable, stage: Stage, given: string): StageSays | { readonly why: string } => {
  const says = attempt(() => judged(story, stage, given))
  return 'ok' in says ? says.ok : { why: says.refused.message }
}
