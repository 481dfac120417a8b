import { capital } from '../../number/words'
import type { Place } from '../../number/places'
import { printExact } from '../../number/numeral'
import { Refusal } from '../../refusal'
import { countsIn, decimalAt, kindAt, numberAt, printCounts, spanOf, wordsOf, type Word } from '../text'
import { aboveOf, kindName, type PlacedMaterial, type PlacedMove, type Zone } from './state'

/** The verb for every way a block can be carried. */
const VERBS: readonly (readonly [string, Zone, Zone])[] = [
  ['lay', 'store', 'mat'],
  ['return', 'mat', 'store'],
  ['set', 'store', 'beside'],
  ['unset', 'beside', 'store'],
  ['push', 'beside', 'mat'],
  ['pull', 'mat', 'beside'],
  ['take', 'mat', 'taken'],
  ['give', 'taken', 'mat'],
  ['tidy', 'taken', 'store'],
  ['untidy', 'store', 'taken'],
]

/** Whether blocks are carried this way at all. */
export const canCarry = (from: Zone, to: Zone): boolean => VERBS.some(([, f, t]) => f === from && t === to)

/** `lay 52`, `set 358`, `push 8 ones`, `take 7 ones`, `break ten`, `tie 2 tens`, `read 15`. */
export function printMove(m: PlacedMaterial, move: PlacedMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${printExact(move.value)}`
    case 'carry': {
      const verb = VERBS.find(([, f, t]) => f === move.from && t === move.to)
      if (!verb) throw new Error(`no word for carrying from ${move.from} to ${move.to}`)
      return `${verb[0]} ${printCounts(move.counts, m.units)}`
    }
    case 'break':
    case 'tie':
      return `${move.kind} ${move.times === 1 ? '' : `${move.times} `}${kindName(m, move.place, move.times)}`
  }
}

/** Reads a typed move. @throws Refusal with the place in the text. */
export function parseMove(m: PlacedMaterial, text: string): PlacedMove {
  const words = wordsOf(text)
  const verb = words[0]
  if (!verb) throw new Refusal('There is no move yet.', 'Type one, like: take 7 ones.', { at: 0, length: 0 })
  const rest = words.slice(1)
  if (verb.text === 'unread' && rest.length === 0) return { kind: 'read', value: null }
  if (verb.text === 'read') {
    nothingAfter(rest, 1)
    return { kind: 'read', value: decimalAt(rest[0], text) }
  }
  if (verb.text === 'break' || verb.text === 'tie') return exchangeMove(m, verb.text, rest, text)
  const carry = VERBS.find(([name]) => name === verb.text)
  if (!carry)
    throw new Refusal(
      `${m.pieces} have no move “${verb.text}”.`,
      'They know lay, set, push, take, give, return, break, tie and read.',
      spanOf(verb),
    )
  return { kind: 'carry', from: carry[1], to: carry[2], counts: countsIn(rest, text, m.units) }
}

function exchangeMove(m: PlacedMaterial, kind: 'break' | 'tie', rest: readonly Word[], text: string): PlacedMove {
  const counted = rest[0] !== undefined && /^\d/.test(rest[0].text)
  const times = counted ? Number(numberAt(rest[0], text)) : 1
  if (times < 1 || times > 99) throw new Refusal(`${times} is no number of pieces to ${kind}.`, '', spanOf(rest[0]!))
  const unit = kindAt(rest[counted ? 1 : 0], text, m.units)
  const place: Place = aboveOf(m) - 1 - m.units.worths.indexOf(unit)
  nothingAfter(rest, counted ? 2 : 1)
  if (kind === 'tie' && place === -m.decimals)
    throw new Refusal(
      `${capital(kindName(m, place))} are not tied from anything smaller here.`,
      `Say tie ${kindName(m, place + 1, 1)}, or a greater one.`,
      spanOf(rest.at(-1)!),
    )
  return { kind, place, times }
}

function nothingAfter(words: readonly Word[], from: number): void {
  const extra = words[from]
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
}
