import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { hold } from '../../server/db/hold'
import { APPLICATION_ID } from '../../server/db/identity'
import { Flipped } from '../../server/db/sums'
import { backupsOf, listBackups, makeBackup, tidyUp, troubleWith } from '../../server/utils/backups'
import { eraseLearner } from '../../server/utils/erasing'
import { daily } from '../../server/utils/keeping'
import { putBack } from '../../server/utils/restoring'
import { beginSession, countTry, digest, inviteTo, personBy } from '../../server/utils/signIn'
import { makeStore } from '../../server/utils/store'
import { all, demo, folder } from './seeded'

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
    copy.exec('DROP TABLE sign_in; ALTER TABLE person DROP COLUMN in_groups')
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

describe('backups', () => {
  test('those made by hand put no daily one out, nor those made before a restore', async () => {
    const store = demo()
    for (let day = 1; day <= 5; day++) await makeBackup(store.path, 14, new Date(Date.UTC(2026, 10, day)), 'daily')
    for (let press = 0; press < 16; press++)
      await makeBackup(store.path, 14, new Date(Date.UTC(2026, 10, 6, 0, press)), 'hand')
    await makeBackup(store.path, 10, new Date(Date.UTC(2026, 10, 7)), 'before')
    const kinds = listBackups(store.path).map((b) => b.kind)
    expect(['daily', 'hand', 'before'].map((kind) => kinds.filter((k) => k === kind).length)).toEqual([5, 14, 1])
    expect(listBackups(store.path)[0]!.kind).toBe('before')
  })

  test('a flipped byte in what a record says is found, when it is read and when a copy is looked through', async () => {
    const store = demo()
    const [record] = all(store)
    store.db
      .prepare("UPDATE record SET body = replace(body, '52 - 37', '53 - 37'), note = note || 'x' WHERE id = ?")
      .run(record!.id)
    expect(() => store.record(record!.id)).toThrow(Flipped)
    expect(() => all(store)).toThrow(Flipped)
    const other = demo()
    const [trial] = [...other.trials(null)]
    other.db.prepare('UPDATE trial SET is_right = 1 - is_right WHERE id = ?').run(trial!.id)
    expect(() => other.trial(trial!.id)).toThrow(Flipped)
    await expect(makeBackup(other.path, 14)).rejects.toThrow('is damaged')
    expect(readdirSync(backupsOf(other.path))).toEqual([])
    // A damaged record can still be deleted.
    store.remove(record!.id)
    expect(all(store).length).toBeGreaterThan(0)
  })

  test('a finished file is on the disk before it gets its name, and its name before anybody is told', async () => {
    const fs = jest.requireActual<typeof import('node:fs')>('node:fs')
    const done: string[] = []
    const sync = jest.spyOn(fs, 'fsyncSync').mockImplementation((file) => {
      done.push(fs.fstatSync(file).isDirectory() ? 'folder' : 'file')
    })
    const move = jest.spyOn(fs, 'renameSync')
    const rename = move.getMockImplementation()
    move.mockImplementation((from, to) => {
      done.push('name')
      fs.copyFileSync(from, to)
      fs.rmSync(from)
    })
    try {
      const store = demo()
      const { name } = await makeBackup(store.path, 14)
      expect(done.slice(-3)).toEqual(['file', 'name', 'folder'])
      store.db.close()
      done.length = 0
      putBack(store.path, name)
      expect(done.slice(-3)).toEqual(['file', 'name', 'folder'])
    } finally {
      sync.mockRestore()
      move.mockImplementation(rename!).mockRestore()
    }
  })
})

describe('files that are not as Sett left them', () => {
  const opened = (path: string): string => {
    try {
      makeStore(path).db.close()
      return ''
    } catch (error) {
      return (error as Error).message
    }
  }

  test('a stranger’s database is told in one sentence, and never written to', () => {
    const stranger = (make: (db: Database.Database) => void): string => {
      const path = join(folder(), 'sett.db')
      const db = new Database(path)
      make(db)
      db.close()
      return path
    }
    const strangers = [
      stranger((db) => db.exec('CREATE TABLE songs (id INTEGER PRIMARY KEY, title TEXT)')),
      stranger((db) => {
        db.exec('CREATE TABLE songs (id INTEGER PRIMARY KEY)')
        db.pragma('user_version = 3')
      }),
      stranger((db) => {
        db.pragma('application_id = 252006674')
        db.pragma('journal_mode = WAL')
        db.exec(
          'CREATE TABLE learner (id TEXT, code_name TEXT); CREATE TABLE record (is_right INTEGER); CREATE TABLE classroom (words TEXT)',
        )
      }),
      stranger((db) => db.pragma('user_version = 5')),
    ]
    for (const path of strangers) {
      const before = readFileSync(path)
      expect(opened(path)).toMatch(/is not Sett’s, and stays as it is\. Choose another folder with SETT_DATA\.$/)
      expect(readFileSync(path).equals(before)).toBe(true)
    }
  })

  test('one of Sett’s own that says version nought, or a log of another database, is told and left alone', () => {
    const store = demo()
    store.db.pragma('user_version = 0')
    store.db.close()
    const before = readFileSync(store.path)
    expect(opened(store.path)).toContain('has lost its version number')
    expect(readFileSync(store.path).equals(before)).toBe(true)

    const own = demo()
    own.db.close()
    const other = new Database(join(folder(), 'other.db'))
    other.pragma('page_size = 8192')
    other.pragma('journal_mode = WAL')
    other.exec("CREATE TABLE songs (title TEXT); INSERT INTO songs VALUES ('one')")
    copyFileSync(`${other.name}-wal`, `${own.path}-wal`)
    const bytes = readFileSync(own.path)
    expect(opened(own.path)).toContain('do not make a whole. If that file came from elsewhere, move it away')
    expect(readFileSync(own.path).equals(bytes)).toBe(true)

    const third = demo()
    third.db.close()
    const same = new Database(join(folder(), 'same.db'))
    same.pragma('journal_mode = WAL')
    same.exec('CREATE TABLE songs (title TEXT)')
    const put = same.prepare('INSERT INTO songs VALUES (?)')
    for (let i = 0; i < 400; i++) put.run('la'.repeat(60))
    copyFileSync(`${same.name}-wal`, `${third.path}-wal`)
    const kept = readFileSync(third.path)
    expect(opened(third.path)).not.toBe('')
    expect(readFileSync(third.path).equals(kept)).toBe(true)
  })

  test('a new database says whose it is, and what is deleted from it is overwritten', () => {
    const store = demo()
    expect(store.db.pragma('application_id', { simple: true })).toBe(APPLICATION_ID)
    expect(store.db.pragma('secure_delete', { simple: true })).toBe(1)
    const note = 'counted the tea-lights under the table'
    const record = { ...all(store)[0]!, id: randomUUID(), outcome: { right: true, help: 'shown' as const, note } }
    store.save(record, [])
    store.db.pragma('wal_checkpoint(TRUNCATE)')
    expect(readFileSync(store.path).includes(note)).toBe(true)
    store.remove(record.id)
    store.db.pragma('wal_checkpoint(TRUNCATE)')
    expect(readFileSync(store.path).includes(note)).toBe(false)
  })

  test('a data folder that others can read is closed; one with other things in it is only told of', () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => {})
    try {
      const store = demo()
      store.db.close()
      const own = dirname(store.path)
      mkdirSync(join(own, 'backups'), { recursive: true })
      for (const path of [own, join(own, 'backups')]) chmodSync(path, 0o755)
      hold(own).release()
      expect([own, join(own, 'backups')].map((path) => statSync(path).mode & 0o777)).toEqual([0o700, 0o700])
      const shared = folder()
      writeFileSync(join(shared, 'letters.txt'), '')
      chmodSync(shared, 0o755)
      hold(shared).release()
      expect(statSync(shared).mode & 0o777).toBe(0o755)
      const lines = said.mock.calls.map(([line]) => String(line))
      expect(lines.filter((l) => l.includes('from now on only you can'))).toHaveLength(2)
      expect(lines.at(-1)).toMatch(/^Others can read .* Close it to them, or choose another folder with SETT_DATA\.$/)
    } finally {
      said.mockRestore()
    }
  })
})
