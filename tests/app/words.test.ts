import { CARDS } from '../../app/components/shelf/cards'
import en from '../../app/locales/en.json'
import cards from '../../app/locales/es.cards.json'
import es from '../../app/locales/es.json'

import { isToldIn, REPRESENTATION_IDS } from '../../core/index'

/** The words of the Bench in every language: the same keys, the same gaps, nothing left in English. */

const gaps = (said: string): readonly string[] => [...new Set(said.match(/\{\w+\}/g))].sort()

describe('The words of the Bench', () => {
  const [english, spanish] = [new Map(Object.entries(en)), new Map(Object.entries(es))]

  test('every language has the same keys, and no text is empty', () => {
    expect([...spanish.keys()].sort()).toEqual([...english.keys()].sort())
    for (const [key, said] of [...english, ...spanish]) expect([key, said.trim() !== '']).toEqual([key, true])
  })

  test('what is filled in in one language is known in the other, and plurals have as many forms', () => {
    for (const [key, said] of spanish) {
      const known = gaps(english.get(key)!)
      // A language may need less than is given (Spanish says “1 ficha”), or the thing besides the verb.
      for (const gap of gaps(said))
        expect([key, gap, [...known, '{thing}']]).toEqual([key, gap, expect.arrayContaining([gap])])
      expect([key, said.split(' | ').length]).toEqual([key, english.get(key)!.split(' | ').length])
    }
  })

  test('nothing but names and signs is written alike in two languages', () => {
    const alike = [...spanish].filter(([key, said]) => said === english.get(key)).map(([key]) => key)
    // “Material: …” is.
    expect(alike).toEqual(['ask.material'])
  })

  test('every card of a material that is told in Spanish says each of its pictures', () => {
    const told = cards as Readonly<Record<string, readonly (readonly string[])[]>>
    for (const id of REPRESENTATION_IDS.filter((r) => isToldIn('es', r))) {
      const own = told[id === 'blocks' || id === 'chips' ? 'placed' : id] ?? []
      expect([id, own.length]).toEqual([id, CARDS[id as keyof typeof CARDS].length])
    }
  })
})
