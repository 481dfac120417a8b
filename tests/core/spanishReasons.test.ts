import fc from 'fast-check'
import { attempt, isToldIn, offersFor, parseProblem, REPRESENTATION_IDS, REPRESENTATIONS } from '../../core/index'
import { setUp } from '../../core/plan/setup'
import { reasonInSpanish } from '../../core/speech/spanish/reasons'

/** Why something cannot be, told in Spanish by the shape of the English sentence. */

const TOLD = REPRESENTATION_IDS.filter((id) => isToldIn('es', id))

describe('Reasons in Spanish', () => {
  test.each([
    [
      'There are only 2 ones on the mat; 7 are wanted. Break one ten first.',
      'Hay solo 2 unidades en el tablero; hacen falta 7. Primero parte una decena.',
    ],
    ['There are no hundreds on the mat; 1 is wanted.', 'No hay centenas en el tablero; hacen falta 1.'],
    ['There are no counters out; 4 are wanted.', 'No hay fichas fuera; hacen falta 4.'],
    ['There are no tens set beside.', 'No hay decenas al lado.'],
    [
      'It takes 10 ones to make one ten; the mat has 4.',
      'Hacen falta 10 unidades para formar una decena; en el tablero hay 4.',
    ],
    ['There is a number already. Count on from it, or undo.', 'Ya hay un número. Sigue contando desde él, o deshaz.'],
    [
      '52 is asked. It holds 20: loose counters are for numbers up to 20.',
      'Se pide 52. Da para 20: las fichas sueltas son para números hasta 20.',
    ],
    [
      '52 is asked. It holds 20: loose counters are for numbers up to 20. It would fit on: base-ten blocks, open number line, abacus.',
      'Se pide 52. Da para 20: las fichas sueltas son para números hasta 20. Cabe en: bloques de base diez, recta abierta, abacus.',
    ],
    ['Nobody has written this sentence.', null],
  ])('%s', (english, spanish) => {
    expect(reasonInSpanish(english)).toBe(spanish)
  })

  test('why a material does not hold a problem is told in it, for each of those that are told in Spanish', () => {
    const problems = [
      '52 - 37',
      '520000 + 37',
      '-3 + 5',
      '4 * 6',
      '12 / 3',
      '7.4 - 2.6',
      '1/2 + 1/3',
      '3/8 ? 1/4',
      '3 * 25 + 2 * 10',
    ]
    const open = problems.flatMap((p) =>
      offersFor(parseProblem(p))
        .filter((o) => TOLD.includes(o.representation) && o.why !== '' && reasonInSpanish(o.why) === null)
        .map((o) => o.why),
    )
    expect(open).toEqual([])
  })

  test('what a hand may do and cannot, by chance, is told in Spanish', () => {
    const [told, untold] = [new Set<string>(), new Set<string>()]
    const moves = {
      blocks: [
        'lay 5 tens 2 ones',
        'take 3 tens',
        'take 9 ones',
        'break 1 ten',
        'tie 1 ten',
        'break 1 one',
        'read 15',
        'take 1 hundred',
        'set 3 tens',
        'push 4 tens',
      ],
      drawn: ['draw 5 tens', 'draw 2 ones', 'cross 7 ones', 'break 1 ten', 'ring 1 ten', 'break 1 one', 'read 4'],
      counters: ['put 8', 'set 5', 'push 9', 'return 4', 'return 9', 'hold 8', 'on 9', 'back 7', 'read 3', 'recall'],
      columns: [
        'write 52',
        'under - 37',
        'answer 5 ones',
        'strike tens',
        'above 4 tens',
        'one ones',
        'carry 1 tens',
        'above 3 ones',
        'pull left 1',
      ],
      openline: ['start 52', 'hop -30', 'hop -7', 'hop 0', 'read 15', 'way 37 to 52'],
    } as const
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(moves) as (keyof typeof moves)[])),
        fc.array(fc.nat(20), { minLength: 1, maxLength: 8 }),
        (id, picks) => {
          const setup = setUp({ problem: id === 'counters' ? '13 - 5' : '52 - 37', representation: id })
          const r = REPRESENTATIONS[id]
          let state = r.start(setup.worked, setup.choices)
          for (const pick of picks) {
            const done = attempt(() => r.apply(state, r.parse(moves[id][pick % moves[id].length]!)))
            if ('ok' in done) state = done.ok
            else (reasonInSpanish(done.refused.message) === null ? untold : told).add(done.refused.message)
          }
        },
      ),
      { numRuns: 400, seed: 7 },
    )
    expect(told.size).toBeGreaterThan(20)
    expect([...untold]).toEqual([])
  })
})
