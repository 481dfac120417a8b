import type { Act } from '../../act/act'
import { wholly } from '../../act/unfold'
import type { AbacusChoices, Choices } from '../../choices'
import { sign, sizeOf, ZERO } from '../../number/exact'
import { valueOf } from '../../number/numeral'
import { digitsOf } from '../../number/places'
import { decimal } from '../../number/units'
import { fitWholes, type Fit } from '../../problem/fit'
import { decimalsIn, MAX_NUMBERS, totals, type Problem } from '../../problem/problem'
import { DEFAULT_CHOICES } from '../../choices'
import type { Beside, Representation, RepresentationId } from '../representation'
import { apply, digitOn, shows, type AbacusMove, type AbacusState, type Beads } from './frame'
import { judge } from './judge'
import { recognise } from './recognise'
import { parse, print } from './text'
import { workAmount, type Worked } from './work'

/** The most rods a frame has, and the most of them to the right of the unit rod that a problem may need. */
export const MOST_RODS = 13
const MOST_DECIMALS = 3

/** What one kind of frame is. */
interface Frame {
  readonly id: RepresentationId
  readonly title: string
  /** The frame as a reason names it. */
  readonly name: string
  readonly beads: (choices: AbacusChoices) => Beads
}

/** How many places a problem needs from the ones up, and whether it falls below nought. */
function needs(problem: Problem): { readonly places: number; readonly below: boolean } {
  const decimals = decimalsIn(problem)
  const all = [...totals(problem), ...problem.terms.map((t) => valueOf(t.number))]
  const places = all.map((n) => digitsOf(sizeOf(n), decimals + 1, decimals).length - decimals)
  return { places: Math.max(1, ...places), below: totals(problem).some((n) => sign(n) < 0) }
}

function fits(frame: Frame, problem: Problem, { abacus }: Choices): Fit {
  const right = Math.max(abacus.right, Math.min(decimalsIn(problem), MOST_DECIMALS))
  const rods = abacus.rods === 0 ? MOST_RODS : abacus.rods
  const places = Math.max(0, Math.min(9, rods - right))
  return fitWholes(problem, {
    name: frame.name,
    greatest: 10 ** places - 1,
    because:
      places === 9
        ? 'numbers here have up to nine digits'
        : `it has ${rods} ${rods === 1 ? 'rod' : 'rods'}${right ? `, ${right} of them to the right of the unit rod` : ''}`,
    decimals: MOST_DECIMALS,
    below: true,
    numbers: MAX_NUMBERS,
    instead: ['columns', 'chips'],
  })
}

function start(frame: Frame, problem: Problem, { abacus }: Choices, beside?: Beside): AbacusState {
  const { places, below } = needs(problem)
  const decimals = Math.max(abacus.right, decimalsIn(problem))
  // A frame that grows with the problem has one rod to spare, but none where the answer is read as what is not set.
  const own = decimals + Math.max(below ? 1 : 3, below ? places : places + 1)
  const rods = abacus.rods === 0 ? Math.min(MOST_RODS, own) : abacus.rods
  return {
    beads: frame.beads(abacus),
    rods: Array.from({ length: rods }, () => ({ upper: 0, lower: 0 })),
    decimals,
    beyond: below ? Math.min(rods, places + decimals) : rods,
    owed: 0,
    style: {
      order: abacus.order,
      first: abacus.first,
      hands: abacus.hands,
      counting: beside?.way === 'count-beads',
    },
    read: null,
  }
}

/** An amount on its way, digit by digit; empty for acts that move no bead. */
function worked(s: AbacusState, act: Act): readonly Worked[] {
  if (act.kind === 'count' || act.kind === 'group' || act.kind === 'share') return worked(s, wholly(act))
  if (act.kind !== 'lay' && act.kind !== 'join' && act.kind !== 'take') return []
  return workAmount(s, act.amount, act.kind === 'take' ? -1 : 1)
}

const beaded = (frame: Frame): Representation<AbacusState, AbacusMove> => ({
  id: frame.id,
  title: frame.title,
  called: frame.name,
  kind: 'concrete',
  units: decimal(9, MOST_DECIMALS),
  sorts: ['beads'],
  example: 'ones lower 2 to bar · tens upper 1 away',
  opening: 'set {number}: push the beads of each digit to the bar',
  fits: (problem, choices = DEFAULT_CHOICES) => fits(frame, problem, choices),
  start: (problem, choices, beside) => start(frame, problem, choices, beside),
  apply,
  shows,
  out: ({ rods }) => [{ count: 1, unit: ZERO, thing: ['frame', 'frames'], rods: rods.length }],
  cannotShow: (act) =>
    act.kind === 'exchange' || act.kind === 'split' || act.kind === 'gather'
      ? 'The rods stay as they are: each shows its digit, and the ten is on the next rod already.'
      : '',
  perform: (s, act) =>
    act.kind === 'read' ? [{ kind: 'read', value: act.value }] : worked(s, act).flatMap((w) => w.moves),
  recognise,
  judge,
  notSet: (s) => (s.owed > 0 ? s.rods.slice(0, s.beyond).map((r) => 9 - digitOn(r)) : null),
  byDigits: (s, act) => worked(s, act),
  print,
  parse,
})

export const abacus = beaded({
  id: 'abacus',
  title: 'abacus',
  name: 'the abacus',
  beads: () => ({ upper: 1, lower: 4 }),
})

export const stayPut = beaded({
  id: 'stay-put',
  title: 'stay-put frame',
  name: 'the stay-put frame',
  beads: () => ({ upper: 1, lower: 4 }),
})

export const twoFive = beaded({
  id: 'two-five',
  title: 'two-and-five frame',
  name: 'the two-and-five frame',
  beads: () => ({ upper: 2, lower: 5 }),
})

export const beadFrame = beaded({
  id: 'frame',
  title: 'bead frame',
  name: 'the bead frame',
  beads: ({ frameBeads }) => ({ upper: 0, lower: frameBeads }),
})
