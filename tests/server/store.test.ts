import { listed } from '../../core/number/trail'
import { randomUUID } from 'node:crypto'
import { copyFileSync, existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { seedDemo } from '../../demo/lantern-walk'
import { fileOf, readRecords } from '../../server/utils/keep'
import { takeInAnswers, takeInRecords } from '../../server/utils/takingIn'
import { isTrouble, replayed } from '../../server/utils/replaying'
import { readRehearsals, rehearsalsToFile } from '../../server/utils/rehearsals'
import { makeStore, type Store } from '../../server/utils/store'
import { bytesOf } from './seeded'
import { DEFAULT_CHOICES, WORD_SETS } from '../../core/choices'
import { reopen, type WorkRecord } from '../../core/record/record'
import { parseNotchMap } from '../../core/representation/touch/notches'
import { MIGRATIONS } from '../../server/db/migrations'
import { ANSWERS_A_PAGE } from '../../shared/limits'
import { workSchema, type RecordFile, type RehearsalFile, type SavedRecord } from '../../shared/schemas'

const path = (): string => join(mkdtempSync(join(tmpdir(), 'sett-store-')), 'sett.db')
const all = (store: Store, of: string | null = null): SavedRecord[] => [...store.records(of)]
const toFile = (store: Store): RecordFile =>
  JSON.parse([...fileOf(store, () => store.records(null))].join('')) as RecordFile
/** What is wrong with a record, told by replaying it; undefined where nothing is. */
async function unsound(work: WorkRecord) {
  const made = await replayed(work)
  return isTrouble(made) ? made : undefined
}
const demo = (at = path()): Store => {
  const store = makeStore(at)
  seedDemo(store, new Date('2026-11-24T12:00:00Z'))
  return store
}

test('the demo class is whole: every record replays, and is right when it says so', async () => {
  const store = demo()
  expect(store.learners().map((l) => l.codeName)).toEqual(['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth'])
  const records = all(store)
  expect(records.length).toBeGreaterThan(8)
  for (const r of records) expect(await unsound(r.work as WorkRecord)).toBeUndefined()
  expect(records.filter((r) => !r.outcome.right).map((r) => r.work.problem)).toEqual(['46 + 27', '8 + 7 + 1'])
  seedDemo(store, new Date())
  expect(all(store)).toHaveLength(records.length)
})

test('a list is read page by page to its end, and says where its end is', () => {
  const store = demo()
  const all = store.page({ limit: 1000 }).records.map((r) => r.id)
  expect(all.length).toBeGreaterThan(10)
  for (const limit of [1, 7, all.length - 1, all.length, all.length + 1]) {
    const read: string[] = []
    let [before, pages]: [string | undefined, number] = [undefined, 0]
    do {
      const page = store.page({ limit, ...(before ? { before } : {}) })
      read.push(...page.records.map((r) => r.id))
      before = page.next ?? undefined
      pages += 1
    } while (before !== undefined && pages < 1000)
    expect([limit, pages, read]).toEqual([limit, Math.ceil(all.length / limit), all])
  }
})

test('what is written is on disk for the next opener', () => {
  const at = path()
  const first = demo(at)
  const before = all(first)
  // Opened beside the first, which was never closed.
  expect(all(makeStore(at))).toEqual(before)
})

test('a record saved again is found by the slips it has now, and by no others', () => {
  const store = demo()
  const [record] = all(store)
  const by = (slip: string) => store.page({ limit: 50, slip }).records.map((r) => r.id)
  store.save(record!, ['a slip once seen', 'another one'])
  store.save(record!, ['another one'])
  expect([by('a slip once seen'), by('another one')]).toEqual([[], [record!.id]])
})

test('the answers of a person come a page at a time, however many there are at one moment', () => {
  const store = makeStore(path())
  const count = 2 * ANSWERS_A_PAGE + 7
  const ids = Array.from({ length: count }, () => randomUUID()).sort()
  for (const [i, id] of ids.entries())
    store.keepAnswer({
      id,
      learnerId: null,
      at: 1_790_000_000_000 + Math.floor(i / 700),
      item: 'read 407',
      given: '407',
      right: true,
      ms: 900,
    })
  expect(store.answersAfter(null)).toHaveLength(ANSWERS_A_PAGE)
  expect(store.answers(null).map((a) => a.id)).toEqual(ids)
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

test('a room of the version before keeps its words and choices, with a copy of the file beside it', () => {
  const at = path()
  const db = new Database(at)
  for (const sql of MIGRATIONS.slice(0, 4)) db.exec(sql)
  db.pragma('user_version = 4')
  db.prepare(`INSERT INTO classroom (id, name, words, hands) VALUES (1, 'the Loft', 'regroup', ?)`).run(
    JSON.stringify({ carryMarks: 'below', abacus: { order: 'ones', names: 'friend' } }),
  )
  db.prepare(`INSERT INTO notch_map (id, body) VALUES (1, ?)`).run(
    JSON.stringify({ format: 'sett-notches', version: 1, digits: { 2: [{ counts: 2, at: 0.5, aside: 0 }] } }),
  )
  db.close()
  const store = makeStore(at)
  const room = store.classroom()!
  expect(room).toMatchObject({ name: 'the Loft', words: WORD_SETS.regroup })
  expect(room.hands).toMatchObject({ carryMarks: 'below', abacus: { order: 'ones', names: 'complement' } })
  expect(existsSync(`${at}.before-v5`)).toBe(true)
  expect(parseNotchMap(store.notches()).digits[2]).toHaveLength(2)
  store.setClassroom({ ...room, words: { ...room.words, exchange: 'swap' } })
  expect(makeStore(at).classroom()!.words.exchange).toBe('swap')
})

test('a record of the version before, with a ready set of words and complements named by size, replays as it was', async () => {
  const work = {
    format: 'sett-record',
    version: 1,
    problem: '8 + 7',
    representation: 'abacus',
    also: ['equations'],
    both: null,
    way: 'compensate',
    mode: 'together',
    choices: { ...DEFAULT_CHOICES, words: 'regroup', abacus: { ...DEFAULT_CHOICES.abacus, names: 'friend' } },
    moves: ['ones pinch 3 to bar', 'tens lower 1 to bar', 'ones lower 3 away', 'read 15'].map((move, i) => ({
      at: i * 1000,
      on: 'abacus',
      move,
    })),
  }
  expect(workSchema.safeParse(work).success).toBe(true)
  expect(await unsound(work as unknown as WorkRecord)).toBeUndefined()
  const { now } = reopen(work as unknown as WorkRecord)
  expect(now.standing.value).toBe('15')
  expect(listed(now.stones).find((s) => s.detail?.digits[0]?.rule === 'ten')?.say).toContain(
    'Ten complement: +7 = +10 −3.',
  )
})

test('a file taken into an empty room gives the very same records', async () => {
  const from = demo()
  const into = makeStore(path())
  const file = toFile(from)
  const records = all(from).length
  expect(takeInRecords(into, await readRecords(bytesOf(file)))).toEqual({ added: records, already: 0, learners: 6 })
  expect(takeInRecords(into, await readRecords(bytesOf(file)))).toEqual({ added: 0, already: records, learners: 0 })
  expect(toFile(into)).toEqual(file)
})

test('a file with one bad record is refused whole, at the place', async () => {
  const from = demo()
  const into = makeStore(path())
  const good = toFile(from)
  const broken = structuredClone(good)
  broken.records[3]!.work.moves[1]!.move = 'take 9 thousands'
  let said: { data?: { detail: string; errors: { pointer: string }[] } } = {}
  try {
    takeInRecords(into, await readRecords(bytesOf(broken)))
  } catch (error) {
    said = error as typeof said
  }
  expect(said.data?.detail).toMatch(/^Move 2, “take 9 thousands”, cannot be made: .* Nothing was imported\.$/)
  expect(said.data?.errors[0]?.pointer).toBe('/records/3/work/moves/1')
  expect(all(into)).toEqual([])
  expect(into.learners()).toEqual([])
})

describe('a file of rehearsals', () => {
  const answers = (store: Store, learnerId: string | null): void => {
    const items: [string, string, boolean][] = [
      ['rule 6+7', 'mixed', true],
      ['rule 6+7', 'ten', false],
      ['beads 4+1', 'rod 0 upper 1 to bar; rod 0 lower 4 away', true],
      ['read 407', '470', false],
      ['set 52', '', false],
    ]
    for (const [i, [item, given, right]] of items.entries())
      store.keepAnswer({ id: randomUUID(), learnerId, at: 1_790_000_000_000 + i, item, given, right, ms: 900 * i })
  }

  test('taken into an empty room gives the very same answers, judged anew; a second time changes nothing', async () => {
    const from = demo()
    const [wren] = from.learners()
    from.forgetAnswers(wren!.id)
    answers(from, wren!.id)
    const file = JSON.parse(JSON.stringify(rehearsalsToFile(from, from.answers(wren!.id))))
    expect(file.answers[0]).not.toHaveProperty('right')
    const into = makeStore(path())
    expect(takeInAnswers(into, await readRehearsals(bytesOf(file)))).toEqual({ added: 5, already: 0, learners: 1 })
    expect(takeInAnswers(into, await readRehearsals(bytesOf(file)))).toEqual({ added: 0, already: 5, learners: 0 })
    const there = into.answers(into.learnerNamed(wren!.codeName)!.id)
    expect(there.map(({ learnerId: _, ...a }) => a)).toEqual(from.answers(wren!.id).map(({ learnerId: _, ...a }) => a))
    expect(there.map((a) => a.right)).toEqual([true, false, true, false, false])
  })

  test('the teacher’s own answers stay the teacher’s', async () => {
    const [from, into] = [makeStore(path()), makeStore(path())]
    answers(from, null)
    const file = rehearsalsToFile(from, from.answers(null))
    expect(takeInAnswers(into, await readRehearsals(bytesOf(file)))).toEqual({ added: 5, already: 0, learners: 0 })
    expect(into.answers(null)).toEqual(from.answers(null))
    expect(into.learners()).toEqual([])
  })

  test.each([
    [
      'another format',
      (f: RehearsalFile) => ({ ...f, format: 'sett-records' }),
      'This is not a file of rehearsals.',
      '/format',
    ],
    [
      'a later version',
      (f: RehearsalFile) => ({ ...f, version: 2 }),
      'written by a later Sett (version 2)',
      '/version',
    ],
    ['no list', (f: RehearsalFile) => ({ ...f, answers: null }), 'Nothing was imported.', '/answers'],
    ['a made-up item', with3({ item: 'rule 6+0' }), '“rule 6+0” is nothing to rehearse.', '/answers/3/item'],
    ['a bad name', with3({ learner: '<b>' }), 'A code name is made of letters and digits.', '/answers/3/learner'],
    ['a time before time', with3({ at: 0 }), 'When is wanted', '/answers/3/at'],
  ])('%s is refused whole, at the place', async (_, broken, detail, pointer) => {
    const from = makeStore(path())
    answers(from, null)
    const into = makeStore(path())
    let said: { data?: { detail: string; errors: { pointer: string }[] } } = {}
    try {
      takeInAnswers(into, await readRehearsals(bytesOf(broken(rehearsalsToFile(from, from.answers(null))))))
    } catch (error) {
      said = error as typeof said
    }
    expect(said.data?.detail).toContain(detail)
    expect(said.data?.errors[0]?.pointer).toBe(pointer)
    expect(into.answers(null)).toEqual([])
  })
})

/** A file whose fourth answer has something else in it. */
function with3(over: object): (file: RehearsalFile) => unknown {
  return (file) => ({ ...file, answers: file.answers.map((a, i) => (i === 3 ? { ...a, ...over } : a)) })
}

test('a database of a later Sett is left alone', () => {
  const at = path()
  demo(at).db.close()
  const db = new Database(at)
  db.pragma('user_version = 99')
  db.close()
  expect(() => makeStore(at)).toThrow('made by a later Sett (version 99)')
  expect(existsSync(at)).toBe(true)
})

describe('what an earlier version wrote', () => {
  const kept = (name: string): string => join('tests', 'fixtures', 'v1', name)
  const json = (name: string): unknown => JSON.parse(readFileSync(kept(name), 'utf8'))

  test('its database is brought up to date, every record sound, nothing lost', async () => {
    const at = path()
    copyFileSync(kept('sett.db'), at)
    const store = makeStore(at)
    expect(store.classroom()).toMatchObject({ name: 'the Loft', words: WORD_SETS.regroup })
    expect(store.classroom()!.hands.abacus.names).toBe('complement')
    expect(store.learners().map((l) => l.codeName)).toEqual(['Wren', 'Pip', 'Fen', 'Ash', 'Teal', 'Moth'])
    const records = all(store)
    expect(records).toHaveLength(Object.keys((json('records.json') as { records: object[] }).records).length)
    for (const r of records) expect(await unsound(r.work as WorkRecord)).toBeUndefined()
    expect(parseNotchMap(store.notches()).digits[7]).toHaveLength(7)
  })

  test('its files of records and of rehearsals are read', async () => {
    const store = makeStore(path())
    const file = await readRecords(bytesOf(json('records.json')))
    expect(takeInRecords(store, file)).toMatchObject({ added: file.found.length })
    const answers = await readRehearsals(bytesOf(json('rehearsals.json')))
    takeInAnswers(store, answers)
    expect(answers.found.length).toBeGreaterThan(10)
  })
})
