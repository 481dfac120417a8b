import { CUPBOARD_AT_FIRST } from '../../shared/cupboard'
import { serve } from '../browser/world'

let app: Awaited<ReturnType<typeof serve>>
beforeAll(async () => {
  app = await serve({ demo: true })
})
afterAll(() => app.stop())
const put = async (body: unknown) => {
  const answer = await fetch(`${app.url}/api/cupboard`, {
    method: 'PUT',
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
  })
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
}
const there = async () => (await (await fetch(`${app.url}/api/cupboard`)).json()) as Record<string, unknown>
const ten = { have: 40, pack: 10, madeOf: 'plain' }

test('what the school has is kept, from the version that is there, and once however often it is sent', async () => {
  expect(await there()).toEqual(CUPBOARD_AT_FIRST)
  const filled = {
    ...CUPBOARD_AT_FIRST,
    youngest: 4,
    stock: { 'blocks/ten': ten, 'coins/25': ten, 'signed/plus': ten },
  }
  expect((await put(filled)).body.version).toBe(1)
  expect((await put(filled)).body.version).toBe(1)
  expect((await put({ ...filled, mouths: true })).status).toBe(409)
  expect((await put({ ...filled, mouths: true, version: 1 })).body).toMatchObject({ mouths: true, version: 2 })
  expect(await there()).toMatchObject({ youngest: 4, stock: { 'blocks/ten': ten } })
})

test.each([
  ['fewer than none', { stock: { 'blocks/ten': { ...ten, have: -1 } } }, 'no fewer than none'],
  ['half a piece', { stock: { 'blocks/ten': { ...ten, have: 1.5 } } }, 'is whole'],
  ['made of lava', { stock: { 'blocks/ten': { ...ten, madeOf: 'lava' } } }, 'One of these is wanted'],
  ['no kind', { stock: { 'blocks ten': ten } }, '“blocks ten” is not what is wanted here'],
  [
    'more kinds than there are',
    { stock: Object.fromEntries(Array.from({ length: 301 }, (_, i) => [`blocks/${i}`, ten])) },
    '300 kinds',
  ],
  ['more to spare than there is', { spare: 2 }, 'share from 0 to 1'],
  ['no age', { youngest: 0 }, 'age'],
])('%s is refused', async (_, over, says) => {
  const before = await there()
  const { status, body } = await put({ ...before, ...over })
  expect([status, JSON.stringify(body)]).toEqual([422, expect.stringContaining(says)])
  expect(await there()).toEqual(before)
})
