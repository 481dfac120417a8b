import { randomUUID } from 'node:crypto'
import '../../core/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import { replayed, replayedOn, standsTo } from '../../server/utils/replaying'
import type { SavedRecord } from '../../shared/schemas'
import { savedTogether } from '../../server/utils/saving'
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

test('what waits at the same moment is one commit; what cannot be kept of it fails alone', async () => {
  const store = demo()
  const [kept] = all(store)
  const fresh = (more: Partial<SavedRecord> = {}): SavedRecord => ({ ...kept!, id: randomUUID(), ...more })
  const good = Array.from({ length: 12 }, () => fresh())
  const taken = { ...good[0]!, work: { ...kept!.work, problem: '1 + 1', moves: [] } }
  const nobodys = fresh({ learnerId: randomUUID() })
  const commits = jest.spyOn(store.db, 'transaction')
  const ends = [...good, taken, nobodys].map((record) => savedTogether(store, record, []))
  expect(good.some((r) => store.record(r.id))).toBe(false)
  const ended = await Promise.allSettled(ends)
  expect(commits).toHaveBeenCalledTimes(1)
  commits.mockRestore()
  expect(ended.map((e) => e.status)).toEqual([...good.map(() => 'fulfilled'), 'rejected', 'rejected'])
  expect(
    ended.slice(-2).map((e) => ((e as PromiseRejectedResult).reason as { statusCode: number }).statusCode),
  ).toEqual([409, 422])
  expect(good.map((r) => store.record(r.id)?.work)).toEqual(good.map((r) => r.work))
  expect(store.record(nobodys.id)).toBeUndefined()
})

test('where the commit fails, nobody is told that something was kept', async () => {
  const store = demo()
  const [kept] = all(store)
  const two = [randomUUID(), randomUUID()].map((id) => ({ ...kept!, id }))
  const full = Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' })
  const failing = jest.spyOn(store.db, 'transaction').mockImplementation((work) => {
    const made = () => {
      ;(work as () => void)()
      throw full
    }
    return made as never
  })
  const ended = await Promise.allSettled(two.map((record) => savedTogether(store, record, [])))
  failing.mockRestore()
  expect(ended).toEqual(two.map(() => ({ status: 'rejected', reason: full })))
})
