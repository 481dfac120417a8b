import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { APPLICATION_ID } from '../../server/db/identity'
import { backupsOf, listBackups, makeBackup, tidyUp, troubleWith } from '../../server/utils/backups'
import { eraseLearner } from '../../server/utils/erasing'
import { daily } from '../../server/utils/keeping'
import { putBack } from '../../server/utils/restoring'
import { beginSession, countTry, digest, inviteTo, personBy } from '../../server/utils/signIn'
import { makeStore } from '../../server/utils/store'
import { all, demo } from './seeded'

const rowan = { name: 'Rowan', role: 'keeper', groups: null, learners: [] } as const

describe('what is put back, and what stays ended', () => {
  /** A store with people, and a backup of it; since then one was taken out, one changed the passphrase, and all signed in and out. */
  async function changedSince() {
    const store = demo()
    const [keeper, gone, stays] = [randomUUID(), randomUUID(), randomUUID()]
    store.addPerson({ id: keeper, ...rowan })
    store.setPassphrase(keeper, 'hash before')
    store.addPerson({ id: gone, name: 'Alder', role: 'teacher', groups: null, learners: [] })
    store.addPerson({ id: stays, name: 'Hazel', role: 'helper', groups: [], learners: [store.learners()[0]!.id] })
    const oldCode = inviteTo(store, gone)
    const ended = beginSession(store, gone)
    const { name } = await makeBackup(store.path, 14)
    store.removePerson(gone)
    store.setPassphrase(keeper, 'hash after')
    store.endSession(digest(ended))
    const open = beginSession(store, keeper)
    const code = inviteTo(store, stays)
    const newcomer = randomUUID()
    store.addPerson({ id: newcomer, name: 'Ivy', role: 'teacher', groups: ['Reed'], learners: [] })
    store.note({ at: 1, who: 'Rowan', what: 'took out', about: 'Alder' })
    countTry(store, keeper, '10.0.0.1')
    const [record] = all(store)
    store.remove(record!.id)
    store.db.close()
    return { path: store.path, name, open, ended, code, oldCode, record: record! }
  }
  const people = (path: string): readonly string[] => {
    const store = makeStore(path)
    const found = store
      .people()
      .map((p) => `${p.name} ${p.role} ${p.passphrase} ${JSON.stringify(p.groups)} ${p.learners.length}`)
    store.db.close()
    return found
  }

  test('people, passphrases, codes and the log stay as they are now; records come back; every session ends', async () => {
    const { path, name, open, ended, code, oldCode, record } = await changedSince()
    const now = people(path)
    expect(putBack(path, name)).toBe('now')
    expect(people(path)).toEqual(now)
    const back = makeStore(path)
    expect(back.record(record.id)).toEqual(record)
    expect([open, ended].map((token) => personBy(back, token))).toEqual([undefined, undefined])
    const plain = (typed: string): string => digest(typed.replaceAll('-', ''))
    expect([back.invited(plain(code), 0) !== undefined, back.invited(plain(oldCode), 0)]).toEqual([true, undefined])
    expect(back.happenings(1e9, 9).map((h) => h.about)).toContain('Alder')
    expect(back.db.prepare('SELECT count(*) FROM sign_in').pluck().get()).toBeGreaterThan(0)
    expect(back.db.pragma('foreign_key_check')).toEqual([])
  })

  test('said so, people come from the backup too; the log still stays, and every session ends', async () => {
    const { path, name, open, ended } = await changedSince()
    expect(putBack(path, name, 'backup')).toBe('backup')
    expect(people(path).map((p) => p.split(' ').slice(0, 4).join(' '))).toEqual([
      'Alder teacher null null',
      'Hazel helper null []',
      'Rowan keeper hash before',
    ])
    const back = makeStore(path)
    expect([open, ended].map((token) => personBy(back, token))).toEqual([undefined, undefined])
    expect(back.happenings(1e9, 9).map((h) => h.about)).toContain('Alder')
  })

  test('where what is there is too damaged to be read, people come from the backup, and no code of then opens anything', async () => {
    const { path, name, oldCode } = await changedSince()
    writeFileSync(path, Buffer.alloc(50_000, 7))
    expect(putBack(path, name)).toBe('backup')
    const back = makeStore(path)
    expect(back.people().map((p) => p.name)).toEqual(['Alder', 'Hazel', 'Rowan'])
    expect(back.invited(digest(oldCode.replaceAll('-', '')), 0)).toBeUndefined()
  })

  test('a backup of an earlier version is brought up to date as it is laid ready', async () => {
    const store = demo()
    const { name } = await makeBackup(store.path, 14)
    const copy = new Database(join(backupsOf(store.path), name))
    copy.exec('DROP TABLE told_step; DROP TABLE sign_in; ALTER TABLE person DROP COLUMN in_groups')
    for (const table of ['record', 'trial']) copy.exec(`ALTER TABLE ${table} DROP COLUMN body_sum`)
    copy.exec('DROP INDEX record_to_look_at; ALTER TABLE record DROP COLUMN looked')
    for (const index of ['record_days', 'trial_days', 'rehearsal_days', 'slip_by_learner', 'trial_slip_by_learner'])
      copy.exec(`DROP INDEX ${index}`)
    for (const table of ['record', 'trial', 'rehearsal', 'record_slip', 'trial_slip'])
      copy.exec(`ALTER TABLE ${table} DROP COLUMN on_day`)
    for (const table of ['record_slip', 'trial_slip']) copy.exec(`ALTER TABLE ${table} DROP COLUMN learner_id`)
    copy.exec('CREATE INDEX record_days ON record (learner_id); CREATE INDEX trial_days ON trial (learner_id)')
    copy.pragma('user_version = 13')
    copy.pragma('application_id = 0')
    copy.close()
    const before = all(store)
    store.db.close()
    putBack(store.path, name)
    const back = makeStore(store.path)
    expect(all(back)).toEqual(before)
    expect(back.db.pragma('application_id', { simple: true })).toBe(APPLICATION_ID)
    // No copy from before a migration is left beside it: the backup itself is that copy.
    expect(readdirSync(dirname(store.path)).filter((f) => f.includes('before-v'))).toEqual([])
  })
})

describe('what is broken off leaves nothing', () => {
  test('where the disk is full a restore says so, and what was there stays', async () => {
    const fs = jest.requireActual<typeof import('node:fs')>('node:fs')
    const store = demo()
    const { name } = await makeBackup(store.path, 14)
    const before = all(store)
    store.db.close()
    const full = Object.assign(new Error('no space left on device'), { code: 'ENOSPC' })
    const copying = jest.spyOn(fs, 'copyFileSync').mockImplementation((_, to) => {
      fs.writeFileSync(to, 'half of it')
      throw full
    })
    try {
      expect(() => putBack(store.path, name)).toThrow(full)
    } finally {
      copying.mockRestore()
    }
    expect(existsSync(`${store.path}.next`)).toBe(false)
    expect(all(makeStore(store.path))).toEqual(before)
    // Looking at a copy leaves nothing beside it either.
    expect(readdirSync(backupsOf(store.path))).toEqual([name])
  })

  test('leftovers of backups and restores go at the start and daily, and what another process is at stays', async () => {
    const store = demo()
    const { name } = await makeBackup(store.path, 14)
    const copy = join(backupsOf(store.path), name)
    const dead = spawnSync(process.execPath, ['-e', '0']).pid
    const left = [
      `${copy}.part`,
      `${copy}.part-wal`,
      `${copy}.${dead}.part`,
      `${copy}.${dead}.part-shm`,
      `${store.path}.next`,
      `${store.path}.next-wal`,
    ]
    const others = `${copy}.${process.ppid}.part`
    const lay = (): void => [...left, others].forEach((file) => copyFileSync(copy, file))
    lay()
    expect(tidyUp(store.path)).toBe(left.length)
    expect([left.some(existsSync), existsSync(others), existsSync(copy)]).toEqual([false, true, true])
    lay()
    await daily(() => store)
    expect(left.filter(existsSync)).toEqual([])
  })

  test('erasing goes through every file beside the database, whatever it is called, and says what it could not read', async () => {
    const store = demo()
    const [wren] = store.learners()
    const { name } = await makeBackup(store.path, 14)
    const copy = join(backupsOf(store.path), name)
    const beside = dirname(store.path)
    mkdirSync(join(beside, 'old'))
    for (const file of [
      join(beside, 'sett copy.db'),
      join(beside, 'old', 'before the holidays'),
      `${copy}.${process.ppid}.part`,
    ])
      copyFileSync(copy, file)
    const foreign = new Database(join(beside, 'other.db'))
    foreign.exec("CREATE TABLE learner (id TEXT, name TEXT); INSERT INTO learner VALUES ('x', 'stays')")
    foreign.close()
    const untouched = readFileSync(join(beside, 'other.db'))
    writeFileSync(join(beside, 'notes.txt'), 'who knows')
    const receipt = await eraseLearner(() => store, wren!.id)
    expect([receipt!.copies, receipt!.unread]).toEqual([4, ['notes.txt']])
    const files = readdirSync(beside, { recursive: true, withFileTypes: true }).filter((f) => f.isFile())
    const holding = files.filter((f) => readFileSync(join(f.parentPath, f.name)).includes(wren!.id)).map((f) => f.name)
    expect(holding).toEqual(['sett.db'])
    // What is left in the database itself is the bare identifier, so that no old file brings the learner back.
    expect(store.db.prepare('SELECT kind FROM erased WHERE id = ?').pluck().get(wren!.id)).toBe('learner')
    expect(readFileSync(join(beside, 'other.db')).equals(untouched)).toBe(true)
  })

  test('the code name goes from the log and from kept searches too, here and in copies, and nobody else’s', async () => {
    const store = demo()
    const id = randomUUID()
    store.addLearner({ id, codeName: 'Grasshopper' })
    store.addPerson({ id: randomUUID(), ...rowan, name: 'Grasshopper Green' })
    store.note({ at: 1, who: 'Rowan', what: 'read everything kept of', about: 'Grasshopper' })
    store.note({ at: 2, who: 'Rowan', what: 'kept a print set', about: 'for grasshopper and Wren' })
    store.note({ at: 3, who: 'Rowan', what: 'invited as keeper', about: 'Grasshopper Green' })
    store.note({ at: 4, who: 'Rowan', what: 'chose a course', about: 'Grasshoppers in the meadow' })
    const searches = {
      searches: [
        { name: 'hers', find: { learner: id } },
        { name: 'Grasshopper’s slips', find: {} },
        { name: 'others', find: { learner: store.learners()[0]!.id } },
      ],
      version: 3,
    }
    store.set('searches/somebody', searches)
    await makeBackup(store.path, 14)
    await eraseLearner(() => store, id)
    const log = (db: Database.Database): unknown => db.prepare('SELECT about FROM happening ORDER BY id').pluck().all()
    const wanted = ['a learner', 'for a learner and Wren', 'Grasshopper Green', 'Grasshoppers in the meadow']
    expect(log(store.db)).toEqual(wanted)
    expect(store.setting('searches/somebody')).toEqual({ searches: [searches.searches[2]], version: 3 })
    const [backup] = listBackups(store.path)
    const copy = new Database(join(backupsOf(store.path), backup!.name), { readonly: true })
    expect(log(copy)).toEqual(wanted)
    copy.close()
  })

  test('a learner whom a restore took away while copies were being done stays away, and is gone from what it left', async () => {
    const store = demo()
    const [wren] = store.learners()
    await makeBackup(store.path, 14)
    let told = 0
    const receipt = await eraseLearner(
      () => store,
      wren!.id,
      new Date(),
      undefined,
      () => {
        told += 1
        if (told !== 2) return
        // As a restore leaves it: without the learner, and with a backup from just before it.
        copyFileSync(
          join(backupsOf(store.path), listBackups(store.path)[0]!.name),
          join(dirname(store.path), 'sett.db.other'),
        )
        store.db.prepare('DELETE FROM learner WHERE id = ?').run(wren!.id)
      },
    )
    expect(receipt?.learner).toBe(wren!.codeName)
    expect(store.erasedAt(wren!.id)).toBeDefined()
  })

  test('a stranger’s file beside the database stays as it is, its own log too', async () => {
    const store = demo()
    const path = join(dirname(store.path), 'other.db')
    const stranger = new Database(path)
    stranger.pragma('journal_mode = WAL')
    stranger.pragma('wal_autocheckpoint = 0')
    stranger.exec("CREATE TABLE songs (title TEXT); INSERT INTO songs VALUES ('one')")
    // As a process leaves it that was killed.
    const [file, log] = [readFileSync(path), readFileSync(`${path}-wal`)]
    stranger.close()
    writeFileSync(path, file)
    writeFileSync(`${path}-wal`, log)
    await eraseLearner(() => store, store.learners()[0]!.id)
    expect([readFileSync(path).equals(file), readFileSync(`${path}-wal`).equals(log)]).toEqual([true, true])
  })

  test('without room erasing does not begin; where it fails all the same, the learner is still there', async () => {
    const store = demo()
    const [wren] = store.learners()
    await makeBackup(store.path, 14)
    const before = {
      records: all(store),
      copy: troubleWith(join(backupsOf(store.path), listBackups(store.path)[0]!.name)),
    }
    await expect(
      eraseLearner(
        () => store,
        wren!.id,
        new Date(),
        undefined,
        () => {},
        () => 100_000,
      ),
    ).rejects.toMatchObject({
      statusCode: 507,
      data: { detail: expect.stringContaining('Nothing was erased') },
    })
    expect([all(store), store.hasLearner(wren!.id)]).toEqual([before.records, true])
    const [backup] = listBackups(store.path)
    const copy = new Database(join(backupsOf(store.path), backup!.name), { readonly: true })
    expect(copy.prepare('SELECT 1 FROM learner WHERE id = ?').get(wren!.id)).toBeDefined()
    copy.close()
    const receipt = await eraseLearner(() => store, wren!.id)
    expect(receipt!.copies).toBe(1)
  })
})
