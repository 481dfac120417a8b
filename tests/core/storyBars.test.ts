import { exact, printExact } from '../../core/index'
import {
  barsOf,
  barsOfSteps,
  cellById,
  CELLS,
  MADE_FIRST,
  scenesFor,
  SCENES,
  SITUATIONS,
  tellStory,
  understood,
  type Cell,
} from '../../core/story/index'
import { amountsFor, nameOf, knownOf, completeTold } from './storyAmounts'

/** Bars of stories at one scale, and what answers to stories say. */

describe('Bars', () => {
  test.each(CELLS.map((cell) => [nameOf(cell), cell] as const))(
    '%s: at one scale, from end to end, with a question mark for what is asked',
    (_, cell) => {
      for (let seed = 0; seed < 60; seed++) {
        const all = completeTold(cell, amountsFor(cell, 'small', seed))
        const [scene] = scenesFor(cell, all)
        if (!scene) continue
        const known = knownOf(cell, all)
        const story = tellStory({
          amounts: known.roles,
          ...(known.before ? { before: known.before } : {}),
          cell,
          scene,
          seed,
        })
        const figures = barsOfSteps(story)
        expect(figures).toHaveLength(cell.after ? 2 : 1)
        const bars = figures.at(-1)!
        expect(Math.max(...bars.flatMap((b) => b.parts.map((p) => p.to)))).toBeCloseTo(1)
        for (const { parts, nought } of bars) {
          if (nought === undefined) expect(parts[0]!.from).toBe(0)
          parts.slice(1).forEach((p, i) => expect(p.from).toBeCloseTo(parts[i]!.to))
        }
        // Lengths are as the amounts are to each other.
        const lengths = bars.flatMap((bar) => bar.parts.map((p) => [p.text, p.to - p.from] as const))
        const numbers = lengths.flatMap(([text, long]) => (/^\d+$/.test(text) ? [[Number(text), long] as const] : []))
        if (SITUATIONS[cell.situation].sign !== '*')
          for (const [x, long] of numbers) for (const [y, other] of numbers) expect(x * other).toBeCloseTo(y * long)
        const marks = figures.flatMap((f) =>
          f.flatMap((bar) => [
            ...(bar.overAsked ? [bar.over] : []),
            ...bar.parts.filter((p) => p.asked && p.text).map((p) => p.text),
          ]),
        )
        expect(marks.filter((m) => m.includes('?'))).toHaveLength(cell.unknown === 'both' ? 2 : 1)
        expect(marks.filter((m) => m === MADE_FIRST)).toHaveLength(cell.after ? 1 : 0)
        // What is asked stands nowhere as a number.
        if (cell.unknown !== 'both') {
          const shown = figures.flatMap((f) => f.flatMap((b) => [b.over, ...b.parts.map((p) => p.text)]))
          const given = [...Object.values(known.roles), ...Object.values(known.before ?? {})].map((v) => printExact(v))
          const solved = printExact(story.answer!)
          if (!given.includes(solved)) expect(shown).not.toContain(solved)
        }
      }
    },
  )

  test('a part is that part of the whole; a level is drawn on its own side of nought', () => {
    const [whole, part] = barsOf(tellStory({ problem: '20 * 3/4', cell: cellById('part/part')!, seed: 1 }))
    expect(whole!.parts.map((p) => p.gap)).toEqual([false, false, false, true])
    expect(part!.parts.map((p) => [p.to, p.text])).toEqual([
      [0.75, '?'],
      [1, ''],
    ])
    const [first, up, now] = barsOf(tellStory({ problem: '-3 + 5', cell: cellById('rise/result')!, seed: 1 }))
    expect([first, up, now].map((b) => [b!.nought, b!.parts[0]!.from, b!.parts[0]!.to])).toEqual([
      [0.6, 0, 0.6],
      [0.6, 0, 1],
      [0.6, 0.6, 1],
    ])
  })
})

describe('What an answer says', () => {
  const of = (cell: Cell, problem: string) => tellStory({ problem, cell, seed: 4 })
  test('“more” that misleads: 15 + 8 instead of 15 − 8', () => {
    const story = of({ situation: 'compare', unknown: 'lesser', wording: 'more' }, '15 - 8')
    expect(story.misleads).toBe(true)
    expect(understood(story, exact(7))).toBe('right')
    expect(understood(story, exact(23))).toBe('by the word')
    expect(understood(story, exact(15))).toBe('told already')
    expect(understood(story, exact(120))).toBe('worked otherwise')
    expect(understood(story, exact(9))).toBe('otherwise')
  })
  test('“fewer” that misleads: 12 − 5 instead of 12 + 5; and words that do not mislead are no excuse', () => {
    expect(understood(of({ situation: 'compare', unknown: 'greater', wording: 'fewer' }, '12 + 5'), exact(7))).toBe(
      'by the word',
    )
    expect(understood(of({ situation: 'add-to', unknown: 'result' }, '12 + 5'), exact(7))).toBe('worked otherwise')
    expect(understood(of({ situation: 'add-to', unknown: 'start' }, '12 - 5'), exact(17))).toBe('by the word')
  })
  test('of two parts any pair is right that makes the whole', () => {
    const story = tellStory({ amounts: { whole: exact(9) }, cell: { situation: 'together', unknown: 'both' }, seed: 1 })
    for (const n of [0, 4, 9]) expect(understood(story, exact(n))).toBe('right')
    expect(understood(story, exact(10))).toBe('otherwise')
    expect(understood(story, exact(-1))).toBe('otherwise')
  })
  test('a first step only, a number that is not needed, the wrong side of nought, a number where one is missing', () => {
    const two = of(cellById('groups>take-from/result')!, '4 * 6 - 5')
    expect(understood(two, exact(19))).toBe('right')
    expect(understood(two, exact(24))).toBe('first step')
    expect(understood(two, exact(29))).toBe('worked otherwise')
    const extra = tellStory({ problem: '15 - 8', cell: cellById('take-from/result')!, seed: 4, extra: true })
    expect(understood(extra, exact(7))).toBe('right')
    expect(understood(extra, exact(7 - Number(extra.extra)))).toBe('not needed')
    const level = of(cellById('fall/result')!, '2 - 5')
    expect(understood(level, exact(-3))).toBe('right')
    expect(understood(level, exact(3))).toBe('other side')
    const missing = tellStory({
      problem: '15 - 8',
      cell: cellById('take-from/result')!,
      scene: SCENES[0]!,
      seed: 4,
      missing: 'change',
    })
    expect(missing.text).toMatch(/takes down some of them\./)
    expect(understood(missing, exact(7))).toBe('made up')
    expect(understood(missing, null)).toBe('right')
    expect(understood(two, null)).toBe('otherwise')
    expect(understood(of(cellById('enough/over')!, '40 ? 36'), exact(4))).toBe('right')
  })
})
