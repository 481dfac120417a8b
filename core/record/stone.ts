import type { Act } from '../act/act'
import { leadsAway, stand, type Standing } from '../act/standing'
import { ZERO } from '../number/exact'
import { zeroLeftOut } from '../mistakes/dividing'
import { groupTooMany } from '../mistakes/groups'
import { procedureFor } from '../mistakes/index'
import { carryBefore, carryDropped, notMovedOver } from '../mistakes/multiplying'
import { parseNumeral, valueOf } from '../number/numeral'
import { backwards, extended, type Trail } from '../number/trail'
import { follow } from '../plan/follow'
import { columnLines, styleOf, underWay, write, type WrittenLine } from '../plan/lines'
import { columnAloud, packFor, type Setup } from '../plan/setup'
import { handsOf, tellingOf, withRule } from '../plan/telling'
import { attempt, Refusal } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import {
  applyAll,
  isUnfinished,
  type Owed,
  type Recognised,
  type RepresentationId,
} from '../representation/representation'
import type { BeadDetail } from '../speech/beads'
import { labelOf, sayAct, sayGuess, sayOwed, sayStart, underWay as labelUnderWay } from '../speech/index'
import { storyOf } from '../speech/story'
import { nextOf, wayById } from '../way/index'
import { compareWithWay, isAmount } from './comparing'
import { goesOn, judgedOf } from './judging'
import { laidTooMuch, relaid, startsElsewhere } from './laying'
import type { HandMoves, Moment, Stone } from './moment'
import { slipIn, slipInColumn, SLIPS } from './slips'

/** So many moves make one stone at the most, so that what is looked at together stays short however long hands go on. */
const MOST_MOVES = 200

/** Reads a typed move and makes it. It joins the stone still growing when the two together are one thing done. */
export function moved(setup: Setup, now: Moment, on: RepresentationId, text: string): Moment {
  if (!setup.all.includes(on)) throw new Refusal(`${REPRESENTATIONS[on]?.title ?? on} is not on this bench.`)
  const r = REPRESENTATIONS[on]
  const missed = now.followers[on]
  if (missed) throw new Refusal(missed.why, 'Put the mat right first, or take the last step back.')
  const move = r.parse(text)
  r.apply(now.states[on], move)
  if (now.open?.on === on && now.open.moves.length < MOST_MOVES) {
    const moves = [...now.open.moves, move]
    const known = goesOn(setup, now, on, move) ? r.recognise(now.open.from.states[on], moves) : undefined
    const together = relaid(now, on, move, known) ?? known
    if (together !== undefined) return grown(setup, now.open.from, on, moves, together)
  }
  const alone = r.recognise(now.states[on], [move]) ?? { soFar: [], owed: { kind: 'nothing' } as const }
  return grown(setup, { ...now, open: null }, on, [move], alone)
}

/** What is told although the act itself is just what the way asks for, or part of it. */
const TOLD: readonly Owed['kind'][] = ['still-fits', 'zero-left']

type Known = Exclude<Recognised, undefined>

function grown(setup: Setup, from: Moment, on: RepresentationId, moves: readonly unknown[], known: Known): Moment {
  const unfinished = isUnfinished(known)
  // A first number of nought leaves nothing on the mat; what comes then looks like laying, but joins.
  const done = (unfinished ? known.soFar : known).map((a) =>
    a.kind === 'lay' && from.standing.laid ? { ...a, kind: 'join' as const } : a,
  )
  const { step, acts } = compareWithWay(setup, from, done)
  const tooMuch = laidTooMuch(setup, from, acts)
  // What a hand carries off to the store may be the very ones that were to be taken.
  const owed = unfinished && (step === 'other' || TOLD.includes(known.owed.kind)) ? known.owed : tooMuch
  const judged = step === 'planned' || acts.length === 0 ? undefined : judgedOf(setup, from, on, moves)
  // Half of a digit has no rule of its own: it is the digit's rule that is under way.
  const halves = judged?.hand.step === 'part' && judged.hand.detail ? acts.map(withoutRule) : acts
  const hand = judged ? { on, moves, owed: tooMuch, ...judged.hand } : { on, moves, owed, step }
  const moment = laid(setup, from, halves, hand)
  const whole = judged ? judged.ends : owed === null && step === 'planned'
  return { ...moment, open: whole ? null : { on, moves, from } }
}

function withoutRule(act: Act): Act {
  if (!isAmount(act)) return act
  const { rule: _, parts: __, ...bare } = act
  return bare
}

/** Lays a stone on a moment: acts in every representation, on the page and in words. */
export function laid(setup: Setup, from: Moment, acts: readonly Act[], hand: HandMoves): Moment {
  const pack = packFor(setup)
  const followed = follow(setup, from, acts, hand)
  let { page, standing } = from
  const lines: WrittenLine[] = []
  const stood: Standing[] = []
  for (const act of acts) {
    stood.push(standing)
    const written = write(page, act, styleOf(setup))
    page = written.page
    lines.push(...columnLines(setup, from.states[setup.representation], act, written.lines))
    standing = stand(setup.worked, standing, act)
  }
  if (hand.step === 'part' && hand.detail) lines.push(...underWay(hand.detail, pack))
  const before = from.standing.value
  const owed = hand.owed ? sayOwed(hand.owed, acts, before, pack, setup.units, setup.choices.division.steps) : ''
  const states = {
    ...followed.states,
    ...(setup.all.includes('equations') && hand.on !== 'equations' ? { equations: page } : {}),
  }
  const shared = {
    states,
    followers: followed.followers,
    standing,
    page,
    second: from.second,
    guess: from.guess,
    open: null,
  }
  if (acts.length === 0 && owed === '') return { ...shared, stones: from.stones }
  const stone = new ToldStone(
    {
      on: hand.on,
      acts,
      moves: followed.moves,
      lines,
      before,
      shows: standing.value,
      owed,
      owedKind: hand.owed?.kind ?? null,
      step: hand.step ?? 'planned',
      strays: hand.step === 'other' && leadsAway(from.standing, standing),
      slip: hand.slip || watched(from, hand) || owedSlip(setup, hand.owed) || slipOf(setup, from, acts, standing),
      waiting: followed.waiting,
    },
    () => wordsOf(setup, from, acts, stood, hand),
  )
  return { ...shared, stones: extended(from.stones, stone) }
}

type Words = Pick<Stone, 'label' | 'say' | 'detail'>

/** A stone whose words are made only when somebody hears or reads them: checking a record needs none of them. */
class ToldStone implements Stone {
  readonly on: Stone['on']
  readonly acts: Stone['acts']
  readonly moves: Stone['moves']
  readonly lines: Stone['lines']
  readonly before: Stone['before']
  readonly shows: Stone['shows']
  readonly owed: string
  readonly owedKind: Stone['owedKind']
  readonly step: Stone['step']
  readonly strays: boolean
  readonly slip: string
  readonly waiting: Stone['waiting']
  #make: () => Words
  #made: Words | undefined

  constructor(done: Omit<Stone, keyof Words>, make: () => Words) {
    this.on = done.on
    this.acts = done.acts
    this.moves = done.moves
    this.lines = done.lines
    this.before = done.before
    this.shows = done.shows
    this.owed = done.owed
    this.owedKind = done.owedKind
    this.step = done.step
    this.strays = done.strays
    this.slip = done.slip
    this.waiting = done.waiting
    this.#make = make
  }
  get #words(): Words {
    return (this.#made ??= this.#make())
  }
  get label(): string {
    return this.#words.label
  }
  get say(): string {
    return this.owed || this.#words.say
  }
  get detail(): BeadDetail | null {
    return this.#words.detail
  }
}

/** What is said of acts. `stood` is what stood before each. */
function wordsOf(setup: Setup, from: Moment, acts: readonly Act[], stood: readonly Standing[], hand: HandMoves): Words {
  const pack = packFor(setup)
  const hands = handsOf(setup)
  const main = from.states[setup.representation]
  const { kind } = REPRESENTATIONS[setup.representation]
  const where = kind === 'written' ? 'page' : kind === 'drawn' ? 'drawing' : 'mat'
  const before = from.standing.value
  const said: string[] = []
  let detail: BeadDetail | null = null
  for (const [i, act] of acts.entries()) {
    const standing = stood[i]!
    said.push(columnAloud(setup, act))
    said.push(sayAct(act, standing.value, { ...tellingOf(setup, standing, act), where }))
    said.push(storyOf(act, standing.value, setup.choices.signed.story, pack))
    if (acts.length === 1 && isWorked(act)) {
      const how = withRule(setup, main, act)
      said.push(how.say)
      detail = how.detail
    }
  }
  const last = acts.at(-1)
  if (from.guess !== null && last?.kind === 'read') said.push(sayGuess(from.guess, stood.at(-1)!.value, pack))
  if (startsElsewhere(from, acts)) said.push(sayStart(valueOf(setup.worked.first), pack))
  if (hand.toGo) said.push(sayOwed(hand.toGo, acts, before, pack, setup.units))
  return {
    label:
      acts.length > 0
        ? acts.map((a) => labelOf(a, pack, hands, setup.units)).join(' · ')
        : hand.owed?.kind === 'loose-arrow'
          ? labelUnderWay('arrow', pack)
          : labelUnderWay('sheet', pack),
    say: said.filter((t) => t !== '').join(' '),
    detail: hand.detail ?? detail,
  }
}

/** Whether an act is just what its rule makes of it, so that it can be told how it went; a reading is told too. */
const isWorked = (act: Act): boolean =>
  act.kind === 'read' || act.kind === 'lay' || (isAmount(act) && act.rule !== undefined)

const named = new WeakMap<Trail<Stone>, boolean>()

/** Whether some slip on beads has its name already. What was found of a trail is kept, so that a long record is not searched again. */
function isNamed(stones: Trail<Stone>): boolean {
  const passed: Trail<Stone>[] = []
  let at: Trail<Stone> | null = stones
  let found: boolean | undefined
  while (found === undefined && at !== null) {
    found = named.get(at) ?? (at.last !== null && tellsSlip(at.last) ? true : undefined)
    passed.push(at)
    at = at.before
  }
  for (const trail of passed) named.set(trail, found ?? false)
  return found ?? false
}
const tellsSlip = (s: Stone): boolean => s.owedKind === 'beads' || (s.slip !== '' && s.step === 'part')

/** The slip in acts; a frame read rightly after a slip that has its name adds none of its own. */
function slipOf(setup: Setup, from: Moment, acts: readonly Act[], standing: Standing): string {
  const act = acts.at(-1)
  if (act?.kind === 'read' && act.value === from.standing.value && isNamed(from.stones)) return ''
  return slipIn(acts, from.standing, standing, lastDone(from), {
    asked: setup.problem,
    worked: setup.worked,
    next: nextOf(setup, from.standing),
    sort: wayById(setup.way).sort,
    choices: setup.choices,
  })
}

/** What was done last; a number that was only asked since then changes nothing of it. */
function lastDone({ stones }: Moment): Act | undefined {
  for (const stone of backwards(stones)) {
    const act = stone.acts.at(-1)
    if (act?.kind !== 'pose') return act
  }
  return undefined
}

/** The slip in a column that was counted and did not come out. */
function owedSlip(setup: Setup, owed: Owed | null | undefined): string {
  if (owed?.kind === 'false-line') return mistakenLine(setup, owed.wrote) ?? SLIPS.falseLine
  if (owed?.kind === 'align') return SLIPS.misaligned
  if (owed?.kind === 'not-moved') return notMovedOver.name
  if (owed?.kind === 'product-column') return slipInProduct(owed)
  if (owed?.kind === 'too-many') return groupTooMany.name
  if (owed?.kind === 'still-fits') return SLIPS.remainderLarge
  if (owed?.kind === 'zero-left') return zeroLeftOut.name
  if (owed?.kind === 'half-pair') return owed.plus > 0 && owed.minus > 0 ? SLIPS.unlikeCleared : ''
  if (owed?.kind === 'loose-arrow') return owed.from === ZERO ? SLIPS.arrowFromNought : SLIPS.arrowApart
  if (owed?.kind !== 'look-again' || !owed.said) return ''
  return slipInColumn(owed.said.map(Number), owed.above, owed.below, owed.operation === '-')
}

/** A column of a product whose mark was added at the wrong time, or not at all. */
function slipInProduct({ above, times, carried, wrote }: Extract<Owed, { kind: 'product-column' }>): string {
  if (carried > 0 && wrote === times * (above + carried)) return carryBefore.name
  return carried > 0 && wrote === times * above ? carryDropped.name : SLIPS.falseLine
}

/** A false line whose result has a name among the mistaken ways of working the problem. */
function mistakenLine({ problem }: Setup, wrote: string): string | undefined {
  const read = attempt(() => valueOf(parseNumeral(wrote)))
  return 'ok' in read ? procedureFor(problem, read.ok)?.name : undefined
}

/** What an eye on the hand sees in its last move. */
function watched(from: Moment, { on, moves }: HandMoves): string {
  const move = moves.at(-1)
  if (on === null || move === undefined) return ''
  const r = REPRESENTATIONS[on]
  const seen = r.noticed?.(applyAll(r, from.states[on], moves.slice(0, -1)), move)
  return seen === 'twice' ? SLIPS.touchedTwice : seen === 'missed' ? SLIPS.touchMissed : ''
}
