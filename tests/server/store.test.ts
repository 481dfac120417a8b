import { mkdtempSync, existsSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { seedDemo } from '../../demo/lantern-walk'
import { readFile, takeIn, toFile, unsound } from '../../server/utils/keep'
import { makeStore, type Store } from '../../server/utils/store'
import type { WorkRecord } from '../../core/record/record'

const path = (): string => join(mkdtempSync(join(tmpdir(), 'sett-store-')), 'sett.db')
const demo = (at = path()): Store => {
  const store = makeStore(at)
  seedDemo(store, new Date('2026-11-24T12:00:00Z'))
  return store
}

test('the demo class is whole: every record replays, and is right when it says so', () => {
  const store = demo()
  expect(store.learners().map((l) => l.codeName)).toEqual(['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth'])
  const records = store.records(null)
  expect(records.length).toBeGreaterThan(8)
  for (const r of records) expect(unsound(r.work as WorkRecord)).toBeUndefined()
  expect(records.filter((r) => !r.outcome.right).map((r) => r.work.problem)).toEqual(['38 + 24', '8 + 7 + 1'])
  seedDemo(store, new Date())
  expect(store.records(null)).toHaveLength(records.length)
})

test('what is written is on disk for the next opener', () => {
  const at = path()
  const first = demo(at)
  const before = first.records(null)
  // Opened beside the first, which was never closed.
  expect(makeStore(at).records(null)).toEqual(before)
})

test('the tables themselves refuse what must not be', () => {
  const { db } = demo()
  const insert = (over: object): void => {
    const row = {
      id: '0'.repeat(36),
      learner: '00000000-0000-4000-8000-000000001000',
      duration: 5,
      mode: 'show',
      right: 1,
      help: 'shown',
      note: '',
      body: '{}',
      ...over,
    }
    db.prepare(
      `INSERT INTO record (id, learner_id, started_at, duration_ms, problem, mode, is_right, help, note, body) VALUES (@id, @learner, '2026-11-24T10:00:00Z', @duration, '1 + 1', @mode, @right, @help, @note, @body)`,
    ).run(row)
  }
  expect(() => insert({ learner: 'nobody' })).toThrow('FOREIGN KEY')
  expect(() => insert({ mode: 'aside' })).toThrow('CHECK')
  expect(() => insert({ help: 'all' })).toThrow('CHECK')
  expect(() => insert({ body: '{' })).toThrow('CHECK')
  expect(() => insert({ duration: -1 })).toThrow('CHECK')
  expect(() => insert({ right: 2 })).toThrow('CHECK')
  insert({})
})

test('deleting a learner deletes the records, and only theirs', () => {
  const store = demo()
  const [wren] = store.learners()
  const others = store.records(null).filter((r) => r.learnerId !== wren!.id)
  expect(store.removeLearner(wren!.id)).toBe(true)
  expect(store.records(null)).toEqual(others)
  expect(store.removeLearner(wren!.id)).toBe(false)
})

test('a file taken into an empty room gives the very same records', () => {
  const from = demo()
  const into = makeStore(path())
  const file = JSON.parse(JSON.stringify(toFile(from, from.records(null))))
  const records = from.records(null).length
  expect(takeIn(into, readFile(file))).toEqual({ added: records, already: 0, learners: 6 })
  expect(takeIn(into, readFile(file))).toEqual({ added: 0, already: records, learners: 0 })
  expect(toFile(into, into.records(null))).toEqual(file)
})

test('a file with one bad record is refused whole, at the place', () => {
  const from = demo()
  const into = makeStore(path())
  const good = toFile(from, from.records(null))
  const broken = structuredClone(good)
  broken.records[3]!.work.moves[1]!.move = 'take 9 thousands'
  let said: { data?: { detail: string; errors: { pointer: string }[] } } = {}
  try {
    takeIn(into, readFile(broken))
  } catch (error) {
    said = error as typeof said
  }
  expect(said.data?.detail).toMatch(/^Move 2, “take 9 thousands”, cannot be made: .* Nothing was taken in\.$/)
  expect(said.data?.errors[0]?.pointer).toBe('/records/3/work/moves/1')
  expect(into.records(null)).toEqual([])
  expect(into.learners()).toEqual([])
})

test('a database of a later Sett is left alone', () => {
  const at = path()
  demo(at).db.close()
  const db = new Database(at)
  db.pragma('user_version = 99')
  db.close()
  expect(() => makeStore(at)).toThrow('made by a later Sett (version 99)')
  expect(existsSync(at)).toBe(true)
})
