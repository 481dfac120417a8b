import fc from 'fast-check'
import { setProblems, STEPS } from '../../core/course/index'
import {
  cautionsFor,
  cuttingMinutes,
  fitsCylinder,
  handsSay,
  HAND_NEEDS,
  kitFor,
  otherMaterials,
  pieceKind,
} from '../../core/kit/index'
import { plan, Refusal, REPRESENTATIONS, waysFor, type WayId } from '../../core/index'
import { besideOf, setUp } from '../../core/plan/setup'

const counts = (kit: ReturnType<typeof kitFor>): Record<string, number> =>
  Object.fromEntries(kit.items.map((i) => [i.kind, i.atOnce]))

describe('worked by hand', () => {
  test('52 − 37 with blocks: five tens and two ones; after the exchange four tens and twelve ones', () => {
    const kit = kitFor({ problems: ['52 - 37'], representation: 'blocks', learners: 1, spare: 0 })
    // What was taken lies in view on its tray until the end.
    expect(counts(kit)).toEqual({ ten: 5, one: 12 })
  })

  test('7 + 5 with counters is twelve; 3 with 4 pairs takes seven pluses and four minuses', () => {
    expect(counts(kitFor({ problems: ['7 + 5'], representation: 'counters', learners: 1 }))).toEqual({ counter: 12 })
    const signed = kitFor({ problems: ['3 with 4 pairs'], representation: 'signed', learners: 1 })
    expect(counts(signed)).toEqual({ plus: 7, minus: 4 })
  })

  test('12 plus and 12 minus counters each for 26 learners, one in twenty to spare: 656 pieces, seven packs of 100 (practice, section 16)', () => {
    const kit = kitFor({
      problems: ['-12 + 12'],
      representation: 'signed',
      learners: 26,
      packs: [{ name: 'plus and minus counters', kinds: ['plus', 'minus'], size: 100 }],
    })
    expect(counts(kit)).toEqual({ plus: 12, minus: 12 })
    expect(kit.items.reduce((sum, i) => sum + i.total, 0)).toBe(656)
    expect(kit.packs).toEqual([{ name: 'plus and minus counters', count: 7 }])
  })

  test('pairs share a set; what is in the cupboard is taken off, and what is short is told', () => {
    const wish = {
      problems: ['52 - 37', '61 - 25'],
      representation: 'blocks',
      learners: 5,
      sharing: 2,
      spare: 0,
    } as const
    const kit = kitFor({ ...wish, have: { ten: 20, one: 30 } })
    expect(kit.sets).toBe(3)
    expect(kit.items.map((i) => [i.kind, i.atOnce, i.total, i.problem])).toEqual([
      ['ten', 6, 18, '61 - 25'],
      ['one', 12, 36, '52 - 37'],
    ])
    expect(kit.short).toEqual([{ kind: 'one', wanted: 36, have: 30 }])
  })

  test('a frame for each set, with as many rods as the longest problem wants; plates beside what is dealt', () => {
    const frame = kitFor({ problems: ['4 + 3', '304 + 178'], representation: 'abacus', learners: 4, spare: 0 })
    expect(frame.items).toMatchObject([{ kind: 'frame', atOnce: 1, total: 4, rods: 4 }])
    expect(counts(kitFor({ problems: ['12 / 3'], representation: 'plates', learners: 1 }))).toMatchObject({ plate: 3 })
  })

  test('each problem is worked in its own way: exchanged first, or made friendly, it may want other pieces', () => {
    const of = (way: WayId | null) =>
      counts(kitFor({ problems: [{ problem: '37 + 45', way }], representation: 'blocks', learners: 1 }))
    // 37 and 45 apart: seven tens, twelve ones. Made friendly, 40 and 42: eight tens, and at no moment twelve ones.
    expect(of('ones-first')).toEqual({ ten: 8, one: 12 })
    expect(of(null)).toEqual(of('ones-first'))
    expect(of('make-friendly').one).toBeLessThanOrEqual(12)
    const both = kitFor({
      problems: [
        { problem: '37 + 45', way: 'ones-first' },
        { problem: '37 + 45', way: 'hops' },
      ],
      representation: 'blocks',
      learners: 1,
    })
    for (const [kind, n] of Object.entries(of('hops'))) expect(counts(both)[kind]).toBeGreaterThanOrEqual(n)
    for (const [kind, n] of Object.entries(of('ones-first'))) expect(counts(both)[kind]).toBeGreaterThanOrEqual(n)
  })

  test('what has no pieces needs none; what cannot be worked is told, and the others are counted', () => {
    expect(kitFor({ problems: ['52 - 37'], representation: 'fingers', learners: 2 }).items).toEqual([])
    const kit = kitFor({ problems: ['52 - 37', '3/8 + 1/8', 'reeds'], representation: 'blocks', learners: 1 })
    expect(kit.cannot.map((c) => c.problem)).toEqual(['3/8 + 1/8', 'reeds'])
    expect(counts(kit)).toEqual({ ten: 5, one: 12 })
  })
})

test('against a replay of every move: no moment has more of a kind than the kit, and some moment has just as many', () => {
  const steps = STEPS.filter((s) => s.materials.some((m) => REPRESENTATIONS[m].out))
  fc.assert(
    fc.property(fc.constantFrom(...steps), fc.nat(200), (step, seed) => {
      const representation = step.materials.find((m) => REPRESENTATIONS[m].out)!
      const problems = setProblems({ step, count: 3, seed }).filter((p) => waysFor(p, representation).length > 0)
      const kit = kitFor({ problems, representation, learners: 1, spare: 0 })
      const most: Record<string, number> = {}
      for (const problem of problems) {
        const r = REPRESENTATIONS[representation]
        const setup = setUp({ problem, representation })
        let state = r.start(setup.worked, setup.choices, besideOf(setup))
        const look = (): void => {
          const now: Record<string, number> = {}
          for (const { unit, count, thing } of r.out!(state)) {
            const key = thing?.[0] ?? unit
            now[key] = (now[key] ?? 0) + count
          }
          for (const [key, n] of Object.entries(now)) most[key] = Math.max(most[key] ?? 0, n)
        }
        look()
        for (const s of plan({ problem, representation }).steps)
          for (const move of s.moves[representation] ?? []) {
            state = r.apply(state, move)
            look()
          }
      }
      const found = Object.fromEntries(
        kit.items.map((i) => [REPRESENTATIONS[representation].out && i.unit !== '0' ? i.unit : i.kind, i.atOnce]),
      )
      const brute = Object.entries(most).filter(([, n]) => n > 0)
      expect([step.id, Object.values(found).sort()]).toEqual([step.id, brute.map(([, n]) => n).sort()])
    }),
    { numRuns: 60 },
  )
})

test('numbers that are none are refused', () => {
  const wish = { problems: ['1 + 1'], representation: 'counters' } as const
  for (const learners of [0, 401, 1.5, Number.NaN]) expect(() => kitFor({ ...wish, learners })).toThrow(Refusal)
  expect(() => kitFor({ ...wish, learners: 1, sharing: 0 })).toThrow(Refusal)
  expect(() => kitFor({ ...wish, learners: 1, spare: -0.1 })).toThrow(Refusal)
  expect(() => kitFor({ ...wish, learners: 1, problems: new Array<string>(201).fill('1 + 1') })).toThrow(Refusal)
})

describe('what to be careful about', () => {
  const users = { youngest: 7, mouths: false, allergies: false }
  const says = (...of: Parameters<typeof cautionsFor>): string =>
    cautionsFor(...of)
      .map((c) => `${c.level}: ${c.says}`)
      .join(' ')

  test('small parts by who uses them', () => {
    const cube = [10, 10, 10] as const
    expect(says(cube, 'plain', users)).toBe('')
    expect(says(cube, 'plain', { ...users, youngest: 2 })).toContain('never: Small enough to choke on')
    expect(says(cube, 'plain', { ...users, youngest: 4 })).toContain('watch: A small part')
    expect(says(cube, 'plain', { ...users, mouths: true })).toContain('never: Small enough to choke on')
    expect(says([100, 100, 100], 'plain', { ...users, youngest: 2 })).toBe('')
  })

  test('what is never used, and what is seen to beforehand', () => {
    expect(says(null, 'magnets', users)).toContain('never')
    expect(says(null, 'water beads', users)).toContain('never')
    expect(says(null, 'dried kidney beans', users)).toContain('never')
    expect(says(null, 'dried food', users)).toContain('before: Dried food')
    expect(says(null, 'dried food', { ...users, allergies: true })).toContain('never: Dried food')
    expect(says(null, 'real coins', users)).toContain('washed')
  })

  test('hands: what is hard for them, and what else would do is not hard for them either', () => {
    expect(handsSay('fingers', ['small pieces'])).toBeNull()
    expect(handsSay('blocks', ['small pieces'])!.instead).toContain('strips')
    fc.assert(
      fc.property(fc.constantFrom(...STEPS.flatMap((s) => s.materials)), fc.subarray([...HAND_NEEDS]), (m, needs) => {
        for (const id of handsSay(m, needs)?.instead ?? []) expect(handsSay(id, needs)).toBeNull()
      }),
    )
  })

  test('cutting takes longer the more there is; what cannot be cut takes none', () => {
    expect(cuttingMinutes('blocks', [{ kind: 'one', total: 120 }])).toBe(8)
    expect(cuttingMinutes('abacus', [{ kind: 'frame', total: 3 }])).toBe(0)
    expect(fitsCylinder(pieceKind('blocks', 'one')!.size)).toBe(true)
    expect(fitsCylinder(pieceKind('blocks', 'ten')!.size)).toBe(false)
  })
})

describe('what would do instead', () => {
  const wish = { problems: ['8 + 5', '9 + 4'], representation: 'blocks', learners: 6 } as const
  test('a material of which enough is there comes first, then those that need no pieces', () => {
    const found = otherMaterials(wish, (id): Record<string, number> => (id === 'counters' ? { counter: 200 } : {}))
    expect(found[0]).toEqual({ representation: 'counters', pieces: true })
    expect(found.slice(1).every((m) => !m.pieces)).toBe(true)
    const ids = found.map((m) => m.representation)
    expect(ids).toEqual(expect.arrayContaining(['fingers', 'tallies', 'drawn', 'openline']))
    // Chips and coins are not there, and blocks themselves are what is short.
    for (const id of ['chips', 'blocks', 'equations']) expect(ids).not.toContain(id)
  })
  test('every one of them can work every problem, and is short of nothing', () => {
    const stock = { counter: 30, one: 90, ten: 20 }
    for (const problems of [['52 - 37', '61 - 25'], ['1/2 + 1/4'], ['24 / 3', '612 / 7']])
      for (const { representation, pieces } of otherMaterials({ ...wish, problems }, () => stock)) {
        for (const p of problems) expect(waysFor(p, representation).length).toBeGreaterThan(0)
        if (pieces) expect(kitFor({ ...wish, problems, representation, have: stock }).short).toEqual([])
      }
  })
  test('where nothing can be read, nothing is offered', () => {
    expect(otherMaterials({ ...wish, problems: ['five plus'] }, () => ({}))).toEqual([])
  })
})
