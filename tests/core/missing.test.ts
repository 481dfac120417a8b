import fc from 'fast-check'
import { MAX_SOLUTIONS, parseMissing, printMissing, solveMissing } from '../../core/problem/missing'
import { sayMissing } from '../../core/speech/missing'
import { packOf } from '../../core/speech/words'

/** Every filling tried one by one, with machine integers: another computation than the search by columns. */
function bruteForce(text: string): string[] {
  const boxes = [...text].filter((c) => c === '?').length
  const found: string[] = []
  for (let n = 0; n < 10 ** boxes; n++) {
    const digits = [...String(n).padStart(boxes, '0')]
    const filled = text.replace(/\?/g, () => digits.shift()!)
    if (/(?:^|[^\d.])0\d/.test(filled)) continue
    const [left, right] = filled.split(' = ') as [string, string]
    const total = left
      .split(' ')
      .reduce((sum, token, i, all) => (i % 2 ? sum : sum + (all[i - 1] === '-' ? -1 : 1) * Number(token)), 0)
    if (total === Number(right)) found.push(filled)
  }
  return found
}
const solved = (text: string): string[] => {
  const p = parseMissing(text)
  return solveMissing(p).solutions.map((s) => printMissing(p, s.digits))
}

/** True sums and differences with up to four of their digits taken out. */
const riddles = fc
  .tuple(fc.nat(9999), fc.nat(9999), fc.boolean(), fc.array(fc.nat(30), { minLength: 1, maxLength: 4 }))
  .map(([a, b, plus, holes]) => {
    const [x, y] = plus || a >= b ? [a, b] : [b, a]
    const text = `${x} ${plus ? '+' : '-'} ${y} = ${plus ? x + y : x - y}`
    const places = [...text].flatMap((c, i) => (/\d/.test(c) ? [i] : []))
    const out = new Set(holes.map((h) => places[h % places.length]!))
    return [...text].map((c, i) => (out.has(i) ? '?' : c)).join('')
  })

test('142 − 6▢ = 75 has one solution, with the shortest reason', () => {
  const p = parseMissing('142 − 6▢ = 75')
  const { solutions } = solveMissing(p)
  expect(solutions.map((s) => s.digits)).toEqual([[7]])
  expect(sayMissing(p, solutions[0]!, packOf('exchange'))).toEqual([
    'Ones: 12 − ▢ = 5 (a ten is exchanged), so ▢ is 7.',
  ])
  expect(sayMissing(p, solutions[0]!, packOf('regroup'))[0]).toContain('(a ten is regrouped)')
})

test('all solutions, and only they, as every filling tried one by one has them', () => {
  fc.assert(
    fc.property(riddles, (text) => expect(solved(text).sort()).toEqual(bruteForce(text).sort())),
    { numRuns: 150 },
  )
})

test('several addends, decimals and no solution at all', () => {
  expect(solved('4?2 + 1?8 + 3? = 6?0').sort()).toEqual(bruteForce('4?2 + 1?8 + 3? = 6?0').sort())
  expect(solved('1.? + 2.5 = 4.1')).toEqual(['1.6 + 2.5 = 4.1'])
  expect(solved('2? + 2? = 90')).toEqual([])
})

test('every reason states columns and numbers that hold', () => {
  fc.assert(
    fc.property(riddles, (text) => {
      const p = parseMissing(text)
      for (const s of solveMissing(p).solutions.slice(0, 5))
        for (const why of sayMissing(p, s, packOf('exchange'))) {
          // A box that is named is put in; what is left must be an equation that holds.
          const named = /so ▢ is (\d)\./.exec(why)?.[1]
          const [equation] = (
            /and it is (.+)\.$/.exec(why)?.[1] ?? why.replace(/^[\w-]+: /, '').split(/ \(|, so/)[0]!
          ).split(', so')
          const sides = equation!
            .replaceAll('▢', named ?? '')
            .replaceAll('−', '-')
            .split(' = ')
          const worth = (side: string): number =>
            side
              .split(' ')
              .reduce((sum, t, i, all) => (i % 2 ? sum : sum + (all[i - 1] === '-' ? -1 : 1) * Number(t)), 0)
          expect([text, why, worth(sides[0]!)]).toEqual([text, why, worth(sides[1]!)])
        }
    }),
    { numRuns: 100 },
  )
})

test.each([
  ['142 - 67 = 75', 'No digit is missing.'],
  ['142 - 6?', 'One “=” is needed'],
  ['6? = 75', 'There is nothing added or taken away.'],
  ['142 - x? = 75', '“x” at place 7 is not part of such a problem.'],
  ['??? + ??? = ????', '10 digits are missing; up to 6'],
  ['0? + 1 = 2', 'A number does not begin with a nought.'],
  ['1 2? = 3 +', 'take turns'],
  ['1234567890? + 1 = 2', 'at most 9 digits'],
])('%s is refused: %s', (text, why) => expect(() => parseMissing(text)).toThrow(why))

test('a riddle with very many solutions says that there are more', () => {
  const { solutions, more } = solveMissing(parseMissing('? + ? + ? + ? + ? = 2?'))
  expect(solutions).toHaveLength(MAX_SOLUTIONS)
  expect(more).toBe(true)
})
