import { negate, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { placeNamed, type Place } from '../../number/places'
import { Refusal } from '../../refusal'
import { decimalAt, spanOf, wordsOf, type Word } from '../text'
import type { AbacusMove } from './frame'

/** `rod 1 lower 2 to bar`, `rod 0 pinch 3 away, right pinch`, `borrow from beyond`, `give back beyond`, `read -433`. */
export function print(move: AbacusMove): string {
  if (move.kind === 'read') return move.value === null ? 'unread' : `read ${printExact(move.value)}`
  if (move.kind === 'owe') {
    const times = Math.abs(move.count) === 1 ? '' : ` ${Math.abs(move.count)}`
    return move.count > 0 ? `borrow${times} from beyond` : `give back${times} beyond`
  }
  const by = move.hand && move.finger ? `, ${move.hand} ${move.finger}` : ''
  return `rod ${move.rod} ${move.bead} ${move.count} ${move.to === 'bar' ? 'to bar' : 'away'}${by}`
}

const HINT = 'Like: rod 0 lower 2 to bar, or ones upper 1 away.'

/** Reads a typed move; a rod goes by its power of ten or by its place's name. @throws Refusal with the place in the text. */
export function parse(text: string): AbacusMove {
  const words = wordsOf(text.replace(/,/g, ' ').replaceAll('−', '-'))
  const [verb, ...rest] = words
  if (!verb) throw new Refusal('There is no move yet.', HINT, { at: 0, length: 0 })
  switch (verb.text) {
    case 'unread':
      end(rest, 0)
      return { kind: 'read', value: null }
    case 'read':
      end(rest, 1)
      return { kind: 'read', value: signedAt(rest[0], text) }
    case 'borrow':
    case 'give':
      return owing(verb.text, rest)
  }
  return beads(words, text)
}

function signedAt(word: Word | undefined, text: string): Exact {
  if (!word?.text.startsWith('-')) return decimalAt(word, text)
  return negate(decimalAt({ text: word.text.slice(1), at: word.at + 1 }, text))
}

function owing(verb: 'borrow' | 'give', rest: readonly Word[]): AbacusMove {
  const words = rest.filter((w) => !['from', 'beyond', 'back'].includes(w.text))
  end(words, 1)
  const count = words[0] ? countAt(words[0], 9) : 1
  return { kind: 'owe', count: verb === 'borrow' ? count : -count }
}

function beads(words: readonly Word[], text: string): AbacusMove {
  const named = words[0]!.text === 'rod' ? words.slice(1) : words
  const [rod, bead, count, ...where] = named
  const place = rodAt(rod, text)
  if (!bead || !['upper', 'lower', 'pinch'].includes(bead.text))
    throw new Refusal(
      bead ? `“${bead.text}” is no bead of a rod.` : 'That does not say which beads.',
      `Beads are upper or lower; pinch moves both. ${HINT}`,
      bead ? spanOf(bead) : { at: text.length, length: 0 },
    )
  if (!count) throw new Refusal('That does not say how many beads.', HINT, { at: text.length, length: 0 })
  const rest = where.filter((w) => !['to', 'the'].includes(w.text))
  const [to, hand, finger] = rest
  end(rest, 3)
  if (!to || !['bar', 'away'].includes(to.text))
    throw new Refusal('Beads go to the bar, or away from it.', HINT, to ? spanOf(to) : { at: text.length, length: 0 })
  if (hand && !(['left', 'right'].includes(hand.text) && finger && ['thumb', 'index', 'pinch'].includes(finger.text)))
    throw new Refusal(`“${hand.text}” is no hand and finger.`, 'Like: right thumb.', spanOf(hand))
  return {
    kind: 'beads',
    rod: place,
    bead: bead.text as 'upper' | 'lower' | 'pinch',
    count: countAt(count, 10),
    to: to.text as 'bar' | 'away',
    hand: (hand?.text as 'left' | 'right') ?? null,
    finger: (finger?.text as 'thumb' | 'index' | 'pinch') ?? null,
  }
}

function rodAt(word: Word | undefined, text: string): Place {
  if (!word) throw new Refusal('That does not say which rod.', HINT, { at: text.length, length: 0 })
  const place = /^-?\d{1,2}$/.test(word.text) ? Number(word.text) : placeNamed(word.text)
  if (place === undefined)
    throw new Refusal(
      `The abacus has no move “${word.text}”.`,
      `It moves beads on rods, and is read. ${HINT}`,
      spanOf(word),
    )
  return place
}

function countAt(word: Word, most: number): number {
  const count = Number(word.text)
  if (!/^\d{1,2}$/.test(word.text) || count < 1 || count > most)
    throw new Refusal(`“${word.text}” is no number of beads.`, `From 1 to ${most}.`, spanOf(word))
  return count
}

function end(words: readonly Word[], most: number): void {
  const extra = words[most]
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
}
