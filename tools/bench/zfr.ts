import { plan } from '../../core/plan/plan'
import { waysFor, representationsFor } from '../../core/index'
for (const [p, r, w] of [
  ['3/10 + 4/10', 'strips'],
  ['5/8 - 2/8', 'strips'],
  ['1/2 + 1/3', 'strips', 'common-parts'],
  ['5/6 - 1/4', 'vessel', 'common-parts'],
  ['2 2/5 + 1 3/4', 'strips', 'wholes-apart'],
  ['3 1/5 - 1 2/3', 'strips', 'wholes-apart'],
  ['3 * 2/5', 'strips'],
  ['3 * 2/5', 'line'],
  ['3/8 + 2/8 ? 4/8', 'strips'],
  ['2/3 ? 3/4', 'strips', 'common-parts'],
  ['2/3 ? 3/4 ? 5/8', 'line'],
  ['2/3 = ?/12', 'strips'],
  ['6/8 in simplest form', 'vessel'],
  ['1/4 as a decimal', 'strips'],
  ['0.25 as a fraction', 'strips'],
  ['4/8 by other names', 'strips'],
  ['8.4 - 3.27', 'strips', 'by-places'],
  ['8.4 - 3.27', 'chips', 'by-places'],
  ['0.34 ? 0.5', 'strips'],
  ['-1 1/2 + 3/4', 'line'],
  ['1/2 + 1/4 ? 2/3 + 1/12', 'strips'],
] as const) {
  console.log(
    '\n==',
    p,
    r,
    w ?? '',
    waysFor(p, r)
      .map((x) => x.way)
      .join(),
    representationsFor(p)
      .filter((o) => o.fits)
      .map((o) => o.representation)
      .join(),
  )
  try {
    for (const s of plan({ problem: p, representation: r, ...(w ? { way: w } : {}) }).steps)
      console.log(
        JSON.stringify(s.moves[r]),
        '|',
        s.lines.map((l) => `${l.text}${l.equation && l.equation !== l.text ? ` {${l.equation}}` : ''}`).join(' // '),
        '|',
        s.say,
      )
  } catch (e) {
    console.log(String((e as Error).stack).slice(0, 700))
  }
}
console.log('-----------')
for (const p of ['1/2 + 1/3', '2 2/5 + 1 3/4', '5/6 - 1/4', '3/10 + 4/10', '3 1/5 - 1 2/3']) {
  const pl = plan({ problem: p, representation: 'fraction-rule', also: ['strips', 'line', 'equations'] })
  for (const s of pl.steps)
    console.log(
      JSON.stringify(s.moves['fraction-rule']),
      JSON.stringify(s.moves.strips),
      JSON.stringify(s.moves.line),
      s.lines.map((l) => l.text),
      s.waiting,
    )
}
