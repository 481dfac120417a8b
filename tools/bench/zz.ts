import { plan, waysFor, representationsFor } from '../../core/index'
const show = (problem: string, representation: any, way?: any, also: any = ['equations']) => {
  try {
    const p = plan({ problem, representation, ...(way ? { way } : {}), also })
    console.log(`\n## ${problem} ${representation} ${p.way} → ${p.answer}`)
    for (const s of p.steps) console.log(' ', s.shows.padStart(5), '|', s.say, '|', s.lines.map((l) => l.text).join(' ; '), '|', JSON.stringify(s.moves[representation as 'blocks']), Object.entries(s.waiting).map(String).join())
  } catch (e) { console.log(`\n## ${problem} ${representation}`, String(e)) }
}
show('-3 - 5', 'signed'); show('8 - (-4)', 'signed'); show('5 + (-7)', 'signed'); show('-3 + -5', 'signed'); show('4 with 3 pairs', 'signed'); show('-6 - -2', 'signed'); show('3 - 5 + 4', 'signed')
show('-3 - 5', 'line'); show('8 - (-4)', 'line', 'arrows', ['signed', 'openline', 'equations']); show('-7.5 + 3.5', 'line', 'combine-opposites'); show('9.2 - 3.75', 'line', 'decompose'); show('-3 - 5', 'openline')
show('-3 - 5', 'signs'); show('8 - -4', 'signs'); show('-14 + 50', 'signs'); show('-7 + 3', 'signs'); show('4 - 9', 'signs')
show('-3 - 5', 'blocks'); show('-3 - 25', 'signed'); show('-3-5', 'abacus'); show('-3 - 5', 'columns')
console.log(representationsFor('-3 - 5').filter((o) => o.fits).map((o) => [o.representation, waysFor('-3 - 5', o.representation).map((w) => w.way).join()].join(':')))
