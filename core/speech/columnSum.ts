import type { Choices } from '../choices'
import { valueOf } from '../number/numeral'
import { digitsOf, type Place } from '../number/places'
import { decimalsIn, type Problem } from '../problem/problem'
import { capital, say, type WordPack } from './words'

/** The digits of one column of a sum, from the top down, with what was carried into it first; noughts left out. */
export function columnDigits(problem: Problem, place: Place): readonly number[] {
  const decimals = decimalsIn(problem)
  const numbers = [problem.first, ...problem.terms.map((t) => t.number)].map((n) =>
    digitsOf(valueOf(n), place + decimals + 1, decimals),
  )
  let carried = 0
  for (let i = 0; i < place + decimals; i++)
    carried = Math.floor((numbers.reduce((sum, digits) => sum + (digits[i] ?? 0), 0) + carried) / 10)
  return [carried, ...numbers.map((digits) => digits[place + decimals] ?? 0)].filter((d) => d > 0)
}

/** The digits in the order in which they are added: as they stand, or pairs that make ten first. */
export function sumOrder(digits: readonly number[], order: Choices['columnSum']): readonly number[] {
  if (order === 'down') return digits
  const left = [...digits]
  const tens: number[] = []
  for (let i = 0; i < left.length; i++) {
    const j = left.findIndex((d, k) => k > i && d + left[i]! === 10)
    if (j < 0) continue
    tens.push(left[i]!, left[j]!)
    left.splice(j, 1)
    left.splice(i--, 1)
  }
  return [...tens, ...left]
}

/** A column of several digits added aloud: “Seven and three, ten; and five, fifteen.” (practice, section 7; common practice, no source) */
export function sayColumn(problem: Problem, place: Place, order: Choices['columnSum'], pack: WordPack): string {
  const digits = sumOrder(columnDigits(problem, place), order)
  if (digits.length < 3) return ''
  const { and } = pack
  let total = digits[0]!
  const steps = digits.slice(1).map((d, i) => {
    total += d
    return `${i === 0 ? `${say(digits[0]!, pack)} ${and}` : and} ${say(d, pack)}, ${say(total, pack)}`
  })
  return `${capital(steps.join('; '))}.`
}
