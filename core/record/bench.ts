import { isMaking, type Act } from '../act/act'
import { stand, termDone, type Standing } from '../act/standing'
import type { Exact } from '../number/exact'
import { valueOf } from '../number/numeral'
import { columnLines, underWay, write, type WrittenLine } from '../plan/lines'
import { actsAhead, standingFor } from '../plan/plan'
import { besideOf, columnAloud, setUp, type PlanRequest, type Setup } from '../plan/setup'
import { isAnswer } from '../problem/problem'
import { Refusal } from '../refusal'
import { equations } from '../representation/equations/equations'
import { isSilent, REPRESENTATIONS } from '../representation/index'
import { match, type Match, type Side } from '../representation/match'
import {
  applyAll,
  isUnfinished,
  performIn,
  type Owed,
  type Recognised,
  type RepresentationId,
} from '../representation/representation'
import type { BeadDetail } from '../speech/beads'
import { tellingOf, worked } from '../plan/worked'
import { labelOf, sayAct, sayOwed } from '../speech/say'
import { packOf, say } from '../speech/words'
import { nextOf } from '../way/index'
import { follow } from '../plan/follow'
import { compareWithWay, isAmount } from './comparing'
import { laidTooMuch, relaid, startsElsewhere } from './laying'
import { goesOn, judgedOf, restOf } from './judging'
import type { Hand, Mode, Moment, Stone } from './moment'
import { extended, listed, START, type Trail } from '../number/trail'
import { slipIn, slipInColumn, SLIPS } from './slips'

export type { Mode, Moment, Stone }

/** One entry of a record: milliseconds since the start, where, and the move as text. On `bench`: `ask`, `go on`, `undo`, `redo`. */
export interface Entry {
  readonly at: number
  readonly on: RepresentationId | 'bench'
  readonly move: string
}

/** A problem being worked. Every change makes a new Bench; moments are shared, so undo costs nothing. */
export interface Bench {
  readonly setup: Setup
  readonly mode: Mode
  readonly now: Moment
  readonly past: Trail<{ readonly moment: Moment; readonly entry: Entry }>
  readonly undone: readonly Entry[]
  readonly log: Trail<Entry>
}

/** Lays out an empty bench for a problem. @throws Refusal when it does not fit. */
export function openBench(request: PlanRequest, mode: Mode): Bench {
  const setup = setUp(request)
  const second = setup.both ? emptyMoment(secondOf(setup)) : null
  const now: Moment = { ...emptyMoment(setup), second }
  return { setup, mode, now: mode === 'show' ? now : askedOn(setup, now), past: START, undone: [], log: START }
}

/** The setup of the second representation, which is worked by itself. */
export const secondOf = (setup: Setup): Setup => ({
  ...setup,
  representation: setup.both!,
  all: [setup.both!],
  both: null,
})

function emptyMoment(setup: Setup): Moment {
  const { worked, choices } = setup
  const beside = besideOf(setup)
  return {
    states: Object.fromEntries(setup.all.map((id) => [id, REPRESENTATIONS[id].start(worked, choices, beside)])),
    followers: {},
    standing: standingFor(setup),
    page: equations.start(worked, choices, beside),
    stones: START,
    second: null,
    open: null,
  }
}

/** The next act of the way from where the problem stands, or null when it is worked. */
export const nextAct = (bench: Bench): Act | null => nextOf(bench.setup, bench.now.standing)

/** The next act, with the exchange that belongs to it where a column of a sum is worked at once. */
export function nextActs({ setup, now }: Bench): readonly Act[] {
  const most = REPRESENTATIONS[setup.representation].sums ? 2 : 1
  return together(setup, actsAhead(setup, now.standing, most))[0] ?? []
}

/** Acts as the stones that will be laid for them: a column of a sum and its carrying are one. */
function together(setup: Setup, acts: readonly Act[]): readonly (readonly Act[])[] {
  if (!REPRESENTATIONS[setup.representation].sums) return acts.map((act) => [act])
  const stones: (readonly Act[])[] = []
  for (const act of acts) {
    const [last] = stones.at(-1)?.length === 1 ? stones.at(-1)! : []
    const carries = act.kind === 'exchange' && isMaking(act) && last?.kind === 'join'
    if (carries && last.pieces?.length === 1 && last.pieces[0]!.unit === act.from[0]?.unit)
      stones[stones.length - 1] = [last, act]
    else stones.push([act])
  }
  return stones
}

/** The moves of the next act in the main material; of a digit that is on its way, those that would finish it. @throws Refusal where it cannot be done. */
export function nextMoves(bench: Bench): readonly unknown[] {
  const { setup, now } = bench
  const main = REPRESENTATIONS[setup.representation]
  const { open } = now
  if (open?.on === main.id && main.judge) {
    const { status, toGo } = main.judge(open.from.states[main.id], open.moves, restOf(open.from.standing))
    if (status === 'part' && toGo.length > 0) return toGo
  }
  const [act, carrying] = nextActs(bench)
  if (act?.kind === 'join' && carrying?.kind === 'exchange') return main.sums!.write(now.states[main.id], act, carrying)
  return act ? performIn(main, now.states[main.id], act) : []
}

/** All that the way still has before it, as the stones that will be laid; a digit that is on its way is not to come any more. */
export function ahead({ setup, now }: Bench): readonly (readonly Act[])[] {
  const growing = now.open !== null && now.stones.last?.fits === 'part' && REPRESENTATIONS[now.open.on].judge
  const acts = growing ? actsAhead(setup, now.open!.from.standing).slice(1) : actsAhead(setup, now.standing)
  return together(setup, acts)
}

/** Whether an answer was given, and whether it is right; the answer counts, however far the mat has come. */
export function outcome(bench: Bench): {
  readonly finished: boolean
  readonly right: boolean
  readonly read: Exact | null
  /** What was said to be left over, where a sharing was read. */
  readonly remainder?: Exact
} {
  const { read, remainder } = bench.now.standing
  return {
    finished: read !== null,
    right: read !== null && isAnswer(bench.setup.problem, read, remainder),
    read,
    ...(remainder === null ? {} : { remainder }),
  }
}

/** How the two representations of a bench agree, act by act; null where only one is worked by hand. */
export function matchOf({ setup, now }: Bench): Match | null {
  const side = (id: RepresentationId, { states, standing, stones }: Moment): Side => ({
    id,
    acts: listed(stones).flatMap((s) => s.acts),
    shows: REPRESENTATIONS[id].shows(states[id]),
    value: standing.value,
    read: standing.read,
  })
  if (!setup.both || !now.second) return null
  return match(setup.problem, side(setup.representation, now), side(setup.both, now.second))
}

/** The slips seen so far, by name. */
export function slipsOf(bench: Bench): readonly string[] {
  const seen = (moment: Moment | null): readonly string[] =>
    (moment ? listed(moment.stones) : []).flatMap((s, i) => {
      // What is still on its way may yet be finished: it is a slip only once it has been left so.
      const growing = moment!.open !== null && s.fits === 'part' && i === moment!.stones.length - 1
      return s.slip && !growing ? [s.slip] : []
    })
  return [...seen(bench.now), ...seen(bench.now.second), ...(matchOf(bench)?.copied ? [SLIPS.copied] : [])]
}

/**
 * Makes one entry: a move, an ask, an undo or a redo. @throws Refusal when the material cannot do it; the bench given
 * is unharmed.
 */
export function enter(bench: Bench, entry: Entry): Bench {
  if (entry.on === 'bench') {
    if (entry.move === 'undo') return undo(bench, entry)
    if (entry.move === 'redo') return redo(bench, entry)
    return step(bench, entry, onBench(bench, entry.move), [])
  }
  return step(bench, entry, movedAnywhere(bench, entry.on, entry.move), [])
}

function step(bench: Bench, entry: Entry, moment: Moment, undone: readonly Entry[]): Bench {
  return {
    ...bench,
    now: bench.mode === 'show' ? moment : askedOn(bench.setup, moment),
    past: extended(bench.past, { moment: bench.now, entry }),
    undone,
    log: extended(bench.log, entry),
  }
}

function undo(bench: Bench, entry: Entry): Bench {
  const { last, before } = bench.past
  if (!last || !before) throw new Refusal('There is nothing to take back.')
  return {
    ...bench,
    now: last.moment,
    past: before,
    undone: [...bench.undone, last.entry],
    log: extended(bench.log, entry),
  }
}

function redo(bench: Bench, entry: Entry): Bench {
  const again = bench.undone.at(-1)
  if (!again) throw new Refusal('There is nothing to do again.')
  const moment = again.on === 'bench' ? onBench(bench, again.move) : movedAnywhere(bench, again.on, again.move)
  const next = step(bench, again, moment, bench.undone.slice(0, -1))
  return { ...next, log: extended(bench.log, entry) }
}

function onBench(bench: Bench, move: string): Moment {
  if (move === 'ask') return ask(bench)
  if (move === 'go on') return goOn(bench)
  throw new Refusal(`The bench has no move “${move}”.`, 'It knows ask, go on, undo and redo.')
}

/** The next number of a chain, if what is owed of this one were left as it is; null where there is none. */
export function leaving({ setup, now }: Bench): Act | null {
  const { standing } = now
  const term = setup.worked.terms[standing.begun - 1]
  if (
    !term ||
    !standing.laid ||
    standing.aim.kind !== 'total' ||
    termDone(standing) ||
    (term.operation !== '+' && term.operation !== '-')
  )
    return null
  return { kind: 'pose', operation: term.operation, amount: valueOf(term.number), leaves: true }
}

/** Goes on to the next number although something is owed of this one: a mistake is left, and the work goes on from it. */
function goOn(bench: Bench): Moment {
  const act = leaving(bench)
  if (!act) throw new Refusal('There is no further number to go on to.')
  return laid(bench.setup, bench.now, [act], { on: null, moves: [] })
}

/** Asks the next number where no hand has anything to do for it. */
function ask(bench: Bench): Moment {
  const act = silentAct(bench.setup, bench.now)
  if (!act) throw new Refusal('The next step is for the hand: nothing is only asked here.')
  return laid(bench.setup, bench.now, [act], { on: null, moves: [] })
}

/** The next act, when the main material has nothing to do for it. */
export function silentAct(setup: Setup, moment: Moment): Act | null {
  const next = nextOf(setup, moment.standing)
  const main = setup.representation
  return next && isSilent(REPRESENTATIONS[main], moment.states[main], next) ? next : null
}

/** Outside Show, what is only asked is asked at once. */
function askedOn(setup: Setup, moment: Moment): Moment {
  const second = moment.second && askedOn(secondOf(setup), moment.second)
  if (second !== moment.second) return askedOn(setup, { ...moment, second })
  if (isOwing(moment)) return moment
  const act = silentAct(setup, moment)
  return act ? askedOn(setup, laid(setup, moment, [act], { on: null, moves: [] })) : moment
}

const isOwing = (moment: Moment): boolean => (moment.stones.last?.owed ?? '') !== ''

/** A move on the bench's own representations, or on the second one. */
function movedAnywhere({ setup, now }: Bench, on: RepresentationId, text: string): Moment {
  if (on !== setup.both || !now.second) return moved(setup, now, on, text)
  return { ...now, second: moved(secondOf(setup), now.second, on, text) }
}

/** So many moves make one stone at the most, so that what is looked at together stays short however long hands go on. */
const MOST_MOVES = 200

/** Reads a typed move and makes it. It joins the stone still growing when the two together are one thing done. */
function moved(setup: Setup, now: Moment, on: RepresentationId, text: string): Moment {
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

type Known = Exclude<Recognised, undefined>

function grown(setup: Setup, from: Moment, on: RepresentationId, moves: readonly unknown[], known: Known): Moment {
  const unfinished = isUnfinished(known)
  // A first number of nought leaves nothing on the mat; what comes then looks like laying, but joins.
  const done = (unfinished ? known.soFar : known).map((a) =>
    a.kind === 'lay' && from.standing.laid ? { ...a, kind: 'join' as const } : a,
  )
  const { fits, acts } = compareWithWay(setup, from, done)
  const tooMuch = laidTooMuch(setup, from, acts)
  // What a hand carries off to the store may be the very ones that were to be taken.
  const owed = unfinished && fits === 'other' ? known.owed : tooMuch
  const judged = fits === 'planned' || acts.length === 0 ? undefined : judgedOf(setup, from, on, moves)
  // Half of a digit has no rule of its own: it is the digit's rule that is under way.
  const halves = judged?.hand.fits === 'part' && judged.hand.detail ? acts.map(withoutRule) : acts
  const hand = judged ? { on, moves, owed: tooMuch, ...judged.hand } : { on, moves, owed, fits }
  const moment = laid(setup, from, halves, hand)
  const whole = judged ? judged.ends : owed === null && fits === 'planned'
  return { ...moment, open: whole ? null : { on, moves, from } }
}

function withoutRule(act: Act): Act {
  if (!isAmount(act)) return act
  const { rule: _, parts: __, ...bare } = act
  return bare
}

/** Lays a stone on a moment: acts in every representation, on the page and in words. */
function laid(setup: Setup, from: Moment, acts: readonly Act[], hand: Hand): Moment {
  const pack = packOf(setup.choices.words)
  const { verbs: hands, kind } = REPRESENTATIONS[setup.representation]
  const where = kind === 'written' ? 'page' : kind === 'drawn' ? 'drawing' : 'mat'
  const followed = follow(setup, from, acts, hand)
  let { page, standing } = from
  const lines: WrittenLine[] = []
  const said: string[] = []
  let detail: BeadDetail | null = null
  for (const act of acts) {
    said.push(columnAloud(setup, act))
    said.push(sayAct(act, standing.value, { ...tellingOf(setup, standing), where }))
    if (acts.length === 1 && isWorked(act)) {
      const how = worked(setup, from.states[setup.representation], act)
      said.push(how.say)
      detail = how.detail
    }
    const written = write(page, act)
    page = written.page
    lines.push(...columnLines(setup, from.states[setup.representation], act, written.lines))
    standing = stand(setup.worked, standing, act)
  }
  if (startsElsewhere(from, acts)) said.push(`The problem starts with ${say(valueOf(setup.worked.first), pack)}.`)
  if (hand.fits === 'part' && hand.detail) lines.push(...underWay(hand.detail, pack))
  const before = from.standing.value
  const owed = hand.owed ? sayOwed(hand.owed, acts, before, pack, setup.units) : ''
  if (hand.toGo) said.push(sayOwed(hand.toGo, acts, before, pack, setup.units))
  const states = {
    ...followed.states,
    ...(setup.all.includes('equations') && hand.on !== 'equations' ? { equations: page } : {}),
  }
  const shared = { states, followers: followed.followers, standing, page, second: from.second, open: null }
  if (acts.length === 0 && owed === '') return { ...shared, stones: from.stones }
  const stone: Stone = {
    on: hand.on,
    acts,
    moves: followed.moves,
    label: acts.length > 0 ? acts.map((a) => labelOf(a, pack, hands, setup.units)).join(' · ') : 'on the sheet',
    say: owed || said.filter((t) => t !== '').join(' '),
    lines,
    before,
    shows: standing.value,
    owed,
    owedKind: hand.owed?.kind ?? null,
    fits: hand.fits ?? 'planned',
    slip: hand.slip || watched(from, hand) || owedSlip(hand.owed) || slipOf(setup, from, acts, standing),
    detail: hand.detail ?? detail,
    waiting: followed.waiting,
  }
  return { ...shared, stones: extended(from.stones, stone) }
}

/** Whether an act is just what its rule makes of it, so that it can be told how it went; a reading is told too. */
const isWorked = (act: Act): boolean =>
  act.kind === 'read' || act.kind === 'lay' || (isAmount(act) && act.rule !== undefined)

/** The slip in acts; a frame read rightly after a slip that has its name adds none of its own. */
function slipOf(setup: Setup, from: Moment, acts: readonly Act[], standing: Standing): string {
  const act = acts.at(-1)
  const named =
    act?.kind === 'read' &&
    listed(from.stones).some((s) => s.owedKind === 'beads' || (s.slip !== '' && s.fits === 'part'))
  if (act?.kind === 'read' && act.value === from.standing.value && named) return ''
  return slipIn(acts, from.standing, standing, from.stones.last?.acts.at(-1), {
    asked: setup.problem,
    worked: setup.worked,
  })
}

/** The slip in a column that was counted and did not come out. */
function owedSlip(owed: Owed | null | undefined): string {
  if (owed?.kind === 'false-line') return SLIPS.falseLine
  if (owed?.kind === 'align') return SLIPS.misaligned
  if (owed?.kind !== 'look-again' || !owed.said) return ''
  return slipInColumn(owed.said.map(Number), owed.above, owed.below, owed.operation === '-')
}

/** What an eye on the hand sees in its last move. */
function watched(from: Moment, { on, moves }: Hand): string {
  const move = moves.at(-1)
  if (on === null || move === undefined) return ''
  const r = REPRESENTATIONS[on]
  const seen = r.noticed?.(applyAll(r, from.states[on], moves.slice(0, -1)), move)
  return seen === 'twice' ? SLIPS.touchedTwice : seen === 'missed' ? SLIPS.touchMissed : ''
}
