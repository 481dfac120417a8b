import { parseNumeral } from '../number/numeral'
import { Refusal } from '../refusal'
import { MOST_COMPARED, type Amount, type Naming, type Problem } from './problem'
import { sumOfGroups } from './sums'
import { isProduct, items, tokens } from './tokens'

/** Problems that ask for more than a sum: with pairs, to be written another way, to be compared. */

/** Numbers that are said in words where pairs are asked for. */
const SMALL = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
/** More pairs than any mat has room for are no pairs asked for. */
const MOST_PAIRS = 20
const PAIRED = /^\s*([+−–-]?\d{1,9})\s*,?\s*(?:shown\s+)?with\s+(\d{1,3}|[a-z]+)\s+(?:zero\s+)?pairs?\s*$/i

/** One number to be set out with zero pairs (`4 with 3 pairs`), or undefined where it is something else. @throws Refusal for too many. */
export function withPairs(text: string): Problem | undefined {
  const [, number, said] = PAIRED.exec(text) ?? []
  if (number === undefined || said === undefined) return undefined
  const pairs = /^\d/.test(said) ? Number(said) : SMALL.indexOf(said.toLowerCase())
  if (pairs < 1 || pairs > MOST_PAIRS)
    throw new Refusal(`“${said}” is no number of pairs to set out.`, `From 1 to ${MOST_PAIRS}, like 4 with 3 pairs.`)
  return { first: parseNumeral(number.replace(/^[−–]/, '-').replace(/^\+/, '')), terms: [], pairs }
}

/** How a number may be asked to be written, as it is typed. */
const NAMINGS: readonly (readonly [RegExp, Exclude<Naming['kind'], 'parts'>])[] = [
  [/^\s*(.+?)\s+in\s+(?:its\s+)?(?:simplest|lowest)\s+(?:form|terms)\s*$/i, 'simplest'],
  [/^\s*(?:simplify|reduce)\s+(.+?)\s*$/i, 'simplest'],
  [/^\s*(.+?)\s+as\s+(?:a\s+)?decimal\s*$/i, 'decimal'],
  [/^\s*(.+?)\s+as\s+(?:a\s+)?fraction\s*$/i, 'fraction'],
  [/^\s*(.+?)\s+by\s+(?:other|another)\s+names?\s*$/i, 'others'],
]
const NAMED_PARTS = /^\s*(.+?)\s*=\s*[?▢_]\s*\/\s*(\d{1,3})\s*$/u

/** One number to be written another way (`2/3 = ?/12`, `6/8 in simplest form`), or undefined where it is something else. */
export function naming(text: string): Problem | undefined {
  const [, number, of] = NAMED_PARTS.exec(text) ?? []
  if (number !== undefined && of !== undefined) {
    if (Number(of) < 2) throw new Refusal(`A whole is not cut into ${of} parts.`, 'Ask for halves at the least.')
    return { first: parseNumeral(plainMinus(number)), terms: [], named: { kind: 'parts', of: Number(of) } }
  }
  for (const [form, kind] of NAMINGS) {
    const [, named] = form.exec(text) ?? []
    if (named !== undefined) return { first: parseNumeral(plainMinus(named)), terms: [], named: { kind } }
  }
  return undefined
}

const plainMinus = (number: string): string => number.replace(/^[−–]\s*/u, '-').replace(/^\((.+)\)$/, '$1')

const LISTED = /^\s*(?:compare|order|put in order)\s+/i

/** Amounts that are held against one another (`3/8 + 2/8 ? 4/8`, `order 2/3, 3/4, 5/8`), or undefined where it is something else. */
export function comparing(text: string): Problem | undefined {
  const listed = LISTED.exec(text)?.[0]
  const parted = listed
    ? betweenMarks(text.slice(listed.length), /,|\band\b|\bwith\b/gi, listed.length)
    : betweenMarks(text, /\?/g, 0)
  if (parted.length < 2) {
    if (listed) throw new Refusal('One number alone is not compared.', 'Like: compare 2/3, 3/4.')
    return undefined
  }
  if (parted.length > MOST_COMPARED)
    throw new Refusal(`${parted.length} numbers are many to put in order; up to ${MOST_COMPARED} can be.`)
  const [first, ...rest] = parted.map(({ part, at }) => ' '.repeat(at) + part)
  const others = rest.map(amountIn)
  // A heap of coins is held against what it should pay.
  const products = first!.trim() === '' ? [] : items(tokens(first!))
  return products.some(isProduct) ? { ...sumOfGroups(products), others } : { ...amountIn(first!), others }
}

/** The parts of a text between some marks, and where each begins. */
function betweenMarks(
  text: string,
  mark: RegExp,
  from: number,
): readonly { readonly part: string; readonly at: number }[] {
  const found: { part: string; at: number }[] = []
  let at = 0
  for (const m of text.matchAll(mark)) {
    found.push({ part: text.slice(at, m.index), at: from + at })
    at = m.index + m[0].length
  }
  return [...found, { part: text.slice(at), at: from + at }]
}

/** A number, or a sum or difference. @throws Refusal where it is neither. */
function amountIn(text: string): Amount {
  if (text.trim() === '') throw new Refusal('A number is missing beside the “?”.', 'Like: 3/8 + 2/8 ? 4/8.')
  const [head, ...terms] = items(tokens(text))
  if (terms.some(isProduct))
    throw new Refusal('What is compared here are numbers, sums and differences.', 'Like: 3/8 + 2/8 ? 4/8.')
  if (terms.length > MOST_COMPARED)
    throw new Refusal(`Up to ${MOST_COMPARED + 1} numbers stand on one side of a comparison.`)
  return { first: head!.number, terms }
}

const WITHOUT = /^(.*\d.*?)\bwithout\s+(?:an?\s|any\s)?(.+)$/iu

/** What is paid without some kinds of coins (`87 without 50 and 20`), and those kinds; undefined where nothing is left out. */
export function withoutKinds(text: string): { readonly rest: string; readonly without: readonly number[] } | undefined {
  const [, rest, named] = WITHOUT.exec(text) ?? []
  if (rest === undefined || named === undefined) return undefined
  const kinds = named.split(/\s*(?:,|\band\b|\bor\b)\s*/iu).map((kind) => {
    const [token, more] = /\d/u.test(kind) ? tokens(kind.replace(/(\d)s$/u, '$1')) : []
    if (token?.kind !== 'number' || more || !/^\d{1,5}$/.test(token.text))
      throw new Refusal(
        `“${kind.trim().slice(0, 20)}” is no coin that could be left out.`,
        'Like: 87 without 50 and 20.',
      )
    return Number(token.text)
  })
  return { rest, without: [...new Set(kinds)].sort((a, b) => b - a) }
}
