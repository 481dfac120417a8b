import { onPage } from '../../core/plan/lines'
import { plan } from '../../core/plan/plan'
import type { RepresentationId } from '../../core/representation/representation'
import type { WayId } from '../../core/way/way'

/** The page of a whole plan, as `text | rule`, with the steps that wrote each line. */
const page = (problem: string, representation: RepresentationId, way?: WayId) =>
  onPage(plan({ problem, representation, way }).steps).map((l) => [`${l.text} | ${l.rule}`, l.from, l.to])

describe('what stands on the page', () => {
  test('a rule stands beside the total that it made, and stays there when the sentence is read', () => {
    expect(page('38 + 7', 'abacus')).toEqual([
      ['38 | ', 0, 0],
      ['38 + 7 | ', 1, 1],
      ['38 + 7 = 45 | +7 = +10 −3', 2, 3],
    ])
  })

  test('each digit has its rule, with its rod where it is not the ones', () => {
    expect(page('46 + 27', 'abacus').map(([line]) => line)).toEqual([
      '46 | ',
      '46 + 27 | ',
      '46 + 20 = 66 | tens: +2 = +5 −3',
      '66 + 7 = 73 | +7 = +10 +2 −5',
      '46 + 27 = 73 | ',
    ])
  })

  test('a count is one line that grows, and belongs to all its steps', () => {
    const lines = page('5 + 3', 'fingers', 'count-on')
    const count = lines.filter(([text]) => String(text).includes(' · '))
    expect(count.map(([text]) => text)).toEqual(['5 · 6 7 8 | '])
    const [, from, to] = count[0]!
    expect(Number(to) - Number(from)).toBe(2)
  })

  test('no line stands twice running, and every equation of the plan is there', () => {
    for (const [problem, id] of [
      ['52 - 37', 'blocks'],
      ['33 + 4 - 6 + 28', 'abacus'],
      ['312 - 745', 'abacus'],
      ['9 + 8', 'tallies'],
    ] as const) {
      const { steps } = plan({ problem, representation: id })
      const lines = onPage(steps)
      lines.forEach((l, i) => expect(l.text).not.toBe(lines[i + 1]?.text))
      const asked = steps.flatMap((s) => s.lines.filter((l) => l.equation && !l.beside).map((l) => l.text))
      expect(lines.filter((l) => l.equation).map((l) => l.text)).toEqual(asked.filter((t, i) => t !== asked[i - 1]))
    }
  })
})
