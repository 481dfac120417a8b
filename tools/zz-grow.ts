import { openBench, enter } from '../core/record/bench'
import { recordOf, reopen } from '../core/record/record'
const make = (n: number) => {
  let b = openBench({ problem: '952 - 37', representation: 'blocks', also: ['columns', 'equations'] }, 'together')
  const cycle = ['lay 952', 'break ten', 'take 7 ones', 'give 7 ones', 'tie ten', 'take 3 tens', 'give 3 tens', 'take 2 hundreds', 'give 2 hundreds']
  let i = 0
  while (b.log.length < n) { const m = i === 0 ? cycle[0]! : cycle[1 + ((i - 1) % 8)]!; i++; b = enter(b, { at: i, on: 'blocks', move: m }) }
  return recordOf(b)
}
for (const n of [300, 1000, 3000]) {
  const r = make(n)
  globalThis.gc?.()
  const m0 = process.memoryUsage().heapUsed
  const t = performance.now()
  let b = reopen(r)
  const open = performance.now() - t
  globalThis.gc?.()
  const mem = (process.memoryUsage().heapUsed - m0) / 1e6
  const t2 = performance.now()
  for (let k = 0; k < 10; k++) b = enter(b, { at: 9e6, on: 'bench', move: 'undo' })
  console.log(n, 'open', open.toFixed(0), 'ms', 'memory', mem.toFixed(1), 'MB', 'undo', ((performance.now() - t2) / 10).toFixed(3), 'ms')
}
