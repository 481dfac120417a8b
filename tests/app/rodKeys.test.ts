import './nuxt'
import { useRodKeys } from '../../app/components/mats/beads/useRodKeys'
import { DEFAULT_CHOICES } from '../../core/choices'
import { parseProblem } from '../../core/problem/parse'
import { abacus, beadFrame } from '../../core/representation/abacus/abacus'
import type { AbacusMove, AbacusState } from '../../core/representation/abacus/frame'
import { applyAll } from '../../core/representation/representation'

/** A frame worked by keys: what it is told, and what comes of it. */
function frame(set: string[], { across = false, works = true } = {}) {
  const r = across ? beadFrame : abacus
  let state: AbacusState = applyAll(r, r.start(parseProblem('46 + 27'), DEFAULT_CHOICES), set.map(r.parse))
  const [made, few, stood]: [string[], string[], number[]] = [[], [], []]
  const keys = useRodKeys({
    state: () => state,
    movable: () => works,
    across: () => across,
    focus: (rod) => stood.push(rod),
    make: (rod, bead, count, to) => {
      const move: AbacusMove = { kind: 'beads', rod, bead, count, to, hand: null, finger: null }
      made.push(r.print(move))
      state = r.apply(state, move)
    },
    tooFew: (rod, free) => few.push(`${rod}: ${free}`),
  })
  const press = (key: string, rod: number, shiftKey = false): boolean => {
    let taken = false
    keys.onKey({ key, shiftKey, preventDefault: () => (taken = true) } as unknown as KeyboardEvent, rod)
    return taken
  }
  return { press, made, few, stood, keys, shows: () => r.shows(state) }
}

describe('upright rods', () => {
  test('up and down move a lower bead, with Shift the upper one, each towards where it points', () => {
    const f = frame([])
    f.press('ArrowUp', 0)
    f.press('ArrowDown', 0, true)
    expect(f.made).toEqual(['rod 0 lower 1 to bar', 'rod 0 upper 1 to bar'])
    expect(f.shows()).toBe('6')
    f.press('ArrowDown', 0)
    f.press('ArrowUp', 0, true)
    expect(f.shows()).toBe('0')
  })

  test('a digit sets so many lower beads; where there are too few it says how many, and sets none', () => {
    const f = frame(['ones lower 2 to bar'])
    expect(f.press('3', 0)).toBe(true)
    expect([f.few, f.made]).toEqual([['0: 2'], []])
    f.press('2', 0)
    expect(f.shows()).toBe('4')
  })

  test('left and right walk the rods, and stop at the ends', async () => {
    const f = frame([])
    expect(f.keys.stop.value).toBe(0)
    f.press('ArrowLeft', 0)
    await Promise.resolve()
    expect([f.keys.stop.value, f.stood]).toEqual([1, [1]])
    f.press('ArrowRight', 0)
    f.press('ArrowLeft', 2)
    await Promise.resolve()
    expect(f.stood).toEqual([1])
  })

  test('other keys are left to the page, and a frame that is only looked at only walks', () => {
    const f = frame([], { works: false })
    expect(['ArrowUp', '2', 'x', 'Tab'].map((k) => f.press(k, 0))).toEqual([false, false, false, false])
    expect(f.press('ArrowLeft', 0)).toBe(true)
    expect(f.made).toEqual([])
  })
})

describe('rods that lie across', () => {
  test('Enter counts a bead, Backspace takes it away, up and down walk', async () => {
    const f = frame([], { across: true })
    f.press('Enter', 0)
    f.press('Enter', 0)
    f.press('Backspace', 0)
    f.press('Enter', 1)
    expect(f.shows()).toBe('11')
    f.press('ArrowUp', 0)
    await Promise.resolve()
    expect(f.stood).toEqual([1])
    f.press('9', 2)
    expect(f.shows()).toBe('911')
  })
})
