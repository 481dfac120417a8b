import fc from 'fast-check'
import type { Act } from '../../core/act/act'
import { DEFAULT_CHOICES } from '../../core/choices'
import { chainText, setChains } from '../../core/course/chains/chains'
import { before, LESSONS, lessonId, lessonOf, type Lesson } from '../../core/course/chains/lessons'
import type { ChainWish } from '../../core/course/chains/wish'
import { divide } from '../../core/number/exact'
import { placeOfUnit, unitOf } from '../../core/number/places'
import { plan } from '../../core/plan/plan'

const wish = (id: string, over: Partial<ChainWish> = {}): ChainWish => {
  const lesson = lessonOf(id)!
  return {
    lesson,
    rod: 0,
    times: 'once',
    terms: 4,
    digits: 1,
    taught: before(lesson).map(lessonId),
    signs: 'both',
    undoing: true,
    least: 0,
    greatest: 9,
    order: 'highest',
    beads: { upper: 1, lower: 4 },
    names: 'complement',
    count: 10,
    seed: 7,
    ...over,
  }
}

/** Every lesson that a chain needs, with its rod, told from the planner's acts alone: a ten on the next rod is a digit there. */
function lessonsIn(chain: readonly number[], order: ChainWish['order']): readonly { id: string; rod: number }[] {
  const choices = { ...DEFAULT_CHOICES, abacus: { ...DEFAULT_CHOICES.abacus, order } }
  const used: { id: string; rod: number }[] = []
  const note = (act: Act): void => {
    if ((act.kind !== 'join' && act.kind !== 'take') || !act.rule) return
    const rod = act.amount.length - 1
    const digit = Number(divide(act.amount, unitOf(rod)))
    expect(placeOfUnit(unitOf(rod))).toBe(rod)
    used.push({ id: lessonId({ rule: act.rule, way: act.kind === 'join' ? 1 : -1, digit }), rod })
    act.parts?.forEach(note)
  }
  plan({ problem: chainText(chain), representation: 'abacus', choices }).steps.forEach((s) => note(s.act))
  return used
}

/** What the planner says against a chain: something untaught, or the lesson too rarely or too often. */
function against(chain: readonly number[], w: ChainWish): string {
  const used = lessonsIn(chain, w.order)
  const here = (u: { id: string; rod: number }): boolean =>
    u.id === lessonId(w.lesson) && (w.rod === 'any' || u.rod === w.rod)
  const untaught = used.filter((u) => !here(u) && !w.taught.includes(u.id))
  if (untaught.length > 0) return `needs ${untaught[0]!.id}`
  const times = used.filter(here).length
  return times === 0 || (w.times === 'once' && times > 1) ? `has the lesson ${times} times` : ''
}

/** Every chain of a small world, judged by the planner one by one. */
function bruteForce(w: ChainWish): readonly string[] {
  const numbers = Array.from({ length: 9 * 10 ** (w.digits - 1) }, (_, i) => i + 10 ** (w.digits - 1))
  const found: string[] = []
  const go = (chain: readonly number[], total: number): void => {
    if (total < w.least || total > w.greatest) return
    if (chain.length === w.terms) {
      if (against(chain, w) === '') found.push(chain.join())
      return
    }
    for (const n of numbers.flatMap((n) => (w.signs === 'both' ? [n, -n] : w.signs === '+' ? [n] : [-n])))
      if (w.undoing || n !== -chain.at(-1)!) go([...chain, n], total + n)
  }
  numbers.forEach((n) => go([n], n))
  return found
}

describe('how many there are', () => {
  test.each([
    wish('five+2', { terms: 3 }),
    wish('five-3', { terms: 3, times: 'some' }),
    wish('direct+6', { terms: 3 }),
    wish('ten+8', { terms: 2, greatest: 19 }),
    wish('mixed+7', { terms: 2, greatest: 19, order: 'ones' }),
    wish('ten-9', { terms: 3, greatest: 12, times: 'some' }),
    wish('five+4', { terms: 3, signs: '+', greatest: 12 }),
    wish('five+1', { terms: 2, digits: 2, greatest: 30, rod: 1 }),
    wish('five+2', { undoing: false, greatest: 5 }),
    wish('five-3', { terms: 4, times: 'some', undoing: false, greatest: 6 }),
    wish('direct+2', { terms: 5, greatest: 3, undoing: false }),
    wish('ten-9', { terms: 3, greatest: 12, times: 'some', undoing: false, order: 'ones' }),
  ])('$lesson.rule $lesson.digit, $terms numbers of $digits up to $greatest: as brute force has it', (w) => {
    const all = bruteForce(w)
    const { total, counted, chains } = setChains({ ...w, count: 500 })
    expect([total, counted]).toEqual([all.length, true])
    // Where all of them are asked for, all of them come.
    if (all.length <= 500) expect(chains.map((c) => c.join()).sort()).toEqual([...all].sort())
  })

  test('a frame of single beads has its own', () => {
    const w = wish('ten+8', { terms: 2, greatest: 19, beads: { upper: 0, lower: 9 } })
    const { total } = setChains(w)
    // 2 to 9 on the rod, and eight more: eight chains, and the ten is direct.
    expect(total).toBe(8)
  })
})

describe('what is set', () => {
  const someWish: fc.Arbitrary<ChainWish> = fc
    .record({
      lesson: fc.constantFrom(...LESSONS),
      terms: fc.integer({ min: 2, max: 6 }),
      digits: fc.constantFrom(1, 1, 2, 2, 3),
      times: fc.constantFrom('once' as const, 'some' as const),
      order: fc.constantFrom('highest' as const, 'ones' as const),
      rod: fc.constantFrom(0, 1, 'any' as const),
      undoing: fc.boolean(),
      seed: fc.nat(9999),
    })
    .map(({ lesson, digits, ...over }: { lesson: Lesson; digits: number } & Partial<ChainWish>) =>
      wish(lessonId(lesson), { ...over, digits, greatest: Math.min(99_999, 10 ** (digits + 1) - 1), count: 3 }),
    )

  test('every chain is what was asked, as the planner works it; totals stay in range; none comes twice', () => {
    let seen = 0
    fc.assert(
      fc.property(someWish, (w) => {
        const { chains, why } = setChains(w)
        if (chains.length < w.count) expect(why).not.toBe('')
        expect(new Set(chains.map((c) => c.join())).size).toBe(chains.length)
        for (const chain of chains) {
          seen += 1
          expect([chainText(chain), against(chain, w)]).toEqual([chainText(chain), ''])
          expect(chain).toHaveLength(w.terms)
          const totals = chain.map((_, i) => chain.slice(0, i + 1).reduce((a, b) => a + b, 0))
          expect(totals.every((t) => t >= w.least && t <= w.greatest)).toBe(true)
          expect(chain.every((n) => String(Math.abs(n)).length === w.digits)).toBe(true)
          if (!w.undoing) expect(chain.some((n, i) => i > 0 && n === -chain[i - 1]!)).toBe(false)
        }
      }),
      { numRuns: 30 },
    )
    expect(seen).toBeGreaterThan(5)
  })

  test('the same seed sets the same chains, another seed others', () => {
    const of = (seed: number): string =>
      JSON.stringify(setChains(wish('ten+7', { greatest: 99, terms: 5, seed })).chains)
    expect(of(3)).toBe(of(3))
    expect(of(3)).not.toBe(of(4))
  })
})

describe('why there is none', () => {
  test.each([
    [
      wish('five+2', { lesson: { rule: 'five', way: 1, digit: 7 } }),
      'There is no +7 with the five complement: only the digits 1 to 4',
    ],
    [
      wish('mixed-7', { lesson: { rule: 'mixed', way: -1, digit: 3 } }),
      'There is no −3 with both complements: only the digits 6 to 9',
    ],
    [wish('five+2', { terms: 1 }), 'The numbers in a chain cannot be 1'],
    [wish('five+2', { greatest: 0 }), 'The greatest total cannot be 0'],
  ])('a wish without sense is refused', (w, why) => expect(() => setChains(w)).toThrow(why))

  test.each([
    [wish('ten+7'), 'needs a ten on the next rod, and totals go only to 9'],
    [wish('ten+7', { greatest: 99, taught: [] }), '+1 has not been taught'],
    [wish('five+2', { signs: '-' }), '+2 adds, and these chains only take away'],
    [wish('five+2', { rod: 1, greatest: 99 }), 'never move 2 on the tens rod'],
    [wish('five+2', { beads: { upper: 0, lower: 9 } }), 'no fives, and so no five complement'],
    [wish('ten+7', { names: 'partner' }), '+7 with the partner of ten needs a ten'],
    [
      wish('mixed-7', { greatest: 99, taught: [], names: 'partner' }),
      '−7 with the partners of ten and of five moves one on the next rod',
    ],
    [wish('five+2', { digits: 3, greatest: 99 }), 'No number of 3 digits fits'],
    [wish('five+2', { terms: 3, taught: [], signs: '+' }), 'would also need +3 direct, which has not been taught'],
    [
      wish('direct+1', { terms: 3, greatest: 1, taught: ['direct-1'], undoing: false }),
      'a number takes back the one before it',
    ],
    [wish('five+4', { greatest: 4 }), 'leave no room'],
    [wish('direct+1', { terms: 5, taught: [], signs: '+', greatest: 9 }), 'cannot come just once'],
    [wish('five+2', { terms: 3, digits: 3, greatest: 400, taught: [], signs: '+' }), 'would also need'],
  ])('%#: said in words', (w, why) => {
    const { chains, total, why: said } = setChains(w)
    expect([chains.length, total]).toEqual([0, 0])
    expect(said).toContain(why)
  })
})
