import * as ss from 'simple-statistics'
import fc from 'fast-check'
import {
  aimAt,
  aimLine,
  daysNotSeen,
  medianOf,
  phaseOf,
  reportOf,
  reportText,
  RULES_AT_FIRST,
  sessionsOf,
  slipsByWeek,
  suggest,
  theilSen,
  toldOfProgress,
  toldOfSeen,
  type Session,
  type Tried,
} from '../../core/progress/index'

/** Progress: sessions from trials, trends that odd days do not bend, and the rules on cases that are drawn out here. */

const tried = (day: string, right: number, of: number, over: Partial<Tried> = {}): readonly Tried[] => [
  { day, right: true, help: 'independent', material: 'blocks', count: right, ms: right * 10_000, ...over },
  { day, right: false, help: 'independent', material: 'blocks', count: of - right, ms: (of - right) * 10_000, ...over },
]
/** Sessions a day apart with so many of ten right without help. */
const days = (rights: readonly number[], material = 'blocks'): readonly Session[] =>
  sessionsOf(rights.flatMap((r, i) => tried(`2026-11-${String(i + 2).padStart(2, '0')}`, r, 10, { material })))
const kinds = (rights: readonly number[], over: Partial<Parameters<typeof suggest>[0]> = {}, material = 'columns') =>
  suggest({ sessions: days(rights, material), today: '2026-11-20', ...over }).map((s) => s.kind)

test('sessions put the trials of a day together', () => {
  const [one, two] = sessionsOf([
    ...tried('2026-11-03', 2, 2),
    { day: '2026-11-02', right: true, help: 'spoken', material: 'columns', count: 3, ms: 30_000 },
    { day: '2026-11-02', right: true, help: 'independent', material: 'columns', count: 1, ms: 30_000 },
    { day: '2026-11-02', right: false, help: 'shown', material: 'blocks', count: 1, ms: 0 },
  ])
  expect(one).toEqual({
    day: '2026-11-02',
    tried: 5,
    right: 4,
    alone: 1,
    share: 0.2,
    perMinute: 4,
    help: { spoken: 3, independent: 1, shown: 1 },
    phase: 'written',
  })
  expect(two).toMatchObject({ day: '2026-11-03', tried: 2, phase: 'held' })
  expect(['coins', 'drawn', 'columns', ''].map(phaseOf)).toEqual(['held', 'drawn', 'written', undefined])
  expect(sessionsOf([])).toEqual([])
})

test('the median is that of another library', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1, maxLength: 60 }), (list) => {
      expect(medianOf(list)).toBe(ss.median(list))
    }),
  )
  expect(medianOf([])).toBeNaN()
})

describe('The trend', () => {
  test('by hand: one odd point does not bend it', () => {
    // Slopes between 0,0 1,1 2,2 3,30: 1, 1, 10, 1, 14.5, 28; sorted 1 1 1 10 14.5 28, the middle of them 5.5.
    expect(theilSen([0, 1, 2, 30].map((y, x) => ({ x, y })))?.slope).toBe(5.5)
    // With one day more on the line: slopes 1 ×6, 10, 14.5, 28, -26; the middle of ten is 1.
    expect(theilSen([0, 1, 2, 30, 4].map((y, x) => ({ x, y })))?.slope).toBe(1)
  })
  test('it is the line itself where all points lie on one, and agrees with the median of all slopes computed otherwise', () => {
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }), (a, b) => {
        const found = theilSen(Array.from({ length: 9 }, (_, x) => ({ x, y: a * x + b })))!
        expect(found.slope).toBe(a)
        expect(found.intercept).toBe(b)
        expect(found.between).toEqual([a, a])
      }),
    )
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 2, maxLength: 40 }), (ys) => {
        const pairs = ss.combinations(
          ys.map((y, x) => [x, y] as const),
          2,
        )
        const slopes = pairs.map(([p, q]) => (q![1] - p![1]) / (q![0] - p![0]))
        expect(theilSen(ys.map((y, x) => ({ x, y })))!.slope).toBeCloseTo(ss.median(slopes), 9)
      }),
    )
  })
  test('the interval holds the slope, and there is none of too few days', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 6, maxLength: 40 }), (ys) => {
        const { slope, between } = theilSen(ys.map((y, x) => ({ x, y })))!
        if (between) {
          expect(between[0]).toBeLessThanOrEqual(slope)
          expect(between[1]).toBeGreaterThanOrEqual(slope)
        }
      }),
    )
    expect(theilSen([{ x: 0, y: 1 }])).toBeUndefined()
    expect(theilSen([0, 5, 3].map((y, x) => ({ x, y })))?.between).toBeNull()
  })
  test('of true slopes drawn by chance the interval holds about 95 in 100', () => {
    let state = 7
    const random = (): number => (state = (state * 16807) % 2147483647) / 2147483647
    const RUNS = 600
    let held = 0
    for (let run = 0; run < RUNS; run++) {
      const points = Array.from({ length: 14 }, (_, x) => ({
        x,
        y: 0.4 * x + 6 * Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random()),
      }))
      const { between } = theilSen(points)!
      if (between && between[0] <= 0.4 && between[1] >= 0.4) held += 1
    }
    expect(held / RUNS).toBeGreaterThan(0.92)
    expect(held / RUNS).toBeLessThan(0.985)
  })
})

describe('The aim line', () => {
  const goal = { step: '', share: 0.8, by: '2026-11-23' }
  test('goes from the median of the first three sessions, on the second day, to the goal', () => {
    const line = aimLine(days([2, 6, 3]), goal)!
    expect(line.from).toEqual({ day: '2026-11-03', share: 0.3 })
    expect(aimAt(line, '2026-11-03')).toBe(0.3)
    expect(aimAt(line, '2026-11-13')).toBeCloseTo(0.55)
    expect(aimAt(line, '2026-11-23')).toBeCloseTo(0.8)
    expect(aimAt(line, '2026-12-23')).toBeCloseTo(0.8)
    expect(aimLine(days([2, 6]), goal)).toBeUndefined()
    expect(aimLine(days([2, 6, 3]), { ...goal, by: '2026-11-03' })).toBeUndefined()
  })
})

describe('What follows', () => {
  test.each<[string, readonly number[], readonly string[]]>([
    ['8 of 10 three times running: move on', [3, 8, 8, 9], ['move-on']],
    ['twice is not yet', [3, 8, 9], ['stay']],
    ['not running', [8, 8, 7, 8], ['stay']],
    ['below 5 of 10 three times running: more concrete', [6, 4, 3, 4], ['concrete']],
    ['5 of 10 is not below', [6, 4, 5, 4], ['stay']],
    ['nothing tried', [], ['stay']],
  ])('%s', (_, rights, wanted) => {
    expect(kinds(rights, { today: '2026-11-06' })).toEqual(wanted)
  })
  test('with something held or drawn, the material is faded first', () => {
    expect(kinds([8, 9, 9], { today: '2026-11-05' }, 'blocks')).toEqual(['fade'])
    expect(kinds([8, 9, 9], { today: '2026-11-05' }, 'drawn')).toEqual(['fade'])
  })
  test('four sessions running below the aim line: change something; four above: raise the goal', () => {
    const goal = { step: '', share: 1, by: '2026-11-12' }
    // From 4 of 10 on the 3rd to all on the 12th, a fifteenth a day more.
    expect(kinds([4, 4, 4, 4, 5, 5, 6], { goal, today: '2026-11-08' })).toEqual(['change'])
    expect(kinds([4, 4, 4, 6, 7, 8, 9], { goal, today: '2026-11-08' })).toEqual(['raise'])
    expect(kinds([4, 4, 4, 6, 7, 5, 9], { goal, today: '2026-11-08' })).toEqual(['stay'])
    // Three are not four.
    expect(kinds([4, 4, 4, 7, 5, 5, 6], { goal, today: '2026-11-08' })).toEqual(['stay'])
  })
  test('what was moved on from is looked at again after a week', () => {
    expect(kinds([8, 9, 9], { today: '2026-11-10' })).toEqual(['move-on'])
    expect(kinds([8, 9, 9], { today: '2026-11-12' })).toEqual(['move-on', 'check'])
    // One try since then is too little to decide by, and enough to have looked.
    const looked = [...days([8, 9, 9], 'columns'), ...sessionsOf(tried('2026-11-10', 1, 1))]
    expect(suggest({ sessions: looked, today: '2026-11-12' }).map((s) => s.kind)).toEqual(['move-on'])
  })
  test('a mistake that comes again and again is for Marking; days with two tries decide nothing; each has its figures', () => {
    const slips = [
      { slip: 'smaller from larger', count: 3 },
      { slip: 'left a coin out', count: 1 },
    ]
    expect(suggest({ sessions: days([6, 6, 6]), today: '2026-11-06', slips })).toMatchObject([
      { kind: 'mark', slip: 'smaller from larger' },
    ])
    const few = sessionsOf(['02', '03', '04'].flatMap((d) => tried(`2026-11-${d}`, 2, 2)))
    expect(suggest({ sessions: few, today: '2026-11-06' }).map((s) => s.kind)).toEqual(['stay'])
    const [moved] = suggest({ sessions: days([8, 9, 10], 'columns'), today: '2026-11-06' })
    expect(moved!.sessions).toEqual([
      { day: '2026-11-02', alone: 8, tried: 10 },
      { day: '2026-11-03', alone: 9, tried: 10 },
      { day: '2026-11-04', alone: 10, tried: 10 },
    ])
    expect(moved!.rule).toBe('80 of 100 or more without help in 3 sessions running')
  })
  test('a school sets its own rules', () => {
    const rules = { ...RULES_AT_FIRST, moveOnShare: 0.9, moveOnSessions: 2 }
    expect(kinds([8, 8, 8], { rules, today: '2026-11-05' })).toEqual(['stay'])
    expect(kinds([2, 9, 9], { rules, today: '2026-11-05' })).toEqual(['move-on'])
  })
})

test('what is told of a chart is in its figures', () => {
  expect(toldOfProgress([], undefined)).toBe('Nothing has been tried yet.')
  expect(toldOfProgress(days([7]), undefined)).toBe('10 tries on one day. Right without help: 7 of 10.')
  const rising = days([1, 2, 3, 4, 5, 6, 7, 8])
  const trend = theilSen(rising.map((s, i) => ({ x: i / 7, y: s.share })))
  expect(toldOfProgress(rising, trend)).toBe(
    '80 tries on 8 days. Right without help: 1 of 10 on the first day, 8 of 10 on the last. It rises by about 70 in 100 a week.',
  )
  const flat = days([5, 4, 6, 5, 4, 6])
  expect(toldOfProgress(flat, theilSen(flat.map((s, i) => ({ x: i / 7, y: s.share }))))).toContain(
    'cannot be told from these days yet',
  )
})

describe('A report', () => {
  const about = {
    learner: 'Moth',
    from: '1 November 2026',
    to: '20 November 2026',
    parts: [
      { title: 'Tens and ones, one exchange', sessions: days([2, 5, 8]), goal: '80 of 100 by 1 December.' },
      { title: 'Stories', sessions: sessionsOf(tried('2026-11-03', 1, 2, { help: 'spoken', material: '' })) },
      { title: 'Add within 5', sessions: [] },
    ],
    slips: [
      { slip: 'Smaller from larger', count: 3 },
      { slip: 'Lost the unit', count: 1 },
    ],
    decisions: ['4 November 2026: move on.'],
    samples: ['3 November 2026, 52 − 37, right: did it alone.'],
  }
  test('says what was tried, with what help, what changed, and nothing that the figures do not say', () => {
    const report = Object.fromEntries(reportOf(about).map((s) => [s.title, s.text]))
    expect(report).toEqual({
      'What was tried':
        'From 1 November 2026 to 20 November 2026 Moth worked on 3 days: 32 tries, of Tens and ones, one exchange and Stories.',
      'With what help':
        'Tens and ones, one exchange: 30 without help. Worked with things to hold.\nStories: 2 with a spoken hint.',
      'What changed':
        'Tens and ones, one exchange: right without help 2 of 10 on the first day, 8 of 10 on the last.\nStories: 0 of 2 right without help on the one day it was tried.',
      Goals: '80 of 100 by 1 December.',
      'Mistakes that were seen': 'Smaller from larger: 3 times.\nLost the unit: once.',
      Samples: '3 November 2026, 52 − 37, right: did it alone.',
      'What was decided': '4 November 2026: move on.',
      Next: '',
    })
    // Every number in it is one of the figures, a count of them, or a day.
    const figures = new Set(['1', '2', '3', '8', '10', '20', '30', '32', '0', '4', '37', '52', '80', '100', '2026'])
    for (const n of Object.values(report).join(' ').match(/\d+/g) ?? []) expect(figures).toContain(n)
  })
  test('of a period without anything it says so; as plain text it has its heads', () => {
    expect(reportOf({ ...about, parts: [] })).toEqual([
      { title: 'What was tried', text: 'Nothing is recorded of Moth from 1 November 2026 to 20 November 2026.' },
    ])
    expect(reportText('Report: Moth', [{ title: 'Next', text: 'on' }])).toBe('Report: Moth\n\nNEXT\non\n')
  })
})

describe('days and mistakes over time', () => {
  test('weekdays without anything are counted, and the longest run of them', () => {
    // November 2026 begins on a Sunday: the 2nd to the 20th are fifteen weekdays.
    const seen = ['2026-11-02', '2026-11-03', '2026-11-14', '2026-11-16', '2026-11-17']
    expect(daysNotSeen(seen, '2026-11-02', '2026-11-20')).toEqual({
      away: 11,
      of: 15,
      last: '2026-11-17',
      // On Saturday the 14th they were seen: the run ends there.
      gap: { from: '2026-11-04', to: '2026-11-13', days: 8 },
    })
    expect(toldOfSeen(daysNotSeen(seen, '2026-11-02', '2026-11-20'), (d) => d.slice(8))).toBe(
      'Not seen on 11 of the last 15 weekdays; last seen on 17. The longest time without: 8 weekdays, from 04 to 13.',
    )
    expect(toldOfSeen(daysNotSeen(['2026-11-02', '2026-11-03'], '2026-11-02', '2026-11-03'), String)).toBe(
      'Seen on each of the last 2 weekdays.',
    )
    expect(daysNotSeen([], '2026-11-07', '2026-11-08')).toEqual({ away: 0, of: 0, last: null, gap: null })
    // A century is not walked through.
    expect(daysNotSeen([], '1926-01-01', '2026-01-01').of).toBeLessThan(1000)
  })

  test('mistakes stand by their weeks, without a gap between, the one seen most first', () => {
    const slips = [
      { slip: 'a', day: '2026-11-01', count: 1 },
      { slip: 'b', day: '2026-11-02', count: 2 },
      { slip: 'a', day: '2026-11-18', count: 4 },
      { slip: 'a', day: '2026-11-22', count: 1 },
    ]
    expect(slipsByWeek(slips)).toEqual({
      // The 1st is a Sunday, and so of the week before.
      weeks: ['2026-10-26', '2026-11-02', '2026-11-09', '2026-11-16'],
      kinds: [
        { slip: 'a', total: 6, counts: [1, 0, 0, 5] },
        { slip: 'b', total: 2, counts: [0, 2, 0, 0] },
      ],
    })
    expect(slipsByWeek(slips, { most: 1, weeks: 2 })).toEqual({
      weeks: ['2026-11-09', '2026-11-16'],
      kinds: [{ slip: 'a', total: 5, counts: [0, 5] }],
    })
    expect(slipsByWeek([])).toEqual({ weeks: [], kinds: [] })
  })

  test('a goal that allows help counts what was right with at most that help', () => {
    const of = (help: string, right: boolean): Tried => ({
      day: '2026-11-02',
      right,
      help,
      material: 'blocks',
      count: 2,
      ms: 0,
    })
    const all = [of('independent', true), of('pointed', true), of('spoken', true), of('pointed', false)]
    const alone = (help?: string): number => sessionsOf(all, help)[0]!.alone
    expect([alone(), alone('pointed'), alone('spoken'), alone('hand-over-hand')]).toEqual([2, 4, 6, 6])
  })

  test('days with too few tries are counted and not compared', () => {
    const of = (day: string, right: number, tried: number): Session =>
      sessionsOf([
        { day, right: true, help: 'independent', material: '', count: right, ms: 0 },
        { day, right: false, help: 'independent', material: '', count: tried - right, ms: 0 },
      ])[0]!
    const days = [of('2026-11-02', 2, 10), of('2026-11-03', 9, 10), of('2026-11-04', 0, 1)]
    expect(toldOfProgress(days, undefined, 3)).toBe(
      '21 tries on 3 days. Right without help: 2 of 10 on the first day, 9 of 10 on the last.',
    )
    expect(toldOfProgress(days, undefined)).toContain('0 of 1 on the last')
  })
})
