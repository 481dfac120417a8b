import { change, inUnits, type Act } from '../../core/act/act'
import { stand } from '../../core/act/standing'
import { exact, type Exact } from '../../core/number/exact'
import { piecesFor, SIGNED, worthOf } from '../../core/number/units'
import { standingFor, plan } from '../../core/plan/plan'
import { write } from '../../core/plan/lines'
import { besideOf, setUp } from '../../core/plan/setup'
import { tellingOf } from '../../core/plan/telling'
import { attempt, Refusal } from '../../core/refusal'
import { equations } from '../../core/representation/equations/equations'
import { REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, performIn, type RepresentationId } from '../../core/representation/representation'
import { labelOf, sayAct } from '../../core/speech/say'
import { packOf } from '../../core/speech/words'
import { OWNED } from './owned'
import { withPens } from './toy'

withPens()

/** Nothing foreign ever throws anything but a Refusal. */

const ALL = Object.keys(REPRESENTATIONS) as readonly RepresentationId[]
const ASKED: Partial<Record<RepresentationId, string>> = {
  nines: '4 * 9',
  'nine-tricks': '4 * 9',
  plates: '61 / 7',
  groups: '7 * 8',
  area: '37 * 24',
  product: '37 * 24',
  division: '612 / 7',
  coins: '3 * 25 + 2 * 10',
  signs: '-3 - 5',
  strips: '5/8 - 1/4',
  vessel: '5/8 - 1/4',
  'fraction-rule': '5/8 - 1/4',
}
const asked = (id: RepresentationId): string => ASKED[id] ?? '12 - 5'

/** The acts of one plan of a material, and stranger ones in its own pieces. */
function actsOf(id: RepresentationId): readonly Act[] {
  const { units } = REPRESENTATIONS[id]
  const pieces = units.worths.slice(0, 3).map((unit, i) => ({ count: i + 1, unit }))
  const strange: Act[] = (['lay', 'join', 'take'] as const).map((kind) => ({ kind, amount: worthOf(pieces), pieces }))
  return [
    ...plan({ problem: asked(id), representation: id }).steps.map((s) => s.act),
    ...strange,
    { kind: 'exchange', from: pieces, to: piecesFor(worthOf(pieces), units) ?? pieces },
    { kind: 'exchange', from: [], to: [...SIGNED.worths].map((unit) => ({ count: 2, unit })) },
    { kind: 'share', each: pieces, among: exact(2) },
    { kind: 'join', amount: '5/8' as Exact, pieces: [{ count: 5, unit: '1/8' as Exact }] },
    { kind: 'take', amount: '5/8' as Exact },
    { kind: 'beside', amount: '1/2' as Exact, pieces: [{ count: 2, unit: '1/4' as Exact }], row: 1 },
    { kind: 'compare', numbers: ['5/8', '4/8'], relations: ['>'] },
    {
      kind: 'exchange',
      from: [{ count: 1, unit: '1/4' as Exact }],
      to: [{ count: 2, unit: '1/8' as Exact }],
      aside: 0,
    },
    { kind: 'exchange', from: [{ count: 1, unit: '1/2' as Exact }], to: [{ count: 4, unit: '1/8' as Exact }] },
  ]
}

test('for every pair of materials, the acts of one are shown by the other, or refused, and nothing else', () => {
  const onlyRefused = (what: string, work: () => void): void => {
    try {
      work()
    } catch (error) {
      if (!(error instanceof Refusal)) throw new Error(`${what}: ${String(error)}`, { cause: error })
    }
  }
  for (const one of ALL)
    for (const other of ALL) {
      const setup = setUp({ problem: asked(other), representation: other })
      const r = REPRESENTATIONS[other]
      const empty = r.start(setup.worked, setup.choices, besideOf(setup))
      const laid = attempt(() =>
        applyAll(r, empty, plan({ problem: asked(other), representation: other }).steps[0]!.moves[other]!),
      )
      const page = equations.start(setup.worked, setup.choices, besideOf(setup))
      for (const act of actsOf(one)) {
        const what = `${one} → ${other}: ${JSON.stringify(act)}`
        for (const state of [empty, 'ok' in laid ? laid.ok : empty]) {
          onlyRefused(what, () => void performIn(r, state, act))
          onlyRefused(what, () => void r.perform(state, act))
        }
        const standing = stand(setup.worked, standingFor(setup), act)
        onlyRefused(what, () => void write(page, act))
        expect(sayAct(act, standing.value, tellingOf(setup, standing))).not.toBe('')
        expect(labelOf(act, packOf('exchange'), r.verbs, r.units)).toBeTruthy()
      }
    }
})

test('an act in other pieces keeps its change, or is nothing that could be shown', () => {
  for (const one of ALL)
    for (const act of actsOf(one))
      for (const [, units] of OWNED) {
        const own = inUnits(act, units)
        if (own) expect(change(own)).toBe(change(act))
        else expect(act.kind).toBe('exchange')
      }
})

/* --- sharing --- */
