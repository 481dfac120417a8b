import { Refusal } from '../refusal'
import { pretty } from '../speech/words'
import { barsOfSteps, printAmount, storiesFrom, toldIn, type Bar, type Story } from '../story/index'
import { line, moved, POINT, rect, text, type Mark } from './drawing'
import { column, flowed, paragraph, type Block } from './lines'
import { figure, label, outline } from './marks'
import type { Content, Room } from './page'
import { lineHeight, sizeFor, wordsOf, type Setting } from './setting'

/** Stories to be worked on paper: the words, room for bars and for the answer with its unit; or with all of it in place. */

export interface StoriesWish {
  readonly kind: 'stories'
  /** What is worked in each; what fits no story is left out. */
  readonly problems: readonly string[]
  readonly shown: 'blank' | 'key'
  readonly seed: number
  /** Numbers in the class's words instead of figures. */
  readonly inWords: boolean
  /** Which kinds of story are wanted, by their ids; all that fit where none is given. */
  readonly kinds?: readonly string[]
}

/** Bars at one scale, so wide, with a frame around each part. */
function barMarks(s: Setting, bars: readonly Bar[], width: number): Block {
  const high = s.big ? 16 : 9
  const size = sizeFor(s, 'body')
  const left = bars.some((b) => b.name) ? (s.big ? 30 : 16) : 0
  const room = width - left
  const marks: Mark[] = []
  let y = 0
  for (const bar of bars) {
    if (bar.over) {
      marks.push(text(left + room / 2, y + size * POINT, bar.over, size, 'bold', 'middle'))
      y += lineHeight(size) + 1
      marks.push(line(left, y - 0.5, left + room, y - 0.5, { wide: 0.3 }))
    }
    if (bar.name) marks.push(text(0, y + high / 2 + 1.4, bar.name, size, 'regular'))
    for (const p of bar.parts) {
      const [x, w] = [left + p.from * room, (p.to - p.from) * room]
      marks.push(rect(x, y, w, high, p.gap ? { wide: 0.4, dash: [1.5, 1.5] } : { wide: 0.5 }))
      if (p.text && s.measure(p.text, 'bold', size) < w)
        marks.push(text(x + w / 2, y + high / 2 + 1.4, p.text, size, 'bold', 'middle'))
    }
    y += high + 3
  }
  return { w: width, h: y, marks }
}

/** Room to draw bars in, or the bars themselves. */
const room = (s: Setting, story: Story, key: boolean, width: number): Block => {
  if (key && !s.tactile)
    return column(
      barsOfSteps(story).map((bars) => barMarks(s, bars, width)),
      2,
    )
  const high = s.big ? 40 : 24
  const frame = rect(0, 0, width, high, s.tactile ? outline(s) : { stroke: 'grey', wide: 0.25 })
  return { w: width, h: high + 2, marks: [s.tactile ? figure([frame]) : frame] }
}

/** An amount with its unit; a sign of money stands before it. */
const withUnit = (amount: string, unit: string): string =>
  /^\p{Sc}$/u.test(unit) ? `${unit}${amount}` : `${amount} ${unit}`.trim()

/** The line for the answer, with the unit that it is in; in a key the sentence, what is worked, and the answer. */
function answerLine(s: Setting, story: Story, key: boolean, width: number): Block {
  const size = sizeFor(s, 'learner')
  if (key) {
    const { answer, cell, steps, unit } = story
    const worked = answer === null ? unit : `${steps.join(', ')} = ${withUnit(printAmount(cell.unknown, answer), unit)}`
    return paragraph(s, pretty(`${story.sentence} · ${worked}`), width, s.tactile ? size : sizeFor(s, 'body'), 'bold')
  }
  const long = s.tactile ? 40 : 30
  const base = s.tactile ? 12 : size * POINT * 1.3
  const rule = line(0, base, long, base, { wide: s.tactile ? 1 : 0.3 })
  return {
    w: width,
    h: base + 3,
    marks: [
      s.tactile ? figure([rule]) : rule,
      label(s, long + (s.tactile ? 6 : 2), base - (s.tactile ? 0 : 0.5), story.unit, size, 'start'),
    ],
  }
}

/** @throws Refusal where none of the problems can be told. */
export function storySheets({ problems, shown, seed, inWords, kinds }: StoriesWish, area: Room, s: Setting): Content {
  const told = storiesFrom(problems, seed, kinds).map((one) => toldIn(one, inWords ? { words: wordsOf(s) } : {}))
  if (told.length === 0)
    throw new Refusal('None of the problems can be told as a story.', 'Two whole numbers are wanted.')
  const key = shown === 'key'
  const lead = s.tactile ? 0 : s.big ? 18 : 9
  const size = s.big ? sizeFor(s, 'learner') : 14
  const width = area.w - lead
  const blocks = told.map((story, i): Block => {
    const body = column(
      [
        paragraph(s, story.sentences.join('\n'), width, size, 'regular'),
        room(s, story, key, Math.min(width, 150)),
        answerLine(s, story, key, width),
      ],
      s.tactile ? 4 : 2,
    )
    const number = sizeFor(s, 'body')
    const head: readonly Mark[] = s.tactile ? [] : [text(0, number * POINT * 1.2, `${i + 1}.`, number)]
    return { w: area.w, h: body.h, marks: [...head, moved(body.marks, lead, 0)] }
  })
  return { title: key ? 'Stories: answers' : 'Stories', sheets: flowed(blocks, area.h, s.tactile ? 8 : 7), named: !key }
}
