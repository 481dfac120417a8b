import Fraction from 'fraction.js'
import { toWordsOrdinal } from 'number-to-words'
import { AMERICAN, BRITISH, partsName } from '../../core/number/words'
import { toLatex, toMathML } from '../../core/number/markup'
import { plan } from '../../core/plan/plan'
import { parseProblem } from '../../core/problem/parse'
import { REPRESENTATIONS } from '../../core/representation/index'
import { worksOutside } from '../core/fractionWorlds'

/** Sums of every pair of denominators to 12, against fraction.js and mathjs; each on the first material that holds it. */
test('sums and differences over all pairs of denominators to 12 are those of two general libraries', () => {
  for (let a = 2; a <= 12; a++)
    for (let b = 2; b <= 12; b++) {
      const [x, y] = [`${a - 1}/${a}`, `1/${b}`]
      for (const sign of ['+', '-'] as const) {
        const problem = `${x} ${sign} ${y}`
        const on = (['strips', 'line'] as const).find((id) => REPRESENTATIONS[id].fits(parseProblem(problem)).fits)!
        const shown = plan({ problem, representation: on }).steps.at(-1)!.shows
        const worked = sign === '+' ? new Fraction(x).add(y) : new Fraction(x).sub(y)
        expect([problem, shown, shown]).toEqual([problem, worked.toFraction(), worksOutside(problem)])
      }
    }
})

/** a/b < c/d just where a·d < c·b (cross-multiplication; from memory). */
test('order and equivalence are those of cross-multiplication', () => {
  const all: (readonly [number, number])[] = []
  for (let d = 2; d <= 12; d++) for (let n = 1; n < d; n++) all.push([n, d])
  for (const [a, b] of all)
    for (const [c, d] of all) {
      if ((a * 7 + b * 3 + c * 5 + d) % 6 !== 0) continue
      const sign = a * d < c * b ? '<' : a * d > c * b ? '>' : '='
      const last = plan({ problem: `${a}/${b} ? ${c}/${d}`, representation: 'line', way: 'edge-to-edge' }).steps.at(-1)!
      expect(last.lines.at(-1)!.text.replace(/[^<>=]/g, '')).toBe(sign)
    }
})

/** number-to-words names ordinals; a second and a fourth are a half and a quarter (a fourth in American classes; common practice, no source). */
test('names of parts are the ordinals of number-to-words', () => {
  for (let n = 3; n <= 100; n++) {
    if (n === 4) continue
    const ordinal = toWordsOrdinal(n).replace(/^one hundredth$/, 'hundredth')
    expect(partsName(BigInt(n), AMERICAN, false)).toBe(ordinal)
    expect(partsName(BigInt(n), BRITISH, true)).toBe(`${ordinal}s`)
  }
  expect([partsName(2n, BRITISH, false), partsName(2n, BRITISH, true)]).toEqual(['half', 'halves'])
  expect([partsName(4n, BRITISH, true), partsName(4n, AMERICAN, true)]).toEqual(['quarters', 'fourths'])
})

/** The elements of MathML Core (W3C, 2023; names from memory), and \frac of LaTeX. */
test('lines in MathML and in LaTeX', () => {
  expect(toMathML('2 2/5 + 3/4 > 3')).toBe(
    '<math xmlns="http://www.w3.org/1998/Math/MathML"><mrow>' +
      '<mrow><mn>2</mn><mfrac><mn>2</mn><mn>5</mn></mfrac></mrow><mo>+</mo>' +
      '<mfrac><mn>3</mn><mn>4</mn></mfrac><mo>&gt;</mo><mn>3</mn></mrow></math>',
  )
  expect(toLatex('2 2/5 − 3/4 × 1,000')).toBe('2\\frac{2}{5} - \\frac{3}{4} \\times 1{,}000')
  expect(toLatex('3 tenths')).toBe('3 \\text{tenths}')
  // What is worked over and under the line.
  expect(toLatex('1/2 = (1 × 3)/(2 × 3) = (3 + 2)/6')).toBe(
    '\\frac{1}{2} = \\frac{1 \\times 3}{2 \\times 3} = \\frac{3 + 2}{6}',
  )
  expect(toMathML('(3 + 2)/6')).toContain('<mfrac><mrow><mn>3</mn><mo>+</mo><mn>2</mn></mrow><mn>6</mn></mfrac>')
})
