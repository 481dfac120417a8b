import fc from 'fast-check'
import {
  enter,
  isToldIn,
  openBench,
  packOf,
  parseProblem,
  askInWords,
  attempt,
  plan,
  recordOf,
  reopen,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  representationsFor,
  waysOf,
  type RepresentationId,
  type Words,
} from '../../core/index'
import { DEFAULT_CHOICES, WORD_SETS } from '../../core/choices'
import { listed } from '../../core/number/trail'
import { OPENINGS, TITLES, VERBS } from '../../core/speech/spanish/words'

/** The Bench in Spanish: everything that is said of the materials that are told in it, and nothing in English. */

const SPANISH: Words = { ...WORD_SETS.exchange, language: 'es' }
const choices = { ...DEFAULT_CHOICES, words: SPANISH }
const TOLD = REPRESENTATION_IDS.filter((id) => isToldIn('es', id))

const wordsIn = (text: string): readonly string[] => text.toLowerCase().match(/\p{L}+/gu) ?? []
/** Words that are written alike in both languages. */
const ALIKE = new Set(['a', 'no', 'once', 'r'])

describe('The Bench in Spanish', () => {
  test('every material that is told in it has its title, its verbs and its opening', () => {
    expect(TOLD.length).toBeGreaterThanOrEqual(7)
    for (const id of TOLD) {
      const { verbs, opening } = REPRESENTATIONS[id]
      expect([id, TITLES[id as keyof typeof TITLES]]).toEqual([id, expect.any(String)])
      for (const v of verbs ? [verbs.lay, verbs.join, verbs.take] : [])
        expect([id, v, VERBS[v]]).toEqual([id, v, expect.any(String)])
      expect([id, opening, OPENINGS[opening ?? '']]).toEqual([id, opening, expect.any(String)])
    }
  })

  test('whatever is planned is said without one English word', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TOLD),
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 0, max: 9999 }),
        fc.boolean(),
        fc.constantFrom(1, 10, 100, 1000),
        (id, x, y, adds, scale) => {
          const [a, b] = [Math.floor(x / scale), Math.floor(y / scale)]
          const problem = adds ? `${a} + ${b}` : `${Math.max(a, b)} - ${Math.min(a, b)}`
          fc.pre(representationsFor(problem).some((o) => o.representation === id && o.fits))
          for (const { way } of waysOf(parseProblem(problem), REPRESENTATIONS[id])) {
            const [english, spanish] = [{ ...DEFAULT_CHOICES }, choices].map((c) =>
              plan({ problem, representation: id, way, choices: c })
                .steps.map((s) => s.say)
                .join(' '),
            )
            const foreign = new Set(wordsIn(english!).filter((w) => !ALIKE.has(w)))
            expect([problem, id, way, wordsIn(spanish!).filter((w) => foreign.has(w))]).toEqual([problem, id, way, []])
          }
        },
      ),
      { numRuns: 150 },
    )
  })

  test.each([
    ['52 - 37', 'Cincuenta y dos menos treinta y siete'],
    ['7.4 + 2.61', 'Siete coma cuatro más dos coma seis uno'],
    ['3 * 25 + 2 * 10', 'Tres por veinticinco más dos por diez'],
  ])('%s is asked as “%s”', (problem, said) => {
    const asked = askInWords(parseProblem(problem), packOf(SPANISH))
    expect(asked.charAt(0).toUpperCase() + asked.slice(1)).toBe(said)
  })

  const worked = (problem: string, on: RepresentationId, moves: readonly string[]): readonly string[] => {
    let bench = openBench({ problem, representation: on, choices }, 'together')
    for (const move of moves) bench = enter(bench, { at: 0, on, move })
    // A record is read back in the language in which it was made.
    expect(said(reopen(recordOf(bench)))).toEqual(said(bench))
    return said(bench)
  }
  const said = (bench: ReturnType<typeof openBench>): readonly string[] => listed(bench.now.stones).map((s) => s.say)

  test('what hands do is said as it was done, with what a move still owes', () => {
    expect(
      worked('52 - 37', 'blocks', ['lay 5 tens 2 ones', 'take 3 tens', 'break 1 ten', 'take 7 ones', 'read 15']),
    ).toEqual([
      'Pon cincuenta y dos: cinco decenas y dos unidades.',
      'Quita treinta y siete.',
      'Quita tres decenas. Quedan veintidós.',
      'Cambia una decena por diez unidades. Sigue habiendo veintidós.',
      'Quita siete unidades. Quedan quince.',
      'Cincuenta y dos menos treinta y siete es igual a quince.',
    ])
    expect(worked('52 - 37', 'blocks', ['lay 5 tens 2 ones', 'read 53']).at(-1)).toBe(
      'Cincuenta y tres no es la respuesta. El tablero muestra cincuenta y dos.',
    )
    expect(worked('8 + 5', 'counters', ['put 8', 'set 5', 'push 5', 'read 13']).at(-1)).toContain('es igual a trece.')
  })

  const MOVES = {
    blocks: [
      'lay 5 tens 2 ones',
      'take 3 tens',
      'take 9 ones',
      'break 1 ten',
      'take 1 ten',
      'give 10 ones',
      'read 15',
      'read 53',
      'set 3 tens',
      'return 1 one',
    ],
    drawn: [
      'draw 5 tens',
      'draw 2 ones',
      'cross 2 ones',
      'break 1 ten',
      'cross 3 tens',
      'ring 1 ten',
      'read 4',
      'read 15',
    ],
    counters: ['put 8', 'put 5', 'set 5', 'push 5', 'return 4', 'hold 13', 'back 12', 'back 10', 'read 8', 'read 3'],
    columns: [
      'write 52',
      'write 25',
      'under - 37',
      'answer 5 ones',
      'strike tens',
      'above 4 tens',
      'one ones',
      'answer 1 tens',
      'answer 5 ones',
      'read 15',
    ],
    openline: ['start 52', 'start 37', 'hop -30', 'hop -7', 'hop +3', 'read 15', 'read 22', 'way 37 to 52'],
  } as const

  test('whatever hands do, rightly or not, is told without one English word', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(MOVES) as (keyof typeof MOVES)[])),
        fc.array(fc.nat(9), { minLength: 1, maxLength: 9 }),
        (on, picks) => {
          const problem = on === 'counters' ? '13 - 5' : '52 - 37'
          const [english, spanish] = [DEFAULT_CHOICES, choices].map((c) => {
            let bench = openBench({ problem, representation: on, choices: c }, 'together')
            for (const pick of picks) {
              const done = attempt(() => enter(bench, { at: 0, on, move: MOVES[on][pick % MOVES[on].length]! }))
              if ('ok' in done) bench = done.ok
            }
            return listed(bench.now.stones)
              .map((s) => `${s.label} ${s.say} ${s.owed} ${s.lines.map((l) => l.text).join(' ')}`)
              .join(' ')
          })
          const foreign = new Set(wordsIn(english!).filter((w) => !ALIKE.has(w)))
          expect([on, picks, wordsIn(spanish!).filter((w) => foreign.has(w))]).toEqual([on, picks, []])
        },
      ),
      { numRuns: 250 },
    )
  })
})
