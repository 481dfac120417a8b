import { printComparison, type Act } from '../../core/act/act'
import { standingFor, actsAhead, plan } from '../../core/plan/plan'
import { besideOf, setUp } from '../../core/plan/setup'
import { printProblem } from '../../core/problem/problem'
import { parseProblem } from '../../core/problem/parse'
import { heldBy, REPRESENTATIONS } from '../../core/representation/index'
import { applyAll, type RepresentationId } from '../../core/representation/representation'
import { wayById } from '../../core/way/index'
import { WAY_IDS, type WayId } from '../../core/way/way'
import { stand } from '../../core/act/standing'

/** An act in short: `take 8×1`, `1×10→10×1`, `say 9`. */
function short(act: Act): string {
  const pieces = (all: readonly { readonly count: number; readonly unit: string }[]): string =>
    all.map((p) => `${p.count}×${p.unit}`).join('+')
  switch (act.kind) {
    case 'exchange':
      return `${pieces(act.from)}→${pieces(act.to)}`
    case 'share':
      return `deal ${pieces(act.each)} to ${act.among}`
    case 'pose':
      return `ask ${act.operation}${act.amount}`
    case 'begin':
      return `from ${act.from} by ${act.step} ${act.to === null ? `${act.times} times` : `to ${act.to}`}`
    case 'count':
      return `say ${act.word}`
    case 'group':
      return `${act.count} of ${act.size}`
    case 'split':
    case 'gather':
      return `${act.kind} ${act.whole}=${act.parts.join('+')}`
    case 'rewrite':
      return act.rule
    case 'beside':
      return `beside ${act.amount}`
    case 'compare':
      return `compare ${printComparison(act)}`
    case 'read':
      return `read ${act.value}${act.remainder === undefined ? '' : ` r ${act.remainder}`}`
    default:
      return `${act.inHead ? 'keep' : act.kind} ${act.pieces ? pieces(act.pieces) : act.amount}`
  }
}

/** What each way does, act by act (practice, sections 2 to 9 and 13; common practice, no source). */
const METHODS: readonly (readonly [string, RepresentationId, WayId, string])[] = [
  [
    '612 / 7',
    'division',
    'long-division',
    'lay 6×100+1×10+2×1, 6×100→60×10, deal 8×10 to 7, 5×10→50×1, deal 7×1 to 7, read 87 r 3',
  ],
  ['2 * 10 + 1 * 25', 'coins', 'sort-and-count', 'lay 1×25, ask +20, join 1×10, join 1×10, read 45'],
  ['2 * 25 + 1 * 50', 'coins', 'pairs-first', 'lay 1×50, ask +50, join 1×25, join 1×25, read 100'],
  ['2 * 10 + 1 * 25', 'coins', 'stack-and-add', 'lay 1×25, ask +20, join 2×10, read 45'],
  ['87', 'coins', 'pay-fewest', 'lay 1×50, join 1×25, join 1×10, join 1×1, join 1×1, read 87'],
  ['200 - 135', 'coins', 'change-up', 'from 135 by 1 to 200, join 1×5, join 1×10, join 1×50, read 65'],
  ['14 / 6', 'plates', 'deal-rounds', 'lay 1×10+4×1, 1×10→10×1, deal 1×1 to 6, deal 1×1 to 6, read 2 r 2'],
  ['14 / 6', 'plates', 'fill-plates', 'lay 1×10+4×1, 1×10→10×1, deal 1×1 to 6, deal 1×1 to 6, read 2 r 2'],
  ['3 * 8', 'groups', 'equal-groups', 'from 0 by 8 3 times, say 8, say 16, say 24, read 24'],
  ['7 * 8', 'groups', 'split-groups', 'split-groups, 5 of 8, 2 of 8, gather 56=40+16, read 56'],
  ['12 * 8', 'groups', 'split-groups', 'split-groups, 10 of 8, 2 of 8, gather 96=80+16, read 96'],
  ['37 * 24', 'product', 'by-digit', '4 of 7, 4 of 30, 20 of 7, 20 of 30, gather 888=148+740, read 888'],
  ['306 * 4', 'product', 'by-digit', '4 of 6, 4 of 300, gather 1224=24+1200, read 1224'],
  [
    '37 * 24',
    'area',
    'by-parts',
    'split-groups, 20 of 30, 20 of 7, 4 of 30, 4 of 7, gather 888=600+140+120+28, read 888',
  ],
  [
    '423 - 178',
    'blocks',
    'ones-first',
    'lay 4×100+2×10+3×1, ask -178, 1×10→10×1, take 8×1, 1×100→10×10, take 7×10, take 1×100, read 245',
  ],
  [
    '304 - 178',
    'blocks',
    'ones-first',
    'lay 3×100+4×1, ask -178, 1×100→10×10, 1×10→10×1, take 8×1, take 7×10, take 1×100, read 126',
  ],
  ['47 + 85', 'blocks', 'ones-first', 'lay 4×10+7×1, ask +85, join 5×1, 10×1→1×10, join 8×10, 10×10→1×100, read 132'],
  [
    '423 - 178',
    'columns',
    'exchanges-first',
    'lay 4×100+2×10+3×1, ask -178, 1×10→10×1, 1×100→10×10, take 8×1, take 7×10, take 1×100, read 245',
  ],
  [
    '47 + 85',
    'columns',
    'exchanges-first',
    'lay 4×10+7×1, ask +85, join 5×1, join 8×10, 10×1→1×10, 10×10→1×100, read 132',
  ],
  [
    '27 + 58 + 36',
    'columns',
    'by-column',
    'lay 2×10+7×1, ask +58, ask +36, join 14×1, 20×1→2×10, join 8×10, 10×10→1×100, read 121',
  ],
  [
    '46 + 38',
    'partials',
    'apart',
    'lay 4×10+6×1, split 46=40+6, ask +38, split 38=30+8, join 3×10, join 8×1, gather 84=70+14, read 84',
  ],
  [
    '52 - 37',
    'blocks',
    'apart',
    'lay 5×10+2×1, split 52=50+2, ask -37, split 37=30+7, 1×10→10×1, take 3×10, take 7×1, gather 15=10+5, read 15',
  ],
  ['45 + 37', 'openline', 'hops', 'lay 4×10+5×1, ask +37, join 30, join 7, read 82'],
  ['29 + 46', 'friendly', 'make-friendly', 'lay 2×10+9×1, ask +46, split 46=1+45, join 1, join 45, read 75'],
  ['304 - 178', 'friendly', 'over-and-back', 'lay 3×100+4×1, ask -178, take 180, join 2, read 126'],
  ['52 - 37', 'openline', 'hop-up', 'from 37 by 1 to 52, join 3, join 10, join 2, read 15'],
  ['3/10 + 4/10', 'strips', 'same-parts', 'lay 3×1/10, ask +2/5, join 4×1/10, read 7/10'],
  ['1/2 + 1/3', 'strips', 'common-parts', 'lay 1×1/2, ask +1/3, 1×1/2→3×1/6, 1×1/3→2×1/6, join 2×1/6, read 5/6'],
  [
    '2 2/5 + 1 3/4',
    'strips',
    'wholes-apart',
    'lay 2×1+2×1/5, ask +7/4, 2×1/5→8×1/20, 3×1/4→15×1/20, join 1×1, join 15×1/20, 20×1/20→1×1, read 83/20',
  ],
  ['3 1/5 - 1 2/5', 'strips', 'wholes-apart', 'lay 3×1+1×1/5, ask -7/5, take 1×1, 1×1→5×1/5, take 2×1/5, read 9/5'],
  ['2/3 ? 3/5', 'strips', 'edge-to-edge', 'lay 2×1/3, beside 3/5, compare 2/3 > 3/5'],
  ['6/8 in simplest form', 'vessel', 'other-names', 'lay 6×1/8, 6×1/8→3×1/4, read 3/4'],
  ['3 * 2/5', 'strips', 'repeated-parts', '1 of 2/5, 1 of 2/5, 1 of 2/5, read 6/5'],
  [
    '8.4 - 3.27',
    'chips',
    'by-places',
    'lay 8×1+4×1/10, ask -327/100, take 3×1, take 2×1/10, 1×1/10→10×1/100, take 7×1/100, read 513/100',
  ],
  ['1/2 + 1/3', 'fraction-rule', 'number-rule', 'lay 1×1/2, ask +1/3, 1×1/2→3×1/6, 1×1/3→2×1/6, join 2×1/6, read 5/6'],
  ['4 + 3', 'counters', 'count-all', 'lay 4×1, ask +3, join 3×1, read 7'],
  ['8 + 3', 'fingers', 'count-on', 'keep 8, ask +3, say 9, say 10, say 11, read 11'],
  ['3 + 8', 'fingers', 'count-on-from-greater', 'keep 8, ask +3, say 9, say 10, say 11, read 11'],
  ['9 - 4', 'counters', 'take-away', 'lay 9×1, ask -4, take 4×1, read 5'],
  ['9 - 3', 'fingers', 'count-back', 'keep 9, ask -3, say 8, say 7, say 6, read 6'],
  ['9 - 6', 'fingers', 'count-up', 'from 6 by 1 to 9, say 7, say 8, say 9, read 3'],
  ['3 * 4', 'fingers', 'skip-count', 'from 0 by 4 3 times, say 4, say 8, say 12, read 12'],
  ['12 / 4', 'fingers', 'skip-count', 'from 0 by 4 to 12, say 4, say 8, say 12, read 3'],
  ['4 * 9', 'nines', 'nines', '4 of 9, read 36'],
  ['4 * 9', 'nine-tricks', 'one-less', 'one-less, to-nine, 4 of 9, read 36'],
  ['9 * 37', 'nine-tricks', 'ten-less', '10 of 37, take 37, read 333'],
  ['38 + 27', 'abacus', 'compensate', 'lay 38, ask +27, join 20, join 7, read 65'],
  ['12 + 3', 'frame', 'count-beads', 'lay 12, ask +3, join 1, join 1, join 1, read 15'],
  ['-3 - 5', 'signed', 'pairs', 'lay 3×-1, ask -5, →5×1+5×-1, take 5×1, read -8'],
  ['6 + -4', 'signed', 'pairs', 'lay 6×1, ask +-4, join 4×-1, 4×1+4×-1→, read 2'],
  ['8 - -4', 'line', 'arrows', 'lay 8, ask --4, take -4, read 12'],
  ['-7 + 3', 'line', 'combine-opposites', 'lay -7, ask +3, split -7=-4+-3, join 3, read -4'],
  ['-3 + 7', 'line', 'combine-opposites', 'lay -3, ask +7, split 7=3+4, join 3, join 4, read 4'],
  [
    '9.2 - 3.75',
    'line',
    'decompose',
    'lay 46/5, ask -15/4, split 15/4=3+7/10+1/20, take 3, take 7/10, take 1/20, read 109/20',
  ],
  ['-3 - 5', 'signs', 'sign-rule', 'lay -3, ask -5, opposite, same-signs, take 5, read -8'],
  ['-14 + 50', 'signs', 'sign-rule', 'lay -14, ask +50, commute, join 50, read 36'],
  ['-9 + 4', 'signs', 'sign-rule', 'lay -9, ask +4, different-signs, join 4, read -5'],
  [
    '612 / 7',
    'plates',
    'share-out',
    'lay 6×100+1×10+2×1, 6×100→60×10, deal 8×10 to 7, 5×10→50×1, deal 7×1 to 7, read 87 r 3',
  ],
]

test.each(METHODS)('%s on %s, %s', (problem, representation, way, acts) =>
  expect(
    plan({ problem, representation, way })
      .steps.map((s) => short(s.act))
      .join(', '),
  ).toBe(acts),
)

test('every way is among them', () =>
  expect([...new Set(METHODS.map(([, , way]) => way))].sort()).toEqual([...WAY_IDS].sort()))

describe('a way finds back from a detour', () => {
  const TAKEN: readonly (readonly [string, RepresentationId, WayId, readonly Act[], string])[] = [
    [
      '52 - 37',
      'blocks',
      'ones-first',
      [{ kind: 'take', amount: '8', pieces: [{ count: 8, unit: '1' }] } as unknown as Act],
      'join 1×1',
    ],
    [
      '9 - 4',
      'counters',
      'take-away',
      [{ kind: 'take', amount: '6', pieces: [{ count: 6, unit: '1' }] } as unknown as Act],
      'join 2×1',
    ],
    [
      '9 - 3',
      'fingers',
      'count-back',
      Array<Act>(4).fill({ kind: 'count', by: '-1', word: '0' } as unknown as Act),
      'say 6',
    ],
    ['45 + 37', 'openline', 'hops', [{ kind: 'join', amount: '40' } as unknown as Act], 'take 3'],
  ]
  test.each(TAKEN)('%s on %s, %s: too much goes back', (problem, representation, way, detour, next) => {
    const setup = setUp({ problem, representation, way })
    const asked = actsAhead(setup, standingFor(setup))
    const upTo = asked.findIndex((a) => ['take', 'join', 'count'].includes(a.kind))
    const standing = [...asked.slice(0, upTo), ...detour].reduce(
      (s, act) => stand(setup.worked, s, act),
      standingFor(setup),
    )
    expect(short(actsAhead(setup, standing)[0]!)).toBe(next)
  })
})

/** Materials that show an amount whatever way it comes by; a sheet or frame may wait on the way, but never to the end. */
test.each(['52 - 37', '47 + 85', '304 - 178', '8 + 7', '9 - 4'])('beside %s no follower waits for ever', (problem) => {
  const ids = heldBy(parseProblem(problem))
  const stuck: string[] = []
  for (const main of ids)
    for (const other of ids) {
      if (other === main) continue
      const setup = setUp({ problem, representation: main, also: [other] })
      // A difference that is counted up is a way to go: a column sheet has no mark for it, and says so. All else shows it.
      if (wayById(setup.way).aim === 'steps' && ['columns', 'touch-columns'].includes(other)) continue
      const { steps, answer } = plan({ problem, representation: main, also: [other] })
      const r = REPRESENTATIONS[other]
      const state = applyAll(
        r,
        r.start(setup.worked, setup.choices, besideOf(setup)),
        steps.flatMap((s) => s.moves[other] ?? []),
      )
      if (r.shows(state) !== answer)
        stuck.push(`${main} → ${other}: ${r.shows(state)}, ${Object.values(steps.at(-1)!.waiting).join()}`)
    }
  expect([printProblem(parseProblem(problem)), stuck]).toEqual([problem, []])
})
