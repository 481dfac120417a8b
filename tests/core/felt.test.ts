import { enter, openBench, recordOf, type RepresentationId, type WorkRecord } from '../../core/index'
import { placedMarks, tactileTroubles, type Mark } from '../../core/paper/index'
import { feltPictureOf } from '../../core/paper/pictures/index'
import { statesOf } from '../../core/paper/problems'
import { printed, STRIPS } from './press'

/** The mat drawn for fingers: every material, at every step, by the rules of what is felt. */

const ROOM = 190
const UNDRAWN = ['joints'] as const

describe('Mats to be felt', () => {
  test.each(STRIPS)('%s with %s: at every step things are 5 mm apart, bold, without letters', (problem, material) => {
    const { setup, states } = statesOf({ problem, representation: material })
    const drawn = states.map((state) => feltPictureOf(setup, material, state, ROOM))
    if (drawn.every((d) => d === null)) {
      // Only what is written in lines has no mat.
      expect(['partials', 'friendly', 'splits', 'signs', 'fraction-rule', 'nine-tricks', 'equations']).toContain(
        material,
      )
      return
    }
    const seen = drawn.flatMap((d) => (d && !('why' in d) ? [d] : []))
    expect(seen.length > 0).toBe(!UNDRAWN.includes(material as 'joints'))
    for (const picture of seen) {
      expect([material, tactileTroubles(picture.marks)]).toEqual([material, []])
      expect(picture.w).toBeLessThanOrEqual(ROOM + 0.1)
    }
  })

  const after = (problem: string, material: RepresentationId, moves: readonly string[]): WorkRecord => {
    let bench = openBench({ problem, representation: material }, 'together')
    for (const move of moves) bench = enter(bench, { at: 0, on: material, move })
    return recordOf(bench)
  }
  const figures = (marks: readonly Mark[]): number => new Set([...placedMarks(marks)].map((m) => m.figure)).size
  const lying = (record: WorkRecord, tactile: boolean) => printed([{ kind: 'lying', record }], { tactile })

  test('every piece that lies there is a figure of its own, each kind under its name', () => {
    const count = (moves: readonly string[]): number =>
      figures(lying(after('52 - 37', 'blocks', moves), true).pages[0]!.marks)
    const [laid, broken] = [count(['lay 5 tens 2 ones']), count(['lay 5 tens 2 ones', 'break 1 ten'])]
    // Two names, five tens and two ones, then four tens and twelve ones; besides the title, the foot and the line, the same on both.
    expect(broken - laid).toBe(4 + 12 - (5 + 2))
    expect(laid).toBe(2 + 5 + 2 + 3)
  })

  test('the mat as it lies is one sheet, for eyes and for fingers', () => {
    const record = after('52 - 37', 'blocks', ['lay 5 tens 2 ones', 'break 1 ten', 'take 7 ones'])
    for (const tactile of [false, true]) {
      const { pages, refused, notes } = lying(record, tactile)
      expect([refused, notes, pages.length]).toEqual([[], [], 1])
    }
  })

  test('what does not fit on a sheet for fingers is refused with what helps; what is not drawn says so', () => {
    const many = after('1909 - 5', 'chips', ['lay 190 tens 9 ones'])
    expect(lying(many, true).refused[0]!.why).toContain('More lies there than fits on one sheet for fingers')
    expect(lying(many, false).refused).toEqual([])
    const written = after('52 - 37', 'equations', [])
    expect(lying(written, true).refused[0]!.why).toContain('nothing to be drawn')
    const joints = after('7 + 2', 'joints', ['mark 7'])
    expect(lying(joints, true).refused[0]!.why).toContain('nearer to one another than fingers can tell apart')
  })
})
