import { change, holds, type Act } from '../act/act'
import { add, compare, isWhole, sign, sizeOf, subtract, ZERO, type Exact } from '../number/exact'
import { CURRENCIES, type Currency } from '../number/money'
import { parseNumeral, valueOf } from '../number/numeral'
import { formOf } from '../number/words'
import { capital, say, type WordPack } from './words'

/** What is said while coins are counted: the total that each makes, and where the kind changes (practice, section 12). */

interface OfMoney {
  readonly pack: WordPack
  readonly money?: Currency
  /** Where change is counted up, the price it is counted from. */
  readonly from?: Exact
}

/** “Three twenty-five-cent coins”; of the large unit, “one two-pound coin”, “one five-pound note”; of tokens, “three tokens of five”. */
export function coinsNamed(count: number, value: number, pack: WordPack, money: Currency = CURRENCIES.token): string {
  const { smallName, largeName, coins } = money
  if (!largeName) return `${say(count, pack)} ${formOf(count, smallName)} of ${say(value, pack)}`
  const large = value % 100 === 0
  const unit = large ? largeName[0] : smallName[0]
  const thing = coins.some((c) => c.value === value) ? COIN : NOTE
  return `${say(count, pack)} ${say(large ? value / 100 : value, pack)}-${unit} ${formOf(count, thing)}`
}
const COIN = ['coin', 'coins'] as const
const NOTE = ['note', 'notes'] as const

/** What is said for an act with coins; undefined for what is told as anywhere else. */
export function coinsInWords(act: Act, before: Exact, { pack, money, from }: OfMoney): string | undefined {
  switch (act.kind) {
    case 'pose': {
      const [kind] = act.pieces ?? []
      return kind && isWhole(kind.unit)
        ? `Stop. Now ${coinsNamed(kind.count, Number(kind.unit), pack, money)}.`
        : undefined
    }
    case 'compare': {
      const [counted, price] = act.numbers.map((n) => valueOf(parseNumeral(n)))
      const off = sizeOf(subtract(counted!, price!))
      const [short, there] = [say(off, pack), say(counted!, pack)]
      if (!holds(act)) return undefined
      if (off === ZERO) return `${capital(there)}: just enough.`
      return compare(counted!, price!) < 0
        ? `${capital(there)} is not enough: ${short} more ${off === '1' ? 'is' : 'are'} wanted.`
        : `${capital(there)} is enough, and ${short} ${off === '1' ? 'is' : 'are'} left.`
    }
    case 'begin':
      return act.to === null ? undefined : `Count up from ${say(act.from, pack)} to ${say(act.to, pack)}.`
    case 'lay':
    case 'join':
    case 'take': {
      const there = say(add(from ?? ('0' as Exact), add(before, change(act))), pack)
      if (sign(change(act)) < 0) return `One goes back: ${there} now.`
      const [said] = act.said ?? []
      return said === undefined ? `${capital(there)}.` : `“${capital(say(said, pack))}.” ${capital(there)} now.`
    }
    default:
      return undefined
  }
}
