import fc from 'fast-check'
import {
  choose,
  fit,
  inRows,
  litNow,
  MOST_IN_ROW,
  out,
  START,
  step,
  type Light,
  type ScanGroup,
} from '../../app/utils/scan'

/** Scanning by switches: everything is reached, nothing is a trap, and what a press does is told by what is lit. */

const groupsOf = (sizes: readonly number[]): readonly ScanGroup[] => {
  let next = 0
  return sizes.map((n, g) => ({ name: `g${g}`, rows: inRows(Array.from({ length: n }, () => next++)) }))
}
const worlds = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 12 }).map(groupsOf)
/** Presses and steps that reach a thing from the start; undefined where it cannot be reached. */
function reach(groups: readonly ScanGroup[], thing: number): { presses: number; steps: number } | undefined {
  let light: Light = START
  for (let presses = 0, steps = 0; presses + steps < 200;) {
    const lit = litNow(groups, light)
    if (lit.includes(thing)) {
      const { light: next, act } = choose(light, groups)
      presses += 1
      if (act === thing) return { presses, steps }
      light = next
    } else {
      light = step(light, groups)
      steps += 1
    }
  }
  return undefined
}

test('every thing is reached with at most three presses, whatever the groups', () => {
  fc.assert(
    fc.property(worlds, (groups) => {
      for (const thing of groups.flatMap((g) => g.rows.flat()))
        expect(reach(groups, thing)!.presses).toBeLessThanOrEqual(3)
    }),
  )
})

test('a press does nothing but what is lit: one thing is done, more are gone into', () => {
  fc.assert(
    fc.property(worlds, fc.array(fc.boolean(), { maxLength: 60 }), (groups, moves) => {
      let light = START
      for (const press of moves) {
        const lit = litNow(groups, light)
        expect(lit.length).toBeGreaterThan(0)
        if (!press) light = step(light, groups)
        else {
          const { light: next, act } = choose(light, groups)
          expect(act).toBe(lit.length === 1 ? lit[0] : null)
          if (act === null) for (const inner of litNow(groups, next)) expect(lit).toContain(inner)
          light = next
        }
      }
    }),
  )
})

test('whoever lets a level go round in vain comes out again, without a press', () => {
  fc.assert(
    fc.property(worlds, (groups) => {
      let light = choose(START, groups).light
      for (let i = 0; i < 100 && light.level !== 'group'; i++) light = step(light, groups)
      expect(light.level).toBe('group')
    }),
  )
})

test('a long group stands in rows; out goes back to its row and then to its group', () => {
  const groups = groupsOf([3, 20])
  expect(groups[1]!.rows.map((r) => r.length)).toEqual([MOST_IN_ROW, MOST_IN_ROW, 6])
  const second = step(START, groups)
  const row = choose(second, groups).light
  expect([row.level, litNow(groups, row).length]).toEqual(['row', MOST_IN_ROW])
  const item = choose(step(row, groups), groups).light
  expect([item.level, litNow(groups, item)]).toEqual(['item', [3 + MOST_IN_ROW]])
  expect(out(item, groups)).toMatchObject({ level: 'row', row: 1 })
  expect(out(out(item, groups), groups)).toMatchObject({ level: 'group', group: 1 })
})

test('what comes and goes leaves the light on its group; a group that is gone begins anew', () => {
  const before = groupsOf([3, 5])
  const item = choose(step(START, before), before).light
  const more = [before[0]!, { name: 'g1', rows: inRows([3, 4, 5, 6, 7, 8]) }]
  expect(fit(item, before, more)).toMatchObject({ level: 'item', group: 1, item: 0 })
  expect(fit({ ...item, item: 2 }, before, [before[1]!, before[0]!])).toMatchObject({ group: 0, item: 2 })
  expect(fit(item, before, [before[0]!])).toEqual(START)
  expect(step(START, [])).toEqual(START)
  expect(choose(START, [])).toEqual({ light: START, act: null })
})
