import type { WordPack } from './pack'

/**
 * Texts that are written once, in the words that most classes use, said in a class's own: reasons, help, names of steps and of mistakes.
 * What Sett tells of a move is made in the class's words from the start (say.ts); this is for sentences that no move is told by.
 */

const NOUN =
  /\b(an|one|the|each|every|no|any|fair|first|second|next|another|its|this|that|whole) exchange\b(?! (?:one|ten|a|an|\d))/gi
const FOR = /\b(exchanged?|exchanging)((?: [^.,;:]{1,40}?)?) for\b/gi

const like = (as: string, word: string): string =>
  /^\p{Lu}/u.test(as) ? word.charAt(0).toUpperCase() + word.slice(1) : word
const article = (word: string): string => (/^[aeiou]/i.test(word) ? 'an' : 'a')

/** Sentences about exchanges with the class's verb, noun and the word between what goes and what comes. */
function exchanging(text: string, { verb, link, noun, done, doing }: WordPack['exchange']): string {
  return text
    .replace(FOR, (_, word: string, what: string) => `${word}${what} ${link}`)
    .replace(
      NOUN,
      (_, before: string) => `${before.toLowerCase() === 'an' ? like(before, article(noun)) : before} ${noun}`,
    )
    .replace(/\bexchanges\b/gi, (word) => like(word, `${noun}s`))
    .replace(/\bexchanged\b/gi, (word) => like(word, done))
    .replace(/\bexchanging\b/gi, (word) => like(word, doing))
    .replace(/\bexchange\b/gi, (word) => like(word, verb))
}

const TAKING: Readonly<Record<string, string>> = {
  subtract: 'take away',
  subtracts: 'takes away',
  subtracted: 'taken away',
  subtracting: 'taking away',
}
/** “Subtract” where a class says “take away”. */
const taking = (text: string): string =>
  text.replace(/\bsubtract(?:s|ed|ing)?\b/gi, (word) => like(word, TAKING[word.toLowerCase()]!))

/** A text in the class's words: for taking away, for exchanging, for the lowest place, and nought or zero. */
export function inClassWords(text: string, pack: WordPack): string {
  const taken = pack.take === 'take away' ? taking(text) : text
  const exchanged = pack.exchange.verb === 'exchange' ? taken : exchanging(taken, pack.exchange)
  const placed =
    pack.ones[1] === 'ones' ? exchanged : exchanged.replace(/\b(o)nes\b/gi, (_, o: string) => like(o, pack.ones[1]))
  return pack.numbers.zero === 'nought'
    ? placed
    : placed.replace(/\b(n)ought(s?)\b/gi, (_, n: string, s: string) => `${like(n, 'zero')}${s}`)
}
