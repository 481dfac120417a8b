import '../../core/index'
import { layingOut, layOut, MOST_PAGES, placedMarks, type SheetWish } from '../../core/paper/index'
import { item, PLAIN, printed, PROBLEMS, SHEETS, TOOLS } from './press'

/** How much is printed at once, and how sheets share pages. */

describe('A print is bounded, and can be stopped', () => {
  test('more pages than can be are refused item by item', () => {
    const { pages, refused } = layOut(PLAIN, [item(SHEETS.chart!, { copies: MOST_PAGES }), item(SHEETS.array!)], TOOLS)
    expect(pages).toHaveLength(MOST_PAGES)
    expect(refused).toEqual([{ item: 1, why: expect.stringContaining(`more than ${MOST_PAGES} pages`) }])
  })
  test('what is far too much is refused before any of it is made', () => {
    const names = Array.from({ length: 60 }, (_, i) => `Learner ${i}`)
    const problems = Array.from({ length: 200 }, (_, i) => `${100 + i} - 37`)
    const sheet: SheetWish = { kind: 'problems', problems, layout: 'squares', shown: 'blank' }
    const { pages, refused } = layOut(PLAIN, [item(sheet, { names, copies: 60 })], TOOLS)
    expect([pages.length, refused.length]).toEqual([0, 1])
  })
  test('it comes back between two items', () => {
    const steps = layingOut(
      PLAIN,
      PROBLEMS.map((p) => item({ kind: 'steps', problem: p, material: 'columns' })),
      TOOLS,
    )
    expect(steps.next()).toEqual({ value: 0, done: false })
    expect(steps.next()).toEqual({ value: 1, done: false })
  })
  test('what has no room on half a page has a whole one, and that is said', () => {
    const { pages, notes } = printed(
      [
        { kind: 'problems', problems: ['52 - 37'], layout: 'lines', shown: 'blank' },
        { kind: 'mat', mat: 'chart', places: 3, decimals: 0, rows: 1 },
        { kind: 'pieces', piece: 'strips', strips: [{ of: 1, count: 1 }] },
      ],
      { perPage: 2 },
    )
    expect(notes).toEqual([expect.stringContaining('one to a page')])
    expect(pages).toHaveLength(3)
  })
  test('two sheets of one kind share a page, with a line between to cut along', () => {
    const { pages } = layOut({ ...PLAIN, perPage: 2 }, [item(SHEETS.chains!, { copies: 3 })], TOOLS)
    expect(pages).toHaveLength(2)
    expect(pages[0]!.w).toBeCloseTo(297)
    const cuts = [...placedMarks(pages[0]!.marks)].filter(({ mark }) => mark.kind === 'path' && mark.dash)
    expect(cuts).toHaveLength(1)
  })
})
