import { randomUUID } from 'node:crypto'
import '../../core/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import { replayed, replayedOn, standsTo } from '../../server/utils/replaying'
import type { SavedRecord } from '../../shared/schemas'
import { all, demo } from './seeded'

test('how what is sent stands to what is kept', () => {
  const [kept] = all(demo())
  const longer = {
    ...kept!,
    work: { ...kept!.work, moves: [...kept!.work.moves, { at: 99_999_999, on: 'bench' as const, move: 'undo' }] },
  }
  const noted = { ...kept!, outcome: { ...kept!.outcome, note: 'more' } }
  const shorter = { ...kept!, work: { ...kept!.work, moves: kept!.work.moves.slice(1) } }
  expect([kept!, longer, noted, shorter, { ...kept!, learnerId: randomUUID() }].map((r) => standsTo(kept!, r))).toEqual(
    [...['same', 'newer', 'newer', 'other', 'other']],
  )
  expect(standsTo(kept!, { ...kept!, work: { ...kept!.work, problem: '1 + 1' } })).toBe('other')
})

test('what is saved again a few moves later is worked on from there, and comes to the same', async () => {
  const [kept] = all(demo()).filter((r) => r.work.moves.length > 6)
  const id = randomUUID()
  const upTo = (n: number): SavedRecord => ({
    ...kept!,
    id,
    work: { ...kept!.work, moves: kept!.work.moves.slice(0, n) },
  })
  const { length } = kept!.work.moves
  for (const n of [3, 5]) expect(await replayedOn(upTo(n))).toEqual(await replayed(upTo(n).work))
  const read = jest.spyOn(REPRESENTATIONS[kept!.work.representation], 'parse')
  const made = await replayedOn(upTo(length))
  const onwards = read.mock.calls.length
  read.mockClear()
  expect(made).toEqual(await replayed(upTo(length).work))
  // Only what was new has been read.
  expect(onwards).toBeLessThan(read.mock.calls.length - 3)
  expect(onwards).toBeGreaterThan(0)
  read.mockRestore()
  // Other work under the same id does not go on from what was there.
  const other = { ...kept!, id, work: { ...kept!.work, moves: [{ at: 1, on: 'bench' as const, move: 'undo' }] } }
  expect(await replayedOn(other)).toMatchObject({ pointer: '/moves/0' })
})
