import { randomUUID } from 'node:crypto'
import '../../core/index'
import { codeOfList } from '../../core/paper/index'
import { sheetSchema, type PrintSet } from '../../shared/prints'
import { SHEET_GROUPS } from '../../app/utils/sheets'
import { serve } from '../browser/world'

/** Print sets and printed lists through the API, on a real database. */

const setOf = (over: Partial<PrintSet> = {}): PrintSet => ({
  id: randomUUID(),
  title: 'Lantern walk, one exchange',
  setting: { paper: 'A4', perPage: 2, big: false, tactile: false },
  problems: '52 - 37\n61 - 25',
  sheets: [
    { sheet: { kind: 'problems', layout: 'squares', shown: 'blank' }, copies: 6 },
    { sheet: { kind: 'mat', mat: 'chart', places: 2, decimals: 0, rows: 1 }, copies: 2 },
  ],
  version: 0,
  ...over,
})

let app: Awaited<ReturnType<typeof serve>>
beforeAll(async () => {
  app = await serve({ demo: true })
})
afterAll(() => app.stop())
const call = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(app.url + path, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  })
  return { status: answer.status, body: (await answer.json()) as never as Record<string, never> & { detail: string } }
}

test('a print set is kept, changed from the version that is there, and removed', async () => {
  const set = setOf()
  const path = `/api/prints/${set.id}`
  expect((await call('PUT', path, set)).body).toEqual({ ...set, version: 1 })
  // Sent again since the answer was lost: it is one.
  expect((await call('PUT', path, set)).status).toBe(200)
  const other = await call('PUT', path, { ...set, title: 'Something else' })
  expect([other.status, other.body.detail]).toEqual([409, 'Somebody has changed this print set since. Load it again.'])
  const changed = await call('PUT', path, { ...set, title: 'Another name', version: 1 })
  expect(changed.body).toMatchObject({ title: 'Another name', version: 2 })
  expect((await call('GET', '/api/prints')).body).toEqual([{ ...set, title: 'Another name', version: 2 }])
  expect((await call('DELETE', path)).status).toBe(200)
  expect((await call('DELETE', path)).status).toBe(404)
  expect((await call('GET', '/api/prints')).body).toEqual([])
})

test('what is no print set is refused with a place and a reason', async () => {
  const put = (over: object) => {
    const set = { ...setOf(), ...over }
    return call('PUT', `/api/prints/${set.id}`, set)
  }
  const refused = async (over: object): Promise<[number, string]> => {
    const { status, body } = await put(over)
    return [status, JSON.stringify(body)]
  }
  for (const [over, pointer] of [
    [{ title: ' ' }, '/title'],
    [{ sheets: [] }, '/sheets'],
    [{ sheets: [{ sheet: { kind: 'mat', mat: 'chart', places: 99, decimals: 0, rows: 1 }, copies: 1 }] }, '/sheets/0'],
    [{ sheets: [{ sheet: { kind: 'signed' }, copies: 0 }] }, '/sheets/0'],
    [{ setting: { paper: 'A3', perPage: 3, big: false, tactile: false } }, '/setting'],
    [{ learners: [randomUUID()] }, ''],
  ] as const) {
    const [status, body] = await refused(over)
    expect([status, body]).toEqual([422, expect.stringContaining(pointer)])
  }
  expect((await call('PUT', `/api/prints/${randomUUID()}`, setOf())).status).toBe(422)
})

test('a printed list is found again by its code, however it is written; what is no code of it is refused', async () => {
  const problems = ['52 - 37', '61 - 25', '1/2 + 1/3']
  const code = codeOfList(problems)
  expect((await call('GET', `/api/printed/${code}`)).status).toBe(404)
  expect((await call('PUT', `/api/printed/${code}`, { problems })).body).toEqual({ code, problems })
  expect((await call('PUT', `/api/printed/${code}`, { problems })).status).toBe(200)
  expect((await call('GET', `/api/printed/${code.toLowerCase().replaceAll('-', '')}`)).body).toEqual({ code, problems })
  const wrong = await call('PUT', `/api/printed/${code}`, { problems: ['1 + 1'] })
  expect([wrong.status, wrong.body.detail]).toEqual([422, 'This is not the code of these problems.'])
  const none = await call('GET', '/api/printed/ABC')
  expect([none.status, none.body.detail]).toEqual([422, expect.stringContaining('nine letters and digits')])
  expect((await call('PUT', `/api/printed/${codeOfList([])}`, { problems: [] })).status).toBe(422)
})

test('every sheet that is offered passes the door as it is offered', () => {
  const offered = SHEET_GROUPS.flatMap((g): readonly unknown[] => g.sheets)
  expect(offered.length).toBeGreaterThan(25)
  for (const sheet of offered) expect([sheet, sheetSchema.safeParse(sheet).error?.message]).toEqual([sheet, undefined])
})
