import fc from 'fast-check'
import {
  CATALOGUE,
  codeOf,
  comesTo,
  diagnose,
  FAMILIES,
  itemsOf,
  MOST_IN_SET,
  MOST_SEED,
  nextQuestion,
  parseAnswer,
  parseItem,
  predicted,
  printAnswer,
  problemsIn,
  problemsOf,
  readTable,
  rightOf,
  rivalsIn,
  setOf,
  sideBySide,
  suspectOf,
  tellingApart,
  type Item,
  type Rival,
} from '../../core/diagnose/index'
import { answersOf } from '../../core/mistakes/procedure'
import { parseProblem, printProblem, Refusal, REPRESENTATIONS } from '../../core/index'

const page = (...rows: readonly (readonly [problem: string, answer: string, above?: string])[]): Item[] =>
  rows.map(([problem, answer, above]) => parseItem({ problem, answer, ...(above ? { above } : {}) }))
const families = fc.constantFrom(...FAMILIES)

describe('the catalogue', () => {
  test('every procedure has an id and a name of its own, a source, and materials that there are', () => {
    expect(new Set(CATALOGUE.map((k) => k.id)).size).toBe(CATALOGUE.length)
    expect(new Set(CATALOGUE.map((k) => k.name)).size).toBe(CATALOGUE.length)
    for (const k of CATALOGUE) {
      expect([k.id, k.source]).toEqual([k.id, expect.stringMatching(/^common practice$|, \d{4}$/)])
      for (const id of k.show.materials) expect([k.id, REPRESENTATIONS[id].title]).toEqual([k.id, expect.any(String)])
    }
  })

  test('each looks as it is said to look, where that is a problem with its answer', () => {
    const seen = CATALOGUE.flatMap((k) => {
      const [problem, answer] = k.looks.replaceAll('−', '-').split(' = ')
      const read = (() => {
        try {
          return parseProblem(problem!)
        } catch {
          return null
        }
      })()
      if (!read || !answer || !/^[-\d/. r]+$/.test(answer)) return []
      const given = parseAnswer(answer, read)!
      expect([k.id, k.looks, k.computes(read).some((w) => w && comesTo(given, w))]).toEqual([k.id, k.looks, true])
      return [k.id]
    })
    expect(seen.length).toBeGreaterThan(40)
  })

  test('a procedure comes to the same each time, and its wrong answers are wrong', () => {
    fc.assert(
      fc.property(families, fc.integer({ min: 0, max: 5000 }), (family, seed) => {
        for (const problem of problemsOf({ family, most: 999 }, 3, seed))
          for (const k of CATALOGUE) {
            expect(k.computes(problem)).toEqual(k.computes(parseProblem(printProblem(problem))))
            expect(answersOf(k, problem)).not.toContain(rightOf(problem).value)
          }
      }),
      { numRuns: 40 },
    )
  })
})

describe('what answers say', () => {
  test('probabilities of all explanations and of none come to one, whatever was answered', () => {
    fc.assert(
      fc.property(
        families,
        fc.integer({ min: 0, max: 5000 }),
        fc.array(fc.option(fc.integer({ min: -50, max: 1200 }), { nil: null, freq: 4 }), {
          minLength: 1,
          maxLength: 14,
        }),
        (family, seed, given) => {
          const items = problemsOf({ family, most: 999 }, given.length, seed).map((problem, i) => ({
            problem,
            answer: given[i] == null ? null : parseAnswer(String(given[i]), problem),
          }))
          const { ranked, none, blank, wrong, slips } = diagnose({ items })
          const all = ranked.reduce((sum, r) => sum + r.probability, none.probability)
          expect(all).toBeCloseTo(1, 9)
          expect(none.careful + none.other).toBeCloseTo(none.probability, 12)
          expect(blank.length).toBe(items.filter((i) => i.answer === null).length)
          for (const at of slips) expect(wrong).toContain(at)
          for (const r of ranked) for (const at of r.explains) expect(r.contradicts).not.toContain(at)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('one procedure, with what it explains, what speaks against it, and the slip beside it', () => {
    const { ranked, slips, blank } = diagnose({
      items: page(
        ['52 - 37', '25'],
        ['81 - 38', '57'],
        ['64 - 21', '43'],
        ['70 - 46', '36'],
        ['95 - 48', '53'],
        ['88 - 35', '63'],
        ['41 - 19', ''],
      ),
    })
    expect(ranked[0]).toMatchObject({ bug: ['smaller-from-larger'], explains: [0, 1, 3, 4], contradicts: [5] })
    expect(ranked[0]!.probability).toBeGreaterThan(0.9)
    expect([slips, blank]).toEqual([[5], [6]])
  })

  test('right but for a slip names nothing, and neither does nothing at all', () => {
    const { none, slips } = diagnose({
      items: page(['52 - 37', '15'], ['81 - 38', '44'], ['64 - 21', '43'], ['70 - 46', '24']),
    })
    expect(none.careful).toBeGreaterThan(0.8)
    expect(slips).toEqual([1])
    expect(diagnose({ items: [] }).none.probability).toBe(1)
    expect(diagnose({ items: page(['52 - 37', '']) }).none.probability).toBe(1)
  })

  test('what these problems do not tell apart is said so', () => {
    const [top] = diagnose({ items: page(['8 + 5', '12'], ['9 + 4', '12'], ['7 + 6', '12'], ['5 + 4', '8']) }).ranked
    expect([top!.bug, ...top!.same].map((b) => b.join())).toEqual(
      expect.arrayContaining(['counts-start', 'touch-missed']),
    )
  })

  test('two at once are found where neither explains it alone', () => {
    // Brown & Burton 1978 give this pair, from memory: across zero, and 0 − n = n.
    const { ranked } = diagnose({
      items: page(
        ['602 - 327', '225'],
        ['804 - 456', '358'],
        ['703 - 678', '75'],
        ['905 - 239', '636'],
        ['64 - 21', '43'],
        ['531 - 218', '313'],
      ),
    })
    expect(ranked[0]!.bug).toEqual(expect.arrayContaining(['borrow-across-zero', 'zero-minus-n-is-n']))
  })

  test('marks above the columns speak too', () => {
    const answers: readonly (readonly [string, string])[] = [
      ['52 - 37', '25'],
      ['81 - 38', '53'],
      ['63 - 27', '46'],
    ]
    // With that answer alone either a ten came from nowhere, or the smaller was taken from the larger in some of them.
    const chance = (above: string[]): number => {
      const { ranked } = diagnose({ items: page(...answers.map(([p, a], i) => [p, a, above[i]!] as const)) })
      return ranked.find((r) => r.bug.join() === 'borrow-no-decrement')!.probability
    }
    expect(chance(['- 12', '- 11', '- 13'])).toBeGreaterThan(chance(['4 12', '7 11', '5 13']))
  })

  test('what was told beforehand counts: a procedure that is usual in a class', () => {
    const items = page(['52 - 37', '25'], ['64 - 21', '43'])
    const of = (weights: Record<string, number>): number =>
      diagnose({ items, prior: { weights } }).ranked.find((r) => r.bug.join() === 'smaller-from-larger')!.probability
    expect(of({ 'smaller-from-larger': 20 })).toBeGreaterThan(of({}))
  })
})

test('a long page of long numbers is weighed too, and what cannot be beforehand is refused', () => {
  const items = Array.from({ length: 60 }, (_, i) =>
    parseItem({ problem: `${987_654_321 - i} - ${123_456_789 + 7 * i}`, answer: String(3 + 17 * i) }),
  )
  const { none, ranked } = diagnose({ items })
  expect(ranked.reduce((sum, r) => sum + r.probability, none.probability)).toBeCloseTo(1, 9)
  expect(none.other).toBeGreaterThan(0.9)
  for (const prior of [{ slipRate: 0.9 }, { careful: 0.9, other: 0.2 }, { other: -1 }, { weights: { x: NaN } }])
    expect(() => diagnose({ items, prior })).toThrow(Refusal)
})

describe('the next question', () => {
  const rivals = (...ids: string[]): Rival[] =>
    ids.map((id) => ({ suspect: suspectOf([id]), probability: 1 / ids.length }))

  test('tells two rivals apart at once, and is never one that was asked', () => {
    const two = rivals('borrow-from-zero', 'zero-left-as-ten')
    const first = nextQuestion(two, { family: 'taking away', most: 999 })!
    expect(first.bits).toBeCloseTo(1, 6)
    const [a, b] = two.map((r) => predicted(r.suspect!, first.problem)[0]!)
    expect(comesTo(a!, b!)).toBe(false)
    const second = nextQuestion(two, { family: 'taking away', most: 999 }, [printProblem(first.problem)])!
    expect(printProblem(second.problem)).not.toBe(printProblem(first.problem))
  })

  test('there is none where nothing is left to tell', () => {
    expect(nextQuestion(rivals('counts-start', 'touch-missed'), { family: 'adding', most: 99 })).toBeNull()
    // No nought can be crossed with numbers to 50.
    expect(nextQuestion(rivals('borrow-from-zero', 'zero-left-as-ten'), { family: 'taking away', most: 50 })).toBeNull()
    expect(() => nextQuestion([], { family: 'adding', most: 5 })).toThrow(Refusal)
  })

  test('a set tells all rivals apart but those that cannot be, and no problem of it is needless', () => {
    const all = rivals(...CATALOGUE.filter((k) => k.taking).map((k) => k.id))
    const { problems, together } = tellingApart(all, { family: 'taking away', most: 999 })
    const keys = (chosen: typeof problems): Set<string> =>
      new Set(all.map((r) => chosen.map((p) => predicted(r.suspect!, p)[0]!.value).join()))
    expect([keys(problems).size, together]).toEqual([all.length, []])
    expect(problems.length).toBeLessThanOrEqual(4)
    for (const p of problems) expect(keys(problems.filter((q) => q !== p)).size).toBeLessThan(all.length)
  })

  test('what is left standing after marking is what is asked about', () => {
    const found = rivalsIn(diagnose({ items: page(['8 + 5', '12'], ['9 + 4', '12'], ['7 + 6', '12']) }))
    const ids = found.map((r) => r.suspect?.of.map((k) => k.id).join('+') ?? 'none')
    expect(ids).toEqual(expect.arrayContaining(['counts-start', 'touch-missed']))
  })
})

describe('side by side', () => {
  const at = (problem: string, ...bug: string[]) => sideBySide(parseProblem(problem), suspectOf(bug))

  test('stops where the two part, and says what happened to the ten', () => {
    const { columns, says, theirs, right } = at('52 - 37', 'borrow-no-decrement')
    expect([theirs.value, right.value, columns!.partsAt]).toEqual(['25', '15', 0])
    expect(says).toBe(
      'Here they part, in the ones: ten came in here, and none was taken from the next place. There were 52; now the columns hold 62.',
    )
    expect(at('304 - 178', 'zero-left-as-ten').says).toContain('There were 304; now the columns hold 314.')
    expect(at('37 + 45', 'forgets-carry').says).toContain('in the ones: 2 was written, and nothing was carried')
  })

  test('says so where they do not part, and what comes out where there are no columns', () => {
    expect(at('58 - 23', 'borrow-no-decrement').says).toContain('another problem shows where they part')
    expect(at('2/5 + 1/5', 'tops-and-bottoms')).toMatchObject({ columns: null, theirs: { value: '3/10' } })
    expect(at('2/5 + 1/5', 'tops-and-bottoms').says).toContain('which is less')
  })

  test('its last step has written the whole answer, for every habit and problem', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CATALOGUE.filter((k) => k.taking ?? k.adding)),
        fc.integer({ min: 0, max: 900 }),
        (k, seed) => {
          for (const problem of problemsOf({ family: k.family, most: 999 }, 4, seed)) {
            const { columns, theirs } = sideBySide(problem, suspectOf([k.id]))
            const written = [...columns!.theirs.steps.at(-1)!.wrote].reverse().join('')
            expect(String(Number(written))).toBe(theirs.value)
            expect(theirs.value).toBe(k.computes(problem)[0]!.value)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('answers and tables', () => {
  test('an answer printed is read as the same', () => {
    fc.assert(
      fc.property(families, fc.integer({ min: 0, max: 900 }), (family, seed) => {
        for (const problem of problemsOf({ family, most: 999 }, 3, seed)) {
          const right = rightOf(problem)
          expect(comesTo(parseAnswer(printAnswer(right), problem)!, right)).toBe(true)
        }
      }),
      { numRuns: 40 },
    )
    const seventeen = parseProblem('17 / 5')
    expect(parseAnswer(' 3 R 2 ', seventeen)).toEqual({ value: '3', remainder: '2' })
    expect(parseAnswer('−4', parseProblem('1 - 5'))).toEqual({ value: '-4' })
    expect(() => parseAnswer('3 r 2', parseProblem('8 + 5'))).toThrow('Only a division leaves a remainder')
    expect(() => parseAnswer('a lot', seventeen)).toThrow(Refusal)
    expect(() => parseItem({ problem: '52 - 37', answer: '15', above: '4 twelve' })).toThrow('Marks above')
  })

  test('a table is read, and every line that cannot be is told with its reason', () => {
    const rows = [
      ['problem', 'Wren', 'Pip', 'wren'],
      ['52 - 37', '25', '15', ''],
      ['52 - -', '1'],
      ['', '4', '5'],
      ['8 + 5', 'x', '13'],
      ['9 + 4', '13', '', '', '12'],
      ['9 + 4', '12', ''],
    ].map((cells, i) => ({ line: i + 1, cells }))
    const { table, troubles } = readTable(rows)
    expect(table).toEqual({
      problems: ['52 - 37', '9 + 4'],
      learners: [
        { name: 'Wren', answers: ['25', '12'] },
        { name: 'Pip', answers: ['15', ''] },
      ],
    })
    expect(troubles.map((t) => t.line)).toEqual([1, 3, 4, 5, 6])
    expect(troubles[0]!.reason).toContain('columns 2 and 4')
    expect(itemsOf(table, table.learners[1]!.answers).map((i) => i.answer)).toEqual([{ value: '15' }, null])
    expect(readTable([]).troubles).toHaveLength(1)
    expect(readTable([{ line: 1, cells: ['problem'] }]).troubles[0]!.reason).toContain('names no learner')
  })

  test('a set’s code gives the same problems again, and a wrong sign of it is noticed', () => {
    const sets = fc.record({
      family: families,
      most: fc.integer({ min: 10, max: 9999 }),
      count: fc.integer({ min: 1, max: MOST_IN_SET }),
      seed: fc.integer({ min: 0, max: MOST_SEED }),
    })
    fc.assert(
      fc.property(sets, fc.nat(7), fc.constantFrom(...'0123456789ABCDEFGHJKMNPQRSTVWXYZ'), (set, at, sign) => {
        const code = codeOf(set)
        expect(setOf(code.toLowerCase().replaceAll('-', ' '))).toEqual(set)
        const plain = code.replaceAll('-', '')
        if (plain[at] === sign) return
        expect(() => setOf(plain.slice(0, at) + sign + plain.slice(at + 1))).toThrow(Refusal)
      }),
    )
    const set = { family: 'taking away', most: 999, count: 12, seed: 77 } as const
    expect(problemsIn(setOf(codeOf(set))).map(printProblem)).toEqual(problemsIn(set).map(printProblem))
    expect(problemsIn(set)).toHaveLength(12)
    expect(() => setOf('nonsense')).toThrow('nine letters and digits')
  })
})
