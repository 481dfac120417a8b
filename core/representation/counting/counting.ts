import { capital } from '../../number/words'
import { piecesAct, type Act } from '../../act/act'
import { exact, negate } from '../../number/exact'
import { ones } from '../../number/units'
import type { Recognised, Representation } from '../representation'
import { apply } from './apply'
import { perform } from './perform'
import { inUse, showing, stepSize, type CountingMove, type CountingState, type Material } from './state'
import { parse, print } from './text'

const thingsAct = (kind: 'lay' | 'join' | 'take', count: number): Act => piecesAct(kind, [{ count, unit: exact(1) }])

function recognise(m: Material, before: CountingState, moves: readonly CountingMove[]): Recognised {
  const first = moves[0]
  if (!first) return undefined
  const only = (...kinds: CountingMove['kind'][]): boolean => moves.every((x) => kinds.includes(x.kind))
  const now = moves.reduce((s, x) => apply(m, s, x), before)
  const grown = showing(now) - showing(before)
  const last = moves.at(-1)!
  if (only('read'))
    return moves.length === 1 && last.kind === 'read' && last.value !== null
      ? [{ kind: 'read', value: last.value }]
      : undefined
  if (only('begin') && moves.length === 1 && now.begun !== null) return [now.begun]
  if (only('hold') && moves.length === 1 && now.head !== null)
    return [{ kind: 'lay', amount: exact(now.head), inHead: true }]
  if (only('on', 'back', 'store') && last.kind !== 'store' && moves.filter((x) => x.kind !== 'store').length === 1) {
    const move = last as Extract<CountingMove, { kind: 'on' | 'back' }>
    const by = exact(stepSize(now))
    return [{ kind: 'count', by: move.kind === 'on' ? by : negate(by), word: exact(move.word) }]
  }
  if (only('apart')) return [{ kind: 'pose', operation: '+', amount: exact(now.apart - before.apart) }]
  if (only('join', 'out', 'store') && grown > 0) {
    const untouched = before.head === null && before.taken === 0 && before.apart === 0 && showing(before) === 0
    return [thingsAct(untouched ? 'lay' : 'join', grown)]
  }
  if (only('take', 'recall') && grown < 0) return [thingsAct('take', -grown)]
  return moves.length === 1 ? { soFar: [], owed: { kind: 'nothing' } } : undefined
}

/** A thing touched twice; or, when it is read and the hand has always said which, one that was passed over. */
function noticed(s: CountingState, move: CountingMove): 'twice' | 'missed' | undefined {
  if (move.kind === 'read') {
    const all = s.touched.length > 0 && s.touched.length === s.out + Math.abs(s.counted)
    const distinct = new Set(s.touched)
    return all && Math.max(...distinct) > distinct.size ? 'missed' : undefined
  }
  if (move.kind !== 'out' && move.kind !== 'on' && move.kind !== 'back') return undefined
  return move.at !== undefined && s.touched.includes(move.at) ? 'twice' : undefined
}

/** A representation of things that count one each. */
export const counting = (m: Material): Representation<CountingState, CountingMove> => ({
  id: m.id,
  title: m.title,
  called: m.title,
  kind: m.kind,
  units: ones(m.thing),
  sorts: ['counting'],
  verbs: { lay: m.verbs.out, join: m.setsApart ? m.verbs.join : m.verbs.out, take: m.verbs.take, thing: m.thing },
  example: `${m.verbs.out} 5 · hold 8 · on 9 · read 9`,
  opening: m.opening ?? `${m.verbs.out} {number} ${m.thing[1]}, one tap for each`,
  fits: m.fits,
  ...(m.allows ? { allows: m.allows } : {}),
  ...(m.prefers ? { prefers: m.prefers } : {}),
  start: (_, choices) => ({
    room: m.room(choices),
    head: null,
    begun: null,
    stored: 0,
    out: 0,
    apart: 0,
    taken: 0,
    counted: 0,
    said: [],
    touched: [],
    read: null,
  }),
  apply: (s, move) => apply(m, s, move),
  shows: (s) => exact(showing(s)),
  ...(m.loose ? { out: (s: CountingState) => [{ count: inUse(s), unit: exact(1), thing: m.thing }] } : {}),
  perform: (s, act) => perform(m, s, act),
  recognise: (before, moves) => recognise(m, before, moves),
  print: (move) => print(m, move),
  parse: (text) => parse(m, text),
  noticed,
  counts: {
    apart: m.setsApart ? (m.apart ?? `${capital(m.verbs.apart)} one apart`) : null,
    stores: m.stores,
    cards: m.cards ?? false,
    eitherWay: !m.oneWay,
  },
  cannotShow: (act) => (act.kind === 'exchange' ? `${capital(m.title)} have no tens to exchange.` : ''),
})
