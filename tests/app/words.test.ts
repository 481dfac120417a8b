import { CARDS } from '../../app/components/bench/shelf/cards'
import benchEn from '../../app/locales/en/bench.json'
import frameEn from '../../app/locales/en/frame.json'
import cards from '../../app/components/bench/shelf/cards.es.json'
import benchEs from '../../app/locales/es/bench.json'
import frameEs from '../../app/locales/es/frame.json'

import { isToldIn, REPRESENTATION_IDS } from '../../core/index'

/** The words of the Bench in every language: the same keys, the same gaps, nothing left in English. */

const gaps = (said: string): readonly string[] => [...new Set(said.match(/\{\w+\}/g))].sort()

describe('The words of the Bench', () => {
  const english = new Map(Object.entries({ ...frameEn, ...benchEn }))
  const spanish = new Map(Object.entries({ ...frameEs, ...benchEs }))

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
