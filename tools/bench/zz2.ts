import { plan } from '../../core/index'
import { REPRESENTATIONS } from '../../core/representation/index'
const p = plan({ problem: '-14 + 19', representation: 'line', way: 'hops', also: ['signs', 'signed'] })
for (const s of p.steps) console.log(s.act, JSON.stringify(s.moves.signs), s.waiting)
const r = REPRESENTATIONS.signs
let st = r.start(p.problem, {} as never)
for (const s of p.steps) { for (const m of s.moves.signs ?? []) { st = r.apply(st, m); console.log(m, r.shows(st)) } }
