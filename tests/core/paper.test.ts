import fc from 'fast-check'
import { enter, openBench, packOf, parseProblem, plan, REPRESENTATIONS, recordOf } from '../../core/index'
import {
  answerText,
  BIG,
  frameWith,
  layOut,
  PAPER_SIZES,
  PAPERS,
  placedMarks,
  POINT,
  SIZES_CUT,
  STRIP,
  strokesOf,
  svgPage,
  tactileTroubles,
  type Mark,
  type Page,
  type PrintSetting,
  type SheetWish,
} from '../../core/paper/index'
import { CURRENCIES } from '../../core/number/money'
import { item, PLAIN, printed, SHEETS, STRIPS, TOOLS } from './press'

/** Sheets: every kind, on every paper, in every way of printing, is held to what all have in common. */

const SETTINGS: readonly (readonly [string, Partial<PrintSetting>])[] = [
  ...PAPERS.flatMap((paper) =>
    ([1, 2] as const).map((perPage) => [`${paper}, ${perPage} to a page`, { paper, perPage }] as const),
  ),
  ['large print', { big: true }],
  ['to be felt', { tactile: true }],
  ['to be felt on Letter', { tactile: true, paper: 'Letter' }],
]

interface Placed {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  readonly text: string
  readonly size: number
  readonly picture: boolean
}
/** Every mark's box on the page, in millimetres. */
const boxes = (marks: readonly Mark[]): readonly Placed[] =>
  [...placedMarks(marks)].flatMap(({ mark, x, y, scale, picture }): readonly Placed[] => {
    if (mark.kind === 'text') {
      const w = TOOLS.measure(mark.text, mark.font, mark.size) * scale
      const left = x + mark.x * scale - (mark.anchor === 'middle' ? w / 2 : mark.anchor === 'end' ? w : 0)
      const [base, em] = [y + mark.y * scale, mark.size * scale * POINT]
      return [
        { x1: left, y1: base - em * 0.72, x2: left + w, y2: base, text: mark.text, size: mark.size * scale, picture },
      ]
    }
    const points = strokesOf(mark.d).flat()
    if (points.length === 0) return []
    const [xs, ys] = [points.map((p) => x + p[0] * scale), points.map((p) => y + p[1] * scale)]
    return [
      {
        x1: Math.min(...xs),
        y1: Math.min(...ys),
        x2: Math.max(...xs),
        y2: Math.max(...ys),
        text: '',
        size: 0,
        picture,
      },
    ]
  })
const textsOn = ({ marks }: Page): readonly string[] => boxes(marks).flatMap((b) => (b.text ? [b.text] : []))

describe.each(SETTINGS)('Every sheet, %s', (name, setting) => {
  // Every strip is tried once; in other ways of printing, some of them.
  const some = /^steps with (?:blocks|columns|line|coins|abacus|partials)$/
  const all = Object.entries(SHEETS).filter(
    ([id]) => name === 'A4, 1 to a page' || !id.startsWith('steps') || some.test(id),
  )
  const prints = new Map(all.map(([id, sheet]) => [id, printed([sheet], setting)]))

  test('is made, but for joint marks to be felt', () => {
    for (const [id, { pages, refused }] of prints) {
      const impossible = setting.tactile && id === 'joints'
      expect([id, refused.map((r) => r.why), pages.length > 0]).toEqual([
        id,
        impossible ? [expect.stringContaining('nearer to one another than fingers can tell apart')] : [],
        !impossible,
      ])
    }
  })

  test('stays on its paper, clear of the edge that printers leave white', () => {
    const { w, h } = PAPER_SIZES[setting.paper ?? 'A4']
    for (const [id, { pages }] of prints)
      for (const page of pages) {
        expect([id, [page.w, page.h].sort((a, b) => a - b)]).toEqual([id, [w, h].sort((a, b) => a - b)])
        for (const b of boxes(page.marks)) {
          const cut =
            b.text === '' && (b.x2 - b.x1 < 0.01 || b.y2 - b.y1 < 0.01) && (b.x2 - b.x1 > 130 || b.y2 - b.y1 > 130)
          if (cut) continue
          const inside = b.x1 >= 5 && b.y1 >= 5 && b.x2 <= page.w - 5 && b.y2 <= page.h - 5
          expect([id, page.title, inside ? 'inside' : b]).toEqual([id, page.title, 'inside'])
        }
      }
  })

  test('has a bar of 100 mm on every sheet of it', () => {
    for (const [, { pages }] of prints)
      for (const page of pages) {
        const bars = boxes(page.marks).filter(
          (b) => Math.abs(b.x2 - b.x1 - 100) < 0.001 && Math.abs(b.y2 - b.y1 - 3) < 0.001,
        )
        const sheets = setting.perPage === 2 && bars.length > 1 ? 2 : 1
        expect(bars).toHaveLength(sheets)
      }
  })

  test('prints no words over one another', () => {
    for (const [id, { pages }] of prints)
      for (const page of pages) {
        const words = boxes(page.marks).filter((b) => b.text !== '' && !b.picture)
        const over = (a: Placed, b: Placed): boolean =>
          Math.min(a.x2, b.x2) - Math.max(a.x1, b.x1) > 0.4 && Math.min(a.y2, b.y2) - Math.max(a.y1, b.y1) > 0.4
        const clashes = words.flatMap((a, i) =>
          words.slice(i + 1).flatMap((b) => (over(a, b) ? [`${a.text} | ${b.text}`] : [])),
        )
        expect([id, clashes]).toEqual([id, []])
      }
  })

  if (setting.big)
    test('has letters of 24 points and more, but for those within pictures, parts of fractions and what stands on a piece of true size', () => {
      for (const [id, { pages }] of prints)
        if (!['chips', 'coins', 'strips to cut'].includes(id))
          for (const page of pages)
            for (const b of boxes(page.marks))
              if (b.text !== '' && !b.picture && !/^\d+$/.test(b.text))
                expect([id, b.text, b.size >= BIG - 0.01]).toEqual([id, b.text, true])
    })

  if (setting.tactile)
    test('can be felt: nothing too near, too thin, grey, or in letters', () => {
      for (const [id, { notes, pages }] of prints) {
        expect([id, notes]).toEqual([id, []])
        for (const page of pages) expect([id, tactileTroubles(page.marks)]).toEqual([id, []])
      }
    })
})

test('what is drawn as SVG has every text of the page, escaped, at its true size', () => {
  const [page] = printed([
    { kind: 'words', title: 'A < B & “C”', under: '', sections: [{ title: 'x', text: '1 < 2' }] },
  ]).pages
  const svg = svgPage(page!)
  expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"')
  expect(svg).toContain('A &lt; B &amp; “C”')
  expect(svg).toContain('1 &lt; 2')
  expect(svg.match(/<g /g)!.length).toBe(svg.match(/<\/g>/g)!.length)
})

describe('Problems', () => {
  test('a blank sheet gives no answer away, a begun one not yet, and the key has every answer', () => {
    const problems = ['63 - 27', '402 - 178', '7.4 - 2.6', '24 * 3', '95 / 4', '1/2 + 1/4', '-3 + -5']
    const answers = ['36', '224', '4.8', '72', '23 r 3', '3/4', '-8']
    expect(problems.map((p) => answerText(parseProblem(p)))).toEqual(answers)
    const on = (shown: 'blank' | 'first' | 'key'): string =>
      printed([{ kind: 'problems', problems, layout: 'lines', shown }])
        .pages.flatMap(textsOn)
        .join(' ')
    for (const answer of ['36', '224', '4.8', '72', '23 r 3', '−8']) {
      expect(on('blank')).not.toContain(` ${answer} `)
      expect(on('first')).not.toContain(`= ${answer} `)
    }
    for (const answer of ['36', '224', '4.8', '72', '23 r 3', '−8']) expect(` ${on('key')} `).toContain(`= ${answer} `)
  })

  test('on squares the key stands as it is written: struck digits, marks, no nought before the answer', () => {
    const digits = (shown: 'blank' | 'first' | 'key', problem: string): string[] =>
      boxes(printed([{ kind: 'problems', problems: [problem], layout: 'squares', shown }]).pages[0]!.marks)
        .map((b) => b.text)
        .filter((t) => /^[\d−+×.]$/.test(t))
    expect(digits('blank', '52 - 37').sort()).toEqual(['2', '3', '5', '7', '−'])
    expect(digits('first', '52 - 37').sort()).toEqual(['1', '2', '3', '4', '5', '7', '−'])
    expect(digits('key', '52 - 37').sort()).toEqual(['1', '1', '2', '3', '4', '5', '5', '7', '−'])
    // 52 − 46 is 6, not 06.
    expect(digits('key', '52 - 46').filter((d) => d === '0')).toEqual([])
    // A carry is a mark, not a sum of two digits in one square.
    expect(digits('first', '38 + 47').sort()).toEqual(['+', '1', '3', '4', '5', '7', '8'])
  })

  test('a few problems are as large as the page lets them be, and fill it', () => {
    const typed = ['52 - 37', '61 - 25', '70 - 46', '84 - 38']
    const [page, ...more] = printed([{ kind: 'problems', layout: 'squares', shown: 'blank', problems: typed }]).pages
    expect(more).toEqual([])
    const digits = boxes(page!.marks).filter((b) => b.text === '8')
    expect(Math.max(...digits.map((b) => b.y2))).toBeGreaterThan(page!.h * 0.55)
    expect(Math.min(...digits.map((b) => b.size))).toBeGreaterThan(30)
  })
  test.each(['above', 'below'] as const)(
    'the answer stands right under the line, with carry marks %s',
    (carryMarks) => {
      const { pages } = printed([{ kind: 'problems', layout: 'squares', shown: 'key', problems: ['52 - 37'] }], {
        choices: { ...PLAIN.choices, carryMarks },
      })
      const all = boxes(pages[0]!.marks)
      const [below] = all.filter((b) => b.text === '7')
      const [answer] = all.filter((b) => b.text === '5' && b.y1 > below!.y2)
      // One square further down, and no more.
      expect((answer!.y2 - below!.y2) / (below!.size * POINT)).toBeLessThan(1.6)
    },
  )
  test('each learner has a sheet with the name; whoever has none has a line for it', () => {
    const sheet = SHEETS.squares!
    const { pages } = layOut(PLAIN, [item(sheet, { names: ['Wren', 'Pip'], copies: 2 })], TOOLS)
    const first = printed([sheet]).pages.length
    expect(pages).toHaveLength(4 * first)
    expect(pages.flatMap(textsOn).filter((t) => t === 'Wren' || t === 'Pip')).toHaveLength(4 * first)
    expect(textsOn(printed([sheet]).pages[0]!)).toContain('Name')
    expect(textsOn(printed([SHEETS.key!]).pages[0]!)).not.toContain('Name')
  })
})

describe('Pieces are as large as they are said to be', () => {
  const sizes = (sheet: SheetWish): readonly string[] =>
    boxes(printed([sheet]).pages[0]!.marks)
      .map((b) => `${(b.x2 - b.x1).toFixed(1)} × ${(b.y2 - b.y1).toFixed(1)}`)
      .sort()
  test('blocks', () => {
    const all = sizes({ kind: 'pieces', piece: 'blocks', ones: 3, tens: 2, hundreds: 1 })
    expect(all.filter((s) => s === '10.0 × 10.0')).toHaveLength(3)
    expect(all.filter((s) => s === '10.0 × 100.0')).toHaveLength(2)
    expect(all).toContain('100.0 × 100.0')
    expect(SIZES_CUT.one).toBe(10)
  })
  test.each(['us', 'uk', 'euro'] as const)('coins of the set %s', (set) => {
    const { coins } = CURRENCIES[set]
    const { pages, refused } = printed(
      [{ kind: 'pieces', piece: 'coins', coins: coins.map((c) => ({ value: c.value, count: 1 })) }],
      {
        choices: { ...PLAIN.choices, money: { ...PLAIN.choices.money, set } },
      },
    )
    expect(refused).toEqual([])
    const drawn = boxes(pages[0]!.marks).filter((b) => b.text === '' && Math.abs(b.x2 - b.x1 - (b.y2 - b.y1)) < 0.01)
    // The outline lies within the coin, so that cutting along its outer edge gives the true size.
    expect(drawn.map((b) => (b.x2 - b.x1 + 0.4).toFixed(2)).sort()).toEqual(
      coins.map((c) => c.across.toFixed(2)).sort(),
    )
  })
  test('strips: the parts of a whole are as long as the whole', () => {
    for (const cut of [2, 3, 4, 5, 6, 8, 10, 12])
      expect(sizes({ kind: 'pieces', piece: 'strips', strips: [{ of: cut, count: 1 }] })).toContain(
        `${(STRIP.whole / cut).toFixed(1)} × ${STRIP.high.toFixed(1)}`,
      )
  })
  test('what cannot be is refused with a reason, and the rest is made', () => {
    const { pages, refused } = layOut(
      PLAIN,
      [
        item({ kind: 'pieces', piece: 'coins', coins: [{ value: 7, count: 1 }] }),
        item({ kind: 'pieces', piece: 'strips', strips: [{ of: 0, count: 1 }] }),
        item({ kind: 'mat', mat: 'ruled-line', from: 0, to: 9000, parts: 10, lines: 1 }),
        item({ kind: 'problems', problems: ['five plus'], layout: 'lines', shown: 'blank' }),
        item({ kind: 'steps', problem: '1/2 + 1/3', material: 'fingers' }),
        item({ kind: 'mat', mat: 'signed' }),
      ],
      TOOLS,
    )
    expect(refused.map((r) => r.item)).toEqual([0, 1, 2, 3, 4])
    expect(refused[0]!.why).toContain('no coin worth 7')
    expect(refused[2]!.why).toContain('do not fit on one line')
    expect(pages).toHaveLength(1)
  })
})

describe('Step by step', () => {
  test.each(STRIPS)('%s with %s tells every line and every word of the plan, on one page', (problem, material) => {
    const { pages } = printed([{ kind: 'steps', problem, material }])
    expect(pages).toHaveLength(1)
    const told = textsOn(pages[0]!).join(' ').replace(/\s+/g, ' ')
    const steps = plan({ problem, representation: material }).steps
    for (const { say } of steps) for (const word of say.split(/\s+/)) expect(told).toContain(word)
    expect(told).toContain('Notes')
    expect(textsOn(pages[0]!).filter((t) => t === String(steps.length)).length).toBeGreaterThan(0)
  })

  test.each(STRIPS)('%s with %s has its pictures at one scale', (problem, material) => {
    const scales = (marks: readonly Mark[]): readonly number[] =>
      marks.flatMap((m) => (m.kind !== 'group' ? [] : m.as === 'picture' ? [m.scale] : scales(m.marks)))
    const { pages } = printed([{ kind: 'steps', problem, material }])
    expect(new Set(pages.flatMap((page) => scales(page.marks))).size).toBeLessThanOrEqual(1)
  })
  test('what a hand did is shown as it was, with its slip', () => {
    let bench = openBench({ problem: '52 - 37', representation: 'blocks' }, 'together')
    for (const move of ['lay 5 tens 2 ones', 'take 3 tens', 'break 1 ten', 'take 7 ones', 'read 15'])
      bench = enter(bench, { at: 0, on: 'blocks', move })
    const record = recordOf(bench)
    const told = textsOn(
      printed([{ kind: 'steps', problem: record.problem, material: 'blocks', record }]).pages[0]!,
    ).join(' ')
    expect(told.indexOf('52 − 30 = 22')).toBeGreaterThan(0)
    expect(told.indexOf('52 − 30 = 22')).toBeLessThan(told.indexOf('22 − 7 = 15'))
  })

  test('a long working goes on over several pages', () => {
    const { pages } = printed([
      { kind: 'steps', problem: '9876543 - 1234567', material: 'chips' },
      { kind: 'steps', problem: '98765432 / 7', material: 'division' },
    ])
    expect(pages.length).toBeGreaterThan(1)
  })
})

describe('Frames and hands', () => {
  test.each(['abacus', 'two-five', 'frame', 'stay-put'] as const)(
    'a number set on the %s is what the frame shows',
    (frame) => {
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 99999 }), (n) => {
          expect(REPRESENTATIONS[frame].shows(frameWith(frame, String(n), PLAIN.choices))).toBe(String(n))
        }),
      )
    },
  )
  test('a key has every number, a blank sheet none', () => {
    const numbers = ['17', '305', '86']
    const texts = (shown: 'blank' | 'key') =>
      printed([{ kind: 'beads', frame: 'abacus', numbers, shown }]).pages.flatMap(textsOn)
    expect(texts('key')).toEqual(expect.arrayContaining(numbers))
    for (const n of numbers) expect(texts('blank')).not.toContain(n)
  })
  test('chains add up', () => {
    const chains = [
      [12, 30, -21, 7],
      [5, -8],
    ]
    const texts = printed([{ kind: 'chains', chains, shown: 'key' }]).pages.flatMap(textsOn)
    expect(texts).toEqual(expect.arrayContaining(['28', '−3']))
    expect(printed([{ kind: 'chains', chains, shown: 'blank' }]).pages.flatMap(textsOn)).not.toContain('28')
  })
  test('the chart of hands follows the class: a finger that is away is not counted on', () => {
    const few = printed([SHEETS.fingers!], { choices: { ...PLAIN.choices, away: ['left-little'] } }).pages.flatMap(
      textsOn,
    )
    expect(printed([SHEETS.fingers!]).pages.flatMap(textsOn)).toContain('10')
    expect(few).not.toContain('10')
    expect(few).toContain('9')
  })
  test('places are called as the class calls them', () => {
    const words = { ...packOf('exchange') }
    const chart = (ones: 'ones' | 'units') =>
      textsOn(
        printed([{ kind: 'mat', mat: 'chart', places: 2, decimals: 0, rows: 1 }], {
          choices: {
            ...PLAIN.choices,
            words: {
              ...({
                exchange: 'exchange',
                plus: 'add',
                minus: 'take away',
                equals: 'equals',
                english: 'british',
                negative: 'negative',
              } as never as object),
              ones,
            } as never,
          },
        }).pages[0]!,
      )
    expect(words.ones[1]).toBe('ones')
    expect(chart('units')).toContain('Units')
    expect(chart('ones')).toContain('Ones')
  })
})

test('what is too near to be felt is found', () => {
  const figure = (x: number): Mark => ({
    kind: 'group',
    x,
    y: 0,
    scale: 1,
    as: 'figure',
    marks: [{ kind: 'path', d: 'M0 0L0 20', wide: 1 }],
  })
  expect(tactileTroubles([figure(0), figure(6)])).toEqual([])
  expect(tactileTroubles([figure(0), figure(5.9)])).toEqual(['two things are less than 5 mm apart'])
  expect(tactileTroubles([{ kind: 'path', d: 'M0 0L9 0', stroke: 'grey', wide: 1 }])).toEqual(['grey does not swell'])
  expect(tactileTroubles([{ kind: 'path', d: 'M0 0L9 0', wide: 0.5 }])).toEqual(['a line is thinner than 0.75 mm'])
  expect(
    tactileTroubles([{ kind: 'text', x: 0, y: 0, text: 'a', size: 9, font: 'regular', anchor: 'start' }]),
  ).toHaveLength(1)
})
