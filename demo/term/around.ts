import { addDays, format } from 'date-fns'
import { planLesson, seeded, setProblems, stepById } from '../../core/course/index'
import { answer, numberText, parseProblem } from '../../core/index'
import { isRightAnswer } from '../../core/rehearse/index'
import { keepCupboard } from '../../server/utils/cupboard'
import { markPage } from '../../server/utils/marking'
import type { Store } from '../../server/utils/store'
import { CUPBOARD_AT_FIRST } from '../../shared/cupboard'
import { idFor } from '../lantern-walk'
import { learnerId, SEED, wrongAnswer } from './answers'

/** What there is in the term besides what was worked: goals, marked pages, facts, the stock, what suits whom, and lessons taught. */

/** Goals that were met, missed, and are still open. */
const GOALS = [
  {
    who: 'Wren',
    step: 'take-2-2',
    share: 0.8,
    set: -80,
    by: -49,
    words: 'Subtracts two-digit numbers without exchange, 8 of 10.',
  },
  { who: 'Wren', step: 'take-2-2-ten', share: 0.8, set: -40, by: 21, words: 'Subtracts with one exchange, 8 of 10.' },
  { who: 'Pip', step: 'take-2-2-ten', share: 0.8, set: -80, by: -28, words: 'Subtracts with one exchange, 8 of 10.' },
  { who: 'Fen', step: 'add-2-2-ten', share: 0.8, set: -80, by: -30, words: 'Adds with one exchange, 8 of 10.' },
  { who: 'Teal', step: 'add-3-3', share: 0.8, set: -60, by: 14, words: 'Adds three-digit numbers without help.' },
] as const
export function setGoals(store: Store, today: Date): void {
  const dayAt = (by: number): string => format(addDays(today, by), 'yyyy-MM-dd')
  for (const [i, { who, step, share, set, by, words }] of GOALS.entries())
    store.keepGoal({
      id: idFor(60, i),
      learnerId: learnerId(who),
      step,
      material: '',
      help: 'independent',
      share,
      set: dayAt(set),
      by: dayAt(by),
      words,
      archived: false,
      version: 0,
    })
}

/** Pages that were marked: whose, how many days ago, and by which procedure they were answered. */
const PAGES = [
  { who: 'Pip', daysAgo: 47, step: 'take-2-2-ten', mistake: 'smaller-from-larger' },
  { who: 'Ash', daysAgo: 12, step: 'take-across', mistake: 'stops-borrow-at-zero' },
  { who: 'Wren', daysAgo: 5, step: 'take-2-2-ten', mistake: '' },
] as const
export function markPages(store: Store, today: Date): void {
  for (const [i, { who, daysAgo, step, mistake }] of PAGES.entries()) {
    const items = setProblems({ step: stepById(step)!, count: 8, seed: SEED + i }).map((problem) => ({
      problem,
      answer: wrongAnswer(problem, mistake) ?? numberText(answer(parseProblem(problem))),
    }))
    const at = addDays(today, -daysAgo)
    at.setHours(13, 20, 0, 0)
    const page = {
      id: idFor(61, i),
      learnerId: learnerId(who),
      markedAt: at.toISOString(),
      with: 'paper' as const,
      items,
    }
    const said = markPage(page, store.classroom())
    if (!('pointer' in said)) store.keepMarking({ ...page, said })
  }
}

/** Ash's facts, quick and nearly all right. */
export function rehearseFacts(store: Store, today: Date): void {
  const random = seeded(SEED)
  const ash = learnerId('Ash')
  for (let i = 0; i < 90; i++) {
    const [a, b] = [2 + Math.floor(8 * random()), 2 + Math.floor(8 * random())]
    const at = addDays(today, -(1 + Math.floor(i / 15)))
    at.setHours(14, 5, 6 * (i % 15), 0)
    const item = `fact ${a}*${b}`
    const given = String(random() < 0.95 ? a * b : a * b + a)
    const right = isRightAnswer(item, given)
    store.keepAnswer({
      id: idFor(62, i),
      learnerId: ash,
      at: at.getTime(),
      item,
      given,
      right,
      ms: 1400 + Math.round(900 * random()),
    })
  }
}

/** What lies in the store room: tens are short. */
export function stock(store: Store): void {
  const plain = { pack: 0, madeOf: 'plain' as const }
  keepCupboard(store, {
    ...CUPBOARD_AT_FIRST,
    stock: {
      'blocks/one': { ...plain, have: 120, shelf: 'A1' },
      'blocks/ten': { ...plain, have: 14, pack: 10, shelf: 'A1' },
      'blocks/hundred': { ...plain, have: 12, shelf: 'A2' },
    },
  })
}

/** Moth works with two switches and large letters. */
export function suit(store: Store): void {
  const moth = store.learner(learnerId('Moth'))!
  store.keepLearner({
    ...moth,
    choices: { ...moth.choices, letters: 2, access: { ...moth.choices.access, switches: 2, targets: 60, says: true } },
  })
}

/** Lessons that were taught: one a week, with what was noted. */
const TAUGHT = [
  { who: ['Wren', 'Pip'], step: 'take-2-2-ten', note: 'Both found the exchange themselves at the end.' },
  { who: ['Fen', 'Moth'], step: 'add-2-1', note: 'Fen showed Moth how to push the ones.' },
  { who: ['Ash', 'Teal'], step: 'take-3-3', note: 'Ash was done early; zeros next time.' },
] as const
export function teachBefore(store: Store, today: Date): void {
  for (let week = 1; week <= 6; week++) {
    const { who, step, note } = TAUGHT[week % TAUGHT.length]!
    const learners = who.map(learnerId)
    const day = addDays(today, 2 - (today.getDay() || 7) - 7 * week)
    day.setHours(9, 30, 0, 0)
    const { turns } = planLesson({
      learners: learners.map((id) => ({ id, step: stepById(step)! })),
      minutes: 15,
      seed: SEED + week,
    })
    store.keepLesson({
      id: idFor(63, week),
      day: format(day, 'yyyy-MM-dd'),
      at: '09:30',
      minutes: 15,
      learners,
      turns: turns.map((turn) => ({ ...turn, done: { at: day.toISOString(), record: null } })),
      words: '',
      notes: { [learners[0]!]: note },
      version: 0,
    })
  }
}
