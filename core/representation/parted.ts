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
