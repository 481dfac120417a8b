import type { Act, AmountAct } from '../act/act'
import { stand } from '../act/standing'
import { compare } from '../number/exact'
import type { Setup } from '../plan/setup'
import { wayById } from '../way/index'
import type { Moment, Stone } from './moment'

/** Holds acts against what the way asks from here; what is just that is taken as the way has it, counting and all. */
export function compareWithWay(
  setup: Setup,
  from: Moment,
  done: readonly Act[],
): { fits: Stone['fits']; acts: readonly Act[] } {
  let standing = from.standing
  const acts: Act[] = []
  for (const act of done) {
    const next = wayById(setup.way).next(setup.worked, standing, setup.choices)
    if (!next || !sameAct(next, act))
      return { fits: done.length === 1 && next && isPart(next, act) ? 'part' : 'other', acts: done }
    // The words said are the hand's own, not the way's; and so are the pieces, where the way names none.
    const pieces = isAmount(act) && isAmount(next) && !next.pieces && act.pieces ? { pieces: act.pieces } : {}
    const said = 'said' in act && act.said ? { said: act.said } : {}
    const rule = isAmount(act) && act.rule ? { rule: act.rule, ...(act.parts ? { parts: act.parts } : {}) } : {}
    const taken = { ...next, ...said, ...rule, ...pieces } as Act
    acts.push(taken)
    standing = stand(setup.worked, standing, taken)
  }
  return { fits: done.length > 0 ? 'planned' : 'other', acts }
}

/** Amounts worked whole are the same whatever pieces the other names; pieces must be the very pieces. */
function sameAct(a: Act, b: Act): boolean {
  // A number kept in the head is not one that lies there.
  if (isAmount(a) && isAmount(b) && (a.inHead ?? false) !== (b.inHead ?? false)) return false
  if (isAmount(a) && isAmount(b) && (!a.pieces || !b.pieces)) return a.kind === b.kind && a.amount === b.amount
  return canonical(a) === canonical(b)
}
export const isAmount = (act: Act): act is AmountAct => act.kind === 'lay' || act.kind === 'join' || act.kind === 'take'
const canonical = (act: Act): string =>
  'pieces' in act && act.pieces
    ? JSON.stringify([act.kind, act.amount, act.pieces])
    : act.kind === 'read'
      ? `read ${act.value}`
      : JSON.stringify(act)

/** Fewer of the very pieces that the way asks for. */
function isPart(whole: Act, act: Act): boolean {
  if (whole.kind === 'pose' && act.kind === 'pose')
    return whole.operation === act.operation && compare(act.amount, whole.amount) < 0
  if (!isAmount(whole) || !isAmount(act) || whole.kind !== act.kind) return false
  if (!whole.pieces || !act.pieces) return compare(act.amount, whole.amount) < 0
  return (act.pieces ?? []).every((p) => (whole.pieces ?? []).some((w) => w.unit === p.unit && w.count >= p.count))
}
