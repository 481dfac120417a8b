import { randomUUID } from 'node:crypto'
import '../../core/index'
import { REPRESENTATIONS } from '../../core/representation/index'
import { atHand, LONGEST_BENCH, MOST_BENCHES, read, replaying, type Found } from '../../server/aside/replay'
import { rowOf } from '../../server/db/records'
import { lookThroughLater } from '../../server/utils/lookingThrough'
import { replayed, standsTo, STEPS_AT_ONCE } from '../../server/utils/replaying'
import type { SavedRecord } from '../../shared/schemas'
import { savedTogether } from '../../server/utils/saving'
import { makeStore } from '../../server/utils/store'
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

const found = (record: SavedRecord, most = STEPS_AT_ONCE): Found | null => {
  const sent = read(JSON.stringify(record), most)
  if ('errors' in sent) throw new Error(JSON.stringify(sent.errors))
  return sent.found
}

test('what is saved again a few moves later is worked on from there, and comes to the same', async () => {
  const [kept] = all(demo()).filter((r) => r.work.moves.length > 6)
  const id = randomUUID()
  const upTo = (n: number): SavedRecord => ({
    ...kept!,
    id,
    work: { ...kept!.work, moves: kept!.work.moves.slice(0, n) },
  })
  const { length } = kept!.work.moves
  for (const n of [3, 5]) expect(found(upTo(n))).toEqual(await replayed(upTo(n).work))
  const parsed = jest.spyOn(REPRESENTATIONS[kept!.work.representation], 'parse')
  const made = found(upTo(length))
  const onwards = parsed.mock.calls.length
  parsed.mockClear()
  expect(made).toEqual(await replayed(upTo(length).work))
  // Only what was new has been read.
  expect(onwards).toBeLessThan(parsed.mock.calls.length - 3)
  expect(onwards).toBeGreaterThan(0)
  parsed.mockRestore()
  // Other work under the same id does not go on from what was there.
  const other = { ...kept!, id, work: { ...kept!.work, moves: [{ at: 1, on: 'bench' as const, move: 'undo' }] } }
  expect(found(other)).toMatchObject({ pointer: '/moves/0' })
})

test('benches are at hand for the last few saves only, and none that is long', () => {
  const [kept] = all(demo())
  const saves = Array.from({ length: MOST_BENCHES + 12 }, () => ({ ...kept!, id: randomUUID() }))
  for (const record of saves) found(record)
  expect(atHand()).toEqual(saves.slice(-MOST_BENCHES).map((r) => r.id))
  const long = withMoves(kept!, LONGEST_BENCH + 1)
  found(long, Number.MAX_SAFE_INTEGER)
  expect(atHand()).not.toContain(long.id)
})

/** Work that goes back and forth for so many moves. */
function withMoves(record: SavedRecord, count: number): SavedRecord {
  const moves = Array.from({ length: count }, (_, i) => ({
    at: i,
    on: 'blocks' as const,
    move: i % 2 === 0 ? 'lay 1 one' : 'lay 1 ten',
  }))
  const work = { ...record.work, problem: '52 - 37', representation: 'blocks' as const, also: [], both: null, moves }
  return { ...record, id: randomUUID(), work: { ...work, way: 'ones-first', mode: 'alone' } }
}

test('as many steps are made as somebody waits for, the same on every machine; a longer record is not refused', async () => {
  const [kept] = all(demo())
  const long = withMoves(kept!, 300)
  // Each move is a step, and one more for each move that it is looked at together with.
  const steps: number[] = []
  const moves = replaying({ id: null, work: long.work as never })
  for (let next = moves.next(); !next.done; next = moves.next()) steps.push(next.value)
  expect(steps).toHaveLength(300)
  expect(Math.min(...steps)).toBeGreaterThanOrEqual(1)
  const all_ = steps.reduce((sum, n) => sum + n, 0)
  expect(found(long, all_ + 1)).toMatchObject({ slips: expect.any(Array) })
  expect(found({ ...long, id: randomUUID() }, all_ - 1)).toBeNull()
  expect(found({ ...long, id: randomUUID() }, 10)).toBeNull()
  expect(await replayed(long.work as never)).toMatchObject({ slips: expect.any(Array) })
})

test('what takes long is kept as it came, marked, and looked through later; what cannot be worked stays too', async () => {
  const store = demo()
  const [kept] = all(store)
  const long = withMoves(kept!, 200)
  const broken = { ...long, id: randomUUID() }
  broken.work = { ...broken.work, moves: [...broken.work.moves, { at: 999, on: 'blocks', move: 'take 900 ones' }] }
  for (const record of [long, broken]) await savedTogether(store, rowOf(record), null)
  const marks = (): string[] =>
    [long, broken].map((r) => store.page({ limit: 200 }).records.find((line) => line.id === r.id)!.replay)
  expect(marks()).toEqual(['waiting', 'waiting'])
  await lookThroughLater(() => store)
  expect(marks()).toEqual(['sound', 'broken'])
  expect([store.record(long.id)?.work, store.record(broken.id)?.work]).toEqual([long.work, broken.work])
  expect(store.toLookThrough(9)).toEqual([])
})

test('what waits at the same moment is one commit; what cannot be kept of it fails alone', async () => {
  const store = demo()
  const [kept] = all(store)
  const fresh = (more: Partial<SavedRecord> = {}): SavedRecord => ({ ...kept!, id: randomUUID(), ...more })
  const good = Array.from({ length: 12 }, () => fresh())
  const taken = { ...good[0]!, work: { ...kept!.work, problem: '1 + 1', moves: [] } }
  const nobodys = fresh({ learnerId: randomUUID() })
  const commits = jest.spyOn(store.db, 'transaction')
  const ends = [...good, taken, nobodys].map((record) => savedTogether(store, rowOf(record), []))
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

test('where the disk is full, who is told that something was kept has it, and nobody else', async () => {
  const store = demo()
  const [kept] = all(store)
  store.db.pragma(`max_page_count = ${(store.db.pragma('page_count', { simple: true }) as number) + 4}`)
  const outcome = { ...kept!.outcome, note: 'n'.repeat(2000) }
  const many = Array.from({ length: 60 }, () => ({ ...kept!, id: randomUUID(), outcome }))
  const ended = await Promise.allSettled(many.map((record) => savedTogether(store, rowOf(record), [])))
  const failed = ended.filter((e) => e.status === 'rejected')
  expect(failed.length).toBeGreaterThan(0)
  for (const { reason } of failed) expect(reason).toMatchObject({ code: 'SQLITE_FULL' })
  const again = makeStore(store.path)
  expect(many.map((r) => again.record(r.id) !== undefined)).toEqual(ended.map((e) => e.status === 'fulfilled'))
})

test('where SQLite itself takes a whole group back, nobody of it is told that something was kept', async () => {
  const store = demo()
  const [kept] = all(store)
  // As it does by itself when it cannot write on in the middle of a transaction.
  store.db.exec(`CREATE TRIGGER no_room BEFORE INSERT ON record WHEN NEW.note = 'too much'
    BEGIN SELECT RAISE(ROLLBACK, 'no room'); END`)
  const many = ['first', 'second', 'too much', 'last'].map((note) => ({
    ...kept!,
    id: randomUUID(),
    outcome: { ...kept!.outcome, note },
  }))
  const ended = await Promise.allSettled(many.map((record) => savedTogether(store, rowOf(record), [])))
  expect(ended.map((e) => e.status)).toEqual(many.map(() => 'rejected'))
  expect(many.filter((r) => store.record(r.id))).toEqual([])
})
