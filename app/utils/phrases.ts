import { spokenWords } from '../../shared/spokenWords'

/** A recording that is played for some words of a sentence. */
export interface Phrase {
  readonly id: string
  /** Its first word and how many it lights, as the sentence is cut at spaces. */
  readonly word: number
  readonly words: number
}

/** Words of a sentence as they are compared, each with the written word it stands in. */
function tokensOf(text: string): readonly { readonly said: string; readonly word: number }[] {
  return (text.match(/\S+/g) ?? []).flatMap((written, word) => spokenWords(written).map((said) => ({ said, word })))
}

/**
 * A sentence as the fewest recordings that have all its words; null where some word has none. `known` gives a recording by its words, with
 * spaces between. Longer ones are preferred: a sentence said whole sounds better than one put together.
 */
export function phrasesOf(text: string, known: ReadonlyMap<string, string>): readonly Phrase[] | null {
  const tokens = tokensOf(text)
  if (tokens.length === 0) return null
  const longest = Math.max(0, ...[...known.keys()].map((k) => k.split(' ').length))
  /** The fewest recordings for what begins at each word. */
  const best: (readonly Phrase[] | null)[] = Array.from({ length: tokens.length + 1 }, () => null)
  best[tokens.length] = []
  for (let from = tokens.length - 1; from >= 0; from--)
    for (let to = Math.min(tokens.length, from + longest); to > from; to--) {
      const rest = best[to]
      const said = tokens.slice(from, to)
      const id = known.get(said.map((t) => t.said).join(' '))
      const had = best[from]?.length ?? Infinity
      if (!rest || id === undefined || had <= rest.length + 1) continue
      const { word } = said[0]!
      best[from] = [{ id, word, words: said.at(-1)!.word - word + 1 }, ...rest]
    }
  return best[0] ?? null
}

/** Words that sentences have and no recording does, the most frequent first, with how often each comes. */
export function wordsWanted(
  sentences: readonly string[],
  known: ReadonlyMap<string, string>,
): readonly { readonly word: string; readonly count: number }[] {
  const counts = new Map<string, number>()
  for (const sentence of sentences)
    if (!phrasesOf(sentence, known))
      for (const word of spokenWords(sentence)) if (!known.has(word)) counts.set(word, (counts.get(word) ?? 0) + 1)
  return [...counts].map(([word, count]) => ({ word, count })).sort((a, b) => b.count - a.count)
}
