import { change, inUnits, printComparison, printSum, sameExchange, type Act, type AmountAct } from '../act/act'
import { stand } from '../act/standing'
import { compare, sign, sizeOf, ZERO, type Exact } from '../number/exact'
import { countOf, samePieces } from '../number/units'
import type { Setup } from '../plan/setup'
import { nextOf } from '../way/index'
import type { Moment, Stone } from './moment'

/** Holds acts against what the way asks from here; what is just that is taken as the way has it, counting and all. */
export function compareWithWay(
  setup: Setup,
  from: Moment,
  done: readonly Act[],
): { step: Stone['step']; acts: readonly Act[] } {
  let standing = from.standing
  const acts: Act[] = []
  for (const made of done) {
    const act = inUnits(made, setup.units) ?? made
    const next = nextOf(setup, standing)
    if (!next || !sameAct(next, act))
      return { step: done.length === 1 && next && isPart(next, act) ? 'part' : 'other', acts: done }
    // The words said are the hand's own, not the way's; and so are the pieces, where the way names none.
    const pieces = isAmount(act) && isAmount(next) && !next.pieces && act.pieces ? { pieces: act.pieces } : {}
    const said = 'said' in act && act.said ? { said: act.said } : {}
    const rule = isAmount(act) && act.rule ? { rule: act.rule, ...(act.parts ? { parts: act.parts } : {}) } : {}
    // How a number was written is the hand's own, too.
    const as = act.kind === 'read' && act.as !== undefined ? { as: act.as } : {}
    const taken = { ...next, ...said, ...rule, ...pieces, ...as } as Act
    acts.push(taken)
    standing = stand(setup.worked, standing, taken)
  }
  return { step: done.length > 0 ? 'planned' : 'other', acts }
}

/** Amounts worked whole are the same whatever pieces the other names; pieces must be the very pieces. */
function sameAct(a: Act, b: Act): boolean {
  // A number kept in the head is not one that lies there.
  if (isAmount(a) && isAmount(b) && (a.inHead ?? false) !== (b.inHead ?? false)) return false
  // A number worked whole: an arrow four up is just what taking away four below nought asks for.
  if (isAmount(a) && isAmount(b) && (!a.pieces || !b.pieces))
    return (a.kind === 'lay') === (b.kind === 'lay') && change(a) === change(b)
  return sameOfKind(a, b)
}

export const isAmount = (act: Act): act is AmountAct => act.kind === 'lay' || act.kind === 'join' || act.kind === 'take'

const samePlain = (a: readonly Exact[], b: readonly Exact[]): boolean =>
  a.length === b.length && a.every((n, i) => n === b[i])

function sameOfKind(a: Act, b: Act): boolean {
  switch (a.kind) {
    case 'lay':
    case 'join':
    case 'take':
      return b.kind === a.kind && a.amount === b.amount && samePieces(a.pieces ?? [], b.pieces ?? [])
    case 'exchange':
      return b.kind === 'exchange' && sameExchange(a, b)
    case 'share':
      return b.kind === 'share' && a.among === b.among && samePieces(a.each, b.each)
    case 'read':
      return b.kind === 'read' && a.value === b.value && (a.remainder ?? ZERO) === (b.remainder ?? ZERO)
    case 'pose':
      return b.kind === 'pose' && a.operation === b.operation && a.amount === b.amount
    case 'begin':
      return b.kind === 'begin' && a.from === b.from && a.step === b.step && a.to === b.to && a.times === b.times
    case 'count':
      return b.kind === 'count' && a.by === b.by && a.word === b.word
    case 'beside':
      return b.kind === 'beside' && a.row === b.row && a.amount === b.amount
    case 'compare':
      return b.kind === 'compare' && printComparison(a) === printComparison(b)
    case 'group':
      return b.kind === 'group' && a.count === b.count && a.size === b.size
    case 'rewrite':
      return b.kind === 'rewrite' && printSum(a.left) === printSum(b.left) && printSum(a.right) === printSum(b.right)
    case 'split':
    case 'gather':
      return b.kind === a.kind && a.whole === b.whole && samePlain(a.parts, b.parts)
  }
}

/** Fewer of the very pieces that the way asks for. */
function isPart(whole: Act, act: Act): boolean {
  if (whole.kind === 'pose' && act.kind === 'pose')
    return whole.operation === act.operation && compare(act.amount, whole.amount) < 0
  if (whole.kind === 'share' && act.kind === 'share')
    return whole.among === act.among && act.each.every((p) => countOf(whole.each, p.unit) >= p.count)
  if (!isAmount(whole) || !isAmount(act) || (whole.kind === 'lay') !== (act.kind === 'lay')) return false
  if (!whole.pieces || !act.pieces) {
    const [all, some] = [change(whole), change(act)]
    return sign(all) === sign(some) && compare(sizeOf(some), sizeOf(all)) < 0
  }
  if (whole.kind !== act.kind) return false
  return act.pieces.every((p) => countOf(whole.pieces!, p.unit) >= p.count)
}
