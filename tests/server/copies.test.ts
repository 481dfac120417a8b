import { randomUUID } from 'node:crypto'
import { Flipped } from '../../server/db/sums'
import { listBackups, makeBackup } from '../../server/utils/backups'
import { rowOf } from '../../server/db/records'
import { everythingOf } from '../../server/utils/erasing'
import { fileOf } from '../../server/utils/keep'
import { lookThroughLater } from '../../server/utils/lookingThrough'
import { mayKeepRecord } from '../../server/utils/saving'
import { fileSchema } from '../../shared/schemas'
import { daily } from '../../server/utils/keeping'
import { putBack } from '../../server/utils/restoring'
import { makeStore } from '../../server/utils/store'
import { all, demo } from './seeded'

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

  /** A store in which a byte of one record and of one trial was flipped on the disk. */
  function flipped() {
    const store = demo()
    const [record] = all(store)
    const [trial] = [...store.trials(null)]
    store.db
      .prepare("UPDATE record SET body = replace(body, 'sett-record', 'sett-recorD') WHERE id = ?")
      .run(record!.id)
    store.db.prepare('UPDATE trial SET is_right = 1 - is_right WHERE id = ?').run(trial!.id)
    return { store, record: record!, trial: trial! }
  }

  test('a flipped byte is found when it is read, and named in files beside all that is whole', () => {
    const { store, record, trial } = flipped()
    expect(() => store.record(record.id)).toThrow(Flipped)
    expect(() => store.trial(trial.id)).toThrow(Flipped)
    const whole = JSON.parse([...fileOf(store, (damaged) => store.records(null, damaged))].join('')) as {
      records: { id: string }[]
      damaged: string[]
    }
    expect(whole.damaged).toEqual([record.id])
    expect(whole.records.length).toBe(all(demo()).length - 1)
    expect(fileSchema.safeParse(whole).success).toBe(true)
    const theirs = JSON.parse([...everythingOf(store, store.learner(record.learnerId)!)].join('')) as {
      damaged: string[]
    }
    expect(theirs.damaged).toContain(record.id)
  })

  test('a flipped byte keeps nothing else from being backed up, put back or looked through, and is counted', async () => {
    const { store, record } = flipped()
    const others = [...store.records(null, () => {})]
    const made = await makeBackup(store.path, 14)
    expect(made.damaged).toBe(2)
    expect((await makeBackup(demo().path, 14)).damaged).toBe(0)
    await daily(() => store, new Date(Date.parse(made.at) + 25 * 3_600_000))
    expect(store.happenings(1e9, 1)[0]).toMatchObject({ what: 'found records damaged on the disk', about: '2' })
    // One that still waits to be looked through does not stop those after it.
    const waiting = { ...others[0]!, id: randomUUID() }
    store.save(waiting, null)
    store.db.prepare('UPDATE record SET looked = 0 WHERE id = ?').run(record.id)
    await lookThroughLater(() => store)
    expect(store.toLookThrough(9)).toEqual([])
    store.db.close()
    putBack(store.path, made.name)
    expect([...makeStore(store.path).records(null, () => {})]).toEqual(others)
  })

  test('the same work sent again makes a damaged record whole, other work does not, and it can be deleted', () => {
    const { store, record } = flipped()
    expect(mayKeepRecord(store, rowOf(record))).toBe('new')
    expect(() => mayKeepRecord(store, rowOf({ ...record, startedAt: '2020-01-01T00:00:00.000Z' }))).toThrow()
    store.save(record, [])
    expect(store.record(record.id)).toEqual(record)
    const again = flipped()
    again.store.remove(again.record.id)
    expect(again.store.recordHead(again.record.id)).toBeUndefined()
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
