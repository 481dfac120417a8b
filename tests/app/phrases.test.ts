import * as fc from 'fast-check'
import { phrasesOf, wordsWanted } from '../../app/utils/phrases'
import { spokenWords } from '../../shared/spokenWords'

const known = (...said: string[]): ReadonlyMap<string, string> => new Map(said.map((s) => [s, `id of ${s}`]))
const told = (text: string, ...said: string[]) =>
  phrasesOf(text, known(...said))?.map((p) => [p.id.slice(6), p.word, p.words])

test('words are compared without capitals and marks, and a number’s parts apart', () => {
  expect(spokenWords('Fifty-two take away “thirty-seven”.')).toEqual([
    'fifty',
    'two',
    'take',
    'away',
    'thirty',
    'seven',
  ])
  expect(spokenWords('52 − 37, now!')).toEqual(['52', '37', 'now'])
  expect(spokenWords(' — … ')).toEqual([])
})

test('a sentence is put together from recordings, the longest first; words are counted as they are written', () => {
  expect(told('Break a ten.', 'break', 'a', 'ten', 'break a')).toEqual([
    ['break a', 0, 2],
    ['ten', 2, 1],
  ])
  expect(told('Fifty-two beads', 'fifty', 'two', 'beads')).toEqual([
    ['fifty', 0, 1],
    ['two', 0, 1],
    ['beads', 1, 1],
  ])
  // A long beginning that leaves a word over is no way through.
  expect(told('one two three four', 'one two three', 'one two', 'three four')).toEqual([
    ['one two', 0, 2],
    ['three four', 2, 2],
  ])
  expect(told('Break a ten now.', 'break a ten')).toBeUndefined()
  expect(told('', 'ten')).toBeUndefined()
})

const word = fc.constantFrom('one', 'two', 'ten', 'take', 'away', 'beads')
test('law: recordings found have all the words in their order, and there are none where some word has none', () => {
  fc.assert(
    fc.property(
      fc.array(word, { minLength: 1, maxLength: 12 }),
      fc.array(fc.array(word, { minLength: 1, maxLength: 3 }), { maxLength: 8 }),
      (words, said) => {
        const map = known(...said.map((s) => s.join(' ')))
        const found = phrasesOf(words.join(' '), map)
        const every = words.every((w) => map.has(w))
        if (every) expect(found).not.toBeNull()
        if (!found) return
        expect(found.map((p) => p.id.slice(6)).join(' ')).toBe(words.join(' '))
        let at = 0
        for (const p of found) {
          expect(p.word).toBe(at)
          at += p.words
        }
        expect(at).toBe(words.length)
        // No way through has fewer recordings.
        const fewest = (from: number): number =>
          from === words.length
            ? 0
            : Math.min(
                ...[1, 2, 3]
                  .filter((n) => from + n <= words.length && map.has(words.slice(from, from + n).join(' ')))
                  .map((n) => 1 + fewest(from + n)),
                Infinity,
              )
        expect(found).toHaveLength(fewest(0))
      },
    ),
    { numRuns: 400 },
  )
})

test('words that are still wanted come by how often they are said; a sentence that is recorded whole wants none', () => {
  const sentences = ['Take two.', 'Take a ten.', 'Well done.']
  expect(wordsWanted(sentences, known('well done', 'ten'))).toEqual([
    { word: 'take', count: 2 },
    { word: 'two', count: 1 },
    { word: 'a', count: 1 },
  ])
})
