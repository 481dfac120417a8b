import type { BeadMove, BeadRule, BeadSlip, DigitWork, Lack, OweMove } from '../act/beads'
import type { ComplementNames } from '../choices'
import { exact } from '../number/exact'
import { capital, named, pretty, say, type WordPack } from './words'

/** Ready names for the rules. */
const READY: Readonly<Record<Extract<ComplementNames, string>, Readonly<Record<BeadRule, string>>>> = {
  complement: { direct: 'direct', five: 'five complement', ten: 'ten complement', mixed: 'both complements' },
  partner: { direct: 'direct', five: 'partner of five', ten: 'partner of ten', mixed: 'partners of ten and of five' },
}

/** What a rule is called in this class; a record of an earlier version may name its complements by size, and is told in plain ones. */
export function ruleName(rule: BeadRule, names: ComplementNames): string {
  if (typeof names === 'string') return ((READY as Partial<typeof READY>)[names] ?? READY.complement)[rule]
  return { direct: 'direct', five: names.five, ten: names.ten, mixed: `${names.ten} and ${names.five}` }[rule]
}

/** A digit's rule as it is written, in plain ASCII: `+7 = +2 -5 +10`; only the digit where it is direct. */
export function formulaOf({ digit, way, terms }: Pick<DigitWork, 'digit' | 'way' | 'terms'>): string {
  const signed = (n: number): string => (n < 0 ? `-${-n}` : `+${n}`)
  const left = signed(way * digit)
  return terms.length < 2 ? left : `${left} = ${terms.map(signed).join(' ')}`
}

const beads = (n: number, side: string, pack: WordPack): string =>
  `${n === 0 ? 'no' : say(n, pack)} ${side} bead${n === 1 ? '' : 's'}`

/** Why an earlier rule is not used: which bead is missing. */
export function whyNot(
  { rule, side, wanted, there }: Lack,
  way: 1 | -1,
  names: ComplementNames,
  pack: WordPack,
): string {
  const forward = rule === 'direct' || rule === 'five' ? way > 0 : way < 0
  const name = rule === 'direct' ? 'Not direct' : `No ${ruleName(rule, names)}`
  if (side === 'upper') return `${name}: the upper bead is ${forward ? 'at the bar already' : 'not at the bar'}.`
  const has = there === 0 ? 'none is' : there === 1 ? 'only one is' : `only ${say(there, pack)} are`
  return `${name}: that needs ${beads(wanted, 'lower', pack)}; ${has} ${forward ? 'free' : 'set'}.`
}

/** One movement of a hand in words: “Right thumb sets two lower beads on the ones.” */
export function moveInWords(move: BeadMove | OweMove, pack: WordPack): string {
  if (move.kind === 'owe')
    return move.count > 0
      ? 'Borrow a one from beyond the highest rod: it is owed.'
      : 'Give the borrowed one back beyond the highest rod.'
  const what =
    move.bead === 'pinch'
      ? `the upper bead and ${beads(move.count, 'lower', pack)}`
      : move.bead === 'upper' && move.count === 1
        ? 'the upper bead'
        : beads(move.count, move.bead, pack)
  const verb = move.to === 'bar' ? 'set' : 'clear'
  const where = `on the ${named(move.rod, 2, pack)}`
  if (!move.hand || !move.finger) return `${capital(verb)} ${what} ${where}.`
  if (move.finger === 'pinch')
    return `${capital(move.hand)} hand pinches ${what} ${move.to === 'bar' ? 'to' : 'away from'} the bar ${where}.`
  return `${capital(move.hand)} ${move.finger} ${verb}s ${what} ${where}.`
}

/** How one digit goes, in words: its rule and formula, why no earlier rule, and what it sets off on the next rods. */
export interface DigitDetail {
  readonly rule: BeadRule
  /** “ten complement”, in the class's words. */
  readonly name: string
  /** The rod's name, “tens”. */
  readonly rod: string
  readonly formula: string
  readonly why: readonly string[]
}

/** What is to be known of an amount worked on beads, besides what is said. */
export interface BeadDetail {
  readonly digits: readonly DigitDetail[]
  /** The movements of hands, one sentence each. */
  readonly hands: readonly string[]
}

function digitDetails(work: DigitWork, names: ComplementNames, pack: WordPack): readonly DigitDetail[] {
  const here: DigitDetail = {
    rule: work.rule,
    name: ruleName(work.rule, names),
    rod: named(work.place, 2, pack),
    formula: pretty(formulaOf(work)),
    why: work.rejected.map((lack) => whyNot(lack, work.way, names, pack)),
  }
  return work.next && work.next !== 'beyond' ? [here, ...digitDetails(work.next, names, pack)] : [here]
}

export const detailOf = (
  works: readonly DigitWork[],
  moves: readonly unknown[],
  names: ComplementNames,
  pack: WordPack,
): BeadDetail => ({
  digits: works.flatMap((w) => digitDetails(w, names, pack)),
  hands: (moves as readonly (BeadMove | OweMove | { kind: 'read' })[]).flatMap((m) =>
    m.kind === 'read' || (m.kind === 'beads' && m.hand === null) ? [] : [moveInWords(m, pack)],
  ),
})

/** What is said of a frame that owes a one when it is read: what is not set on every rod, and one more. */
export function sayNotSet(digits: readonly number[], pack: WordPack): string {
  const not = [...digits].reverse()
  return `A one is still owed, so the number is negative. Not set: ${not.map((d) => say(d, pack)).join(', ')}; and one more: ${say(exact(BigInt(not.join('')) + 1n), pack)}.`
}

const SAID: Readonly<Record<BeadSlip, string>> = {
  tenNotReturned: 'Ten has moved on the next rod; the complement on this one has not.',
  fiveNotReturned: 'Five has moved; what was too much has not been given back.',
  digitReturned: 'The digit itself was given back, not its complement.',
  clearedAll: 'All lower beads were cleared; only the complement was to go.',
  nextForgotten: 'The next rod has not moved yet.',
  wrongRod: 'The right digit, on another rod.',
}

/** What a slip on beads was. */
export const saySlip = (slip: BeadSlip): string => SAID[slip]
