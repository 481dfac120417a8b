import { randomUUID } from 'node:crypto'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { enter, openBench, parseProblem, recordOf } from '../../core/index'
import { daily, setKeeping } from '../../server/utils/keeping'
import { answersAlone, markPage } from '../../server/utils/marking'
import { makeStore } from '../../server/utils/store'
import { KEEPING_AT_FIRST } from '../../shared/people'
import type { KeptMarking, AnsweredAlone } from '../../shared/marking'
import type { SavedRecord } from '../../shared/schemas'
import { serve } from '../browser/world'

const folder = (): string => mkdtempSync(join(tmpdir(), 'sett-marking-'))
const PAGE = [
  { problem: '52 - 37', answer: '25' },
  { problem: '81 - 38', answer: '57' },
  { problem: '64 - 21', answer: '43' },
  { problem: '70 - 46', answer: '36' },
]

/** A record of a problem answered alone on blocks, whatever the answer. */
function alone(problem: string, answer: string): SavedRecord['work'] {
  let bench = openBench(
    { problem: parseProblem(problem), representation: 'blocks', way: 'ones-first', also: ['equations'] },
    'alone',
  )
  bench = enter(bench, { at: 1000, on: 'blocks', move: `read ${answer}` })
  return recordOf(bench) as SavedRecord['work']
}

describe('through the API', () => {
  let app: Awaited<ReturnType<typeof serve>>
  let learner = ''
  const call = async (method: string, path: string, body?: unknown) => {
    const answer = await fetch(app.url + path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    })
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
  }
  const page = (over: object = {}) => ({
    id: randomUUID(),
    learnerId: learner,
    markedAt: '2026-11-24T09:30:00.000Z',
    with: 'paper',
    items: PAGE,
    ...over,
  })

  beforeAll(async () => {
    app = await serve({ demo: true })
    const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: { id: string }[] }
    learner = learners[0]!.id
  })
  afterAll(() => app.stop())

  test('a page is kept with what it says, once however often it is sent, and withdrawn with a word', async () => {
    const sent = page()
    const kept = (await call('POST', '/api/markings', sent)).body as unknown as KeptMarking
    expect(kept.said.ranked[0]).toMatchObject({ bug: ['smaller-from-larger'] })
    expect(kept.said.ranked[0]!.probability).toBeGreaterThan(0.8)
    expect((await call('POST', '/api/markings', sent)).status).toBe(200)
    await call('POST', '/api/markings', page({ markedAt: '2026-11-25T09:30:00.000Z' }))
    const all = (await call('GET', `/api/markings?learner=${learner}`)).body as unknown as KeptMarking[]
    expect(all.map((m) => m.markedAt.slice(0, 10))).toEqual(['2026-11-25', '2026-11-24'])
    const withdrawn = await call('PUT', `/api/markings/${sent.id}`, { withdrawn: ' copied from the neighbour ' })
    expect(withdrawn.body).toMatchObject({ withdrawn: 'copied from the neighbour', items: PAGE })
    expect((await call('PUT', `/api/markings/${sent.id}`, { withdrawn: null })).body).toMatchObject({ withdrawn: null })
  })

  test('what cannot be read is told by its line, and nothing of it is kept', async () => {
    const told = async (over: object): Promise<[number, string]> => {
      const { status, body } = await call('POST', '/api/markings', page(over))
      return [status, JSON.stringify(body)]
    }
    const [status, text] = await told({ items: [...PAGE, { problem: '52 - -', answer: '1' }] })
    expect([status, text]).toEqual([422, expect.stringContaining('Line 5')])
    expect(text).toContain('/items/4')
    for (const [over, why] of [
      [{ items: [] }, 'one problem at least'],
      [{ items: Array(61).fill(PAGE[0]) }, 'at most 60'],
      [{ with: 'magic' }, /./],
      [{ learnerId: randomUUID() }, 'no such learner'],
      [{ markedAt: 'yesterday' }, 'a date and a time'],
    ] as const) {
      const [code, said] = await told(over)
      expect([code, said]).toEqual([422, expect.stringMatching(why)])
    }
    expect((await call('GET', '/api/markings?learner=x')).status).toBe(422)
    expect((await call('PUT', `/api/markings/${randomUUID()}`, { withdrawn: 'why' })).status).toBe(404)
    expect((await call('PUT', `/api/markings/${randomUUID()}`, { withdrawn: '' })).status).toBe(422)
  })

  test('what was answered alone at the Bench is there to be marked', async () => {
    for (const [i, [problem, answer]] of [
      ['52 - 37', '25'],
      ['40 - 16', '36'],
    ].entries())
      await call('POST', '/api/records', {
        id: randomUUID(),
        learnerId: learner,
        startedAt: `2026-11-26T09:0${i}:00.000Z`,
        work: alone(problem!, answer!),
        outcome: { right: false, help: 'independent', note: '' },
      })
    const { items } = (await call('GET', `/api/markings/worked?learner=${learner}`)).body as unknown as AnsweredAlone
    expect(items.slice(-2).map((i) => [i.problem, i.answer])).toEqual([
      ['52 - 37', '25'],
      ['40 - 16', '36'],
    ])
  })
})

test('pages go with the rule for records, and only then', async () => {
  const store = makeStore(join(folder(), 'sett.db'))
  const id = randomUUID()
  store.addLearner({ id, codeName: 'Siskin' })
  const said = markPage({ items: PAGE, with: 'paper' })
  if ('pointer' in said) throw new Error(said.detail)
  for (const markedAt of ['2025-01-10T09:00:00.000Z', '2026-11-10T09:00:00.000Z'])
    store.keepMarking({ id: randomUUID(), learnerId: id, markedAt, with: 'paper', items: PAGE, said })
  setKeeping(store, { ...KEEPING_AT_FIRST, recordMonths: 12 }, Date.parse('2026-11-20T00:00:00Z'))
  await daily(() => store, new Date('2026-11-24T00:00:00Z'))
  expect(store.markings(id).map((m) => m.markedAt.slice(0, 4))).toEqual(['2026'])
})

test('work that cannot be marked, was not done alone, or was not answered is left out', async () => {
  const store = makeStore(join(folder(), 'sett.db'))
  const id = randomUUID()
  store.addLearner({ id, codeName: 'Siskin' })
  const record = (work: SavedRecord['work'], minute: number) =>
    store.save(
      {
        id: randomUUID(),
        learnerId: id,
        startedAt: `2026-11-24T09:${minute}:00.000Z`,
        work,
        outcome: { right: false, help: 'independent', note: '' },
      },
      [],
    )
  record(alone('52 - 37', '25'), 10)
  record({ ...alone('61 - 25', '36'), mode: 'together' }, 11)
  record({ ...alone('61 - 26', '35'), moves: [] }, 12)
  expect((await answersAlone(store, id)).map((i) => i.problem)).toEqual(['52 - 37'])
})
