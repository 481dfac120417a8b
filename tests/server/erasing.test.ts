import { randomUUID } from 'node:crypto'
import { copyFileSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { backupsOf, makeBackup } from '../../server/utils/backups'
import { putBack } from '../../server/utils/restoring'
import { eraseLearner } from '../../server/utils/erasing'
import { daily } from '../../server/utils/keeping'
import { fileOf, readRecords } from '../../server/utils/keep'
import { takeInRecords } from '../../server/utils/takingIn'
import { makeStore } from '../../server/utils/store'
import type { RecordFile } from '../../shared/schemas'
import { serve } from '../browser/world'
import { all, bytesOf, demo, everything, folder } from './seeded'

describe('erasing', () => {
  /** Every byte that lies in a data folder. */
  const bytes = (path: string): string =>
    readdirSync(path, { recursive: true, withFileTypes: true })
      .filter((f) => f.isFile())
      .map((f) => readFileSync(join(f.parentPath, f.name), 'latin1'))
      .join('')

  test('it goes for good, from the database, its log and every copy; the others stay', async () => {
    const data = folder()
    const store = demo(join(data, 'sett.db'))
    const name = 'Grasshopperwarbler'
    const id = randomUUID()
    store.addLearner({ id, codeName: name })
    const secret = 'counted the tea-lights under the table'
    const record = {
      ...all(store)[0]!,
      id: randomUUID(),
      learnerId: id,
      outcome: { right: true, help: 'shown' as const, note: secret },
    }
    store.save(record, ['left a coin out'])
    store.keepAnswer({
      id: randomUUID(),
      learnerId: id,
      at: 1_790_000_000_000,
      item: 'read 407',
      given: 'grasshopper',
      right: false,
      ms: 9,
    })
    store.keepMarking({
      id: randomUUID(),
      learnerId: id,
      markedAt: '2026-11-20T09:00:00.000Z',
      with: 'paper',
      items: [{ problem: '52 - 37', answer: '8765' }],
      said: { ranked: [], none: 1 },
    })
    const [story] = [...store.trials(null)]
    store.keepTrial(
      { ...story!, id: randomUUID(), learnerId: id, note: 'toadstool' },
      { durationMs: 1, problem: '1 + 1', step: '', material: '', mode: 'alone', slips: ['lost the unit'] },
    )
    await makeBackup(store.path, 14)
    const [others, otherAnswers] = [all(store).filter((r) => r.learnerId !== id), store.answers(null)]
    expect(bytes(data)).toContain(secret)
    const file = everything(store, id)
    expect(file).toMatchObject({
      learner: name,
      records: [{ outcome: { note: secret }, slips: ['left a coin out'] }],
      answers: [{ given: 'grasshopper' }],
      markings: [{ items: [{ answer: '8765' }] }],
    })
    const receipt = await eraseLearner(() => store, id, new Date('2026-11-24T12:00:00Z'))
    expect(receipt).toEqual({
      learner: name,
      records: 1,
      trials: 1,
      notes: 2,
      answers: 1,
      markings: 1,
      lessons: 0,
      recordings: 0,
      copies: 1,
      unread: [],
      at: '2026-11-24T12:00:00.000Z',
    })
    const left = bytes(data)
    for (const gone of [
      secret,
      name,
      name.toLowerCase(),
      'grasshopper',
      '8765',
      'toadstool',
      record.id.slice(0, 8) + '-never',
    ])
      expect(left).not.toContain(gone)
    expect([all(store), store.answers(null)]).toEqual([others, otherAnswers])
    expect(await eraseLearner(() => store, id)).toBeUndefined()
    expect(store.erasedAt(record.id)).toBeDefined()
    expect(store.db.pragma('foreign_key_check')).toEqual([])
  })

  test('the file is written anew: no page that once held something is left unused in it', async () => {
    const store = demo()
    const id = randomUUID()
    store.addLearner({ id, codeName: 'Siskin' })
    const [record] = all(store)
    for (let i = 0; i < 60; i++) store.save({ ...record!, id: randomUUID(), learnerId: id }, [])
    await eraseLearner(() => store, id)
    expect(store.db.pragma('freelist_count', { simple: true })).toBe(0)
  })

  test('neither an old file nor a restored backup brings anybody back', async () => {
    const store = demo()
    const [wren] = store.learners()
    const file = JSON.parse([...fileOf(store, () => store.records(null))].join('')) as RecordFile
    const hers = file.records.filter((r) => r.learner === wren!.codeName).length
    const { name } = await makeBackup(store.path, 14)
    const copy = join(backupsOf(store.path), name)
    const untouched = join(folder(), name)
    copyFileSync(copy, untouched)
    await eraseLearner(() => store, wren!.id)
    expect(takeInRecords(store, await readRecords(bytesOf(file)))).toEqual({
      added: 0,
      already: file.records.length,
      learners: 0,
    })
    expect(hers).toBeGreaterThan(0)
    // Not even a copy that lay on another disk while it was erased.
    copyFileSync(untouched, copy)
    store.db.close()
    putBack(store.path, name)
    const back = makeStore(store.path)
    expect(back.learnerNamed(wren!.codeName)).toBeUndefined()
    expect(back.erasedAt(wren!.id)).toBeDefined()
    // A keeper may say otherwise.
    const record = file.records.find((r) => r.learner === wren!.codeName)!
    back.allowBack(record.id)
    expect(takeInRecords(back, await readRecords(bytesOf({ ...file, records: [record] })))).toEqual({
      added: 1,
      already: 0,
      learners: 1,
    })
  })

  test('a copy that comes back from elsewhere, or was missed when a process was killed, loses them the next day', async () => {
    const data = folder()
    const store = demo(join(data, 'sett.db'))
    const id = randomUUID()
    store.addLearner({ id, codeName: 'Grasshopperwarbler' })
    const { name } = await makeBackup(store.path, 14)
    const copy = join(backupsOf(store.path), name)
    const elsewhere = join(folder(), name)
    copyFileSync(copy, elsewhere)
    await eraseLearner(() => store, id)
    copyFileSync(elsewhere, copy)
    expect(bytes(data)).toContain('Grasshopperwarbler')
    await daily(() => store)
    expect(bytes(data)).not.toContain('Grasshopperwarbler')
    expect(bytes(data)).toContain('Wren')
  })

  test('by a server: what is sent late is gone, and says so', async () => {
    const app = await serve({ demo: true })
    try {
      const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: { id: string }[] }
      const { id } = learners[0]!
      const { records } = (await (await fetch(`${app.url}/api/records?learner=${id}`)).json()) as {
        records: { id: string; kind: string }[]
      }
      const worked = records.filter((r) => r.kind === 'bench')
      const record = await (await fetch(`${app.url}/api/records/${records[0]!.id}`)).json()
      const erased = await fetch(`${app.url}/api/learners/${id}`, { method: 'DELETE' })
      expect(await erased.json()).toMatchObject({ records: worked.length, trials: records.length - worked.length })
      const late = await fetch(`${app.url}/api/records`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(record),
      })
      expect([late.status, ((await late.json()) as { detail: string }).detail]).toEqual([
        410,
        expect.stringContaining('erased for good'),
      ])
      expect((await fetch(`${app.url}/api/learners/${id}`)).status).toBe(404)
      const back = await fetch(`${app.url}/api/learners`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, codeName: 'Wren' }),
      })
      expect(back.status).toBe(410)
    } finally {
      await app.stop()
    }
  })
})
