import { exchangeAct, type ExchangeAct } from '../act/act'
import { printExact } from '../number/numeral'
import { noCounts, unitOf, worth, type Counts } from '../number/places'

export const countsOnly = (count: number, place: number): Counts => [...noCounts(place), count]

/**
 * Counts parted into places: `40 + 12`, `200 + 100 + 4`. Ten hundreds with no thousand before them would read as one
 * thousand; such a part is written `10 * 100`.
 */
export function parted(counts: Counts, decimals = 0): string {
  const part = (count: number, place: number): string => {
    const mistakable = count > 9 && (count % 100 === 0 || (count % 10 === 0 && !counts[place + 1]))
    if (mistakable) return `${count} * ${printExact(unitOf(place - decimals))}`
    return printExact(worth(countsOnly(count, place), decimals))
  }
  const held = counts.flatMap((count, place) => (count ? [part(count, place)] : [])).reverse()
  return held.length > 0 ? held.join(' + ') : '0'
}

/**
 * The exchanges that a line of parts could write, told from the numbers in it: whichever place gave or got, what stands there
 * afterwards is one of them, or nothing. Each still has to be tried against what would be written for it.
 */
export function exchangesIn(line: string, counts: Counts, decimals: number): readonly ExchangeAct[] {
  const [, right = ''] = line.split(' = ')
  const parts = right.split(' + ').map((part) => {
    const [many = '', unit = '1'] = part.split(' * ')
    return Math.round(Number(many) * Number(unit) * 10 ** decimals)
  })
  if (parts.some((n) => !Number.isSafeInteger(n))) return []
  return counts.flatMap((count, p) => {
    if (p === 0) return []
    const left = new Set([0, ...parts.map((n) => n / 10 ** p)].filter(Number.isInteger))
    return [...left].flatMap((now) => {
      if (now < count) return [exchangeAct(p - decimals, false, count - now)]
      const times = now - count
      return times > 0 && 10 * times <= (counts[p - 1] ?? 0) ? [exchangeAct(p - decimals, true, times)] : []
    })
  })
}
