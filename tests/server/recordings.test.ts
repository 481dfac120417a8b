import { randomUUID } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { eraseLearner } from '../../server/utils/erasing'
import { makeStore } from '../../server/utils/store'
import { soundType } from '../../server/utils/sound'
import type { KeptLearner } from '../../shared/learners'
import { MOST_BYTES, type Recording } from '../../shared/recordings'
import { serve, type Running } from '../browser/world'
import { everything, folder } from './seeded'
import { waveOf } from './sounds'

/** A teacher's recorded voice: kept with the learner, told in their file, gone with them. */

let app: Running
let wren: string
beforeAll(async () => {
  app = await serve({ demo: true })
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: KeptLearner[] }
  wren = learners.find((l) => l.codeName === 'Wren')!.id
})
afterAll(() => app.stop())

interface Answer {
  readonly status: number
  readonly body: readonly Recording[] & { readonly detail?: string; readonly errors?: readonly object[] }
}
async function put(said: string, audio: Buffer, { id = randomUUID() as string, learner = wren } = {}): Promise<Answer> {
  const response = await fetch(`${app.url}/api/learners/${learner}/recordings`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, said, audio: audio.toString('base64') }),
  })
  return { status: response.status, body: (await response.json()) as Answer['body'] }
}

test('a recording is kept under its words, played as it came, and replaced by another of the same words', async () => {
  const sound = waveOf(0.1)
  const first = await put('  Fifty-two! ', sound)
  expect(first.status).toBe(200)
  expect(first.body).toMatchObject([{ said: 'fifty two', bytes: sound.length }])
  const again = await put('fifty two', waveOf(0.2))
  expect(again.body.map((r) => r.said)).toEqual(['fifty two'])
  expect(again.body[0]!.bytes).toBeGreaterThan(sound.length)
  expect((await fetch(`${app.url}/api/recordings/${first.body[0]!.id}`)).status).toBe(404)
  const played = await fetch(`${app.url}/api/recordings/${again.body[0]!.id}`)
  expect([played.status, played.headers.get('content-type')]).toEqual([200, 'audio/wav'])
  expect(Buffer.from(await played.arrayBuffer())).toEqual(waveOf(0.2))
  expect((await fetch(`${app.url}/api/recordings/${again.body[0]!.id}`, { method: 'DELETE' })).status).toBe(204)
  expect(await (await fetch(`${app.url}/api/learners/${wren}/recordings`)).json()).toEqual([])
})

test('what cannot be kept is refused in words', async () => {
  expect(await put('ten', Buffer.from('<script>alert(1)</script>'))).toMatchObject({
    status: 422,
    body: { detail: 'This is no sound that browsers can play: WebM, Ogg, MP4 and WAV are.' },
  })
  expect(await put('…', waveOf(0.1))).toMatchObject({
    status: 422,
    body: { errors: [{ pointer: '/said', detail: 'Which words are they?' }] },
  })
  const long = Buffer.concat([waveOf(0.1), Buffer.alloc(MOST_BYTES)])
  expect(await put('ten', long)).toMatchObject({ status: 413, body: { detail: expect.stringMatching(/too long/) } })
  expect((await put('ten', waveOf(0.1), { learner: randomUUID() })).status).toBe(404)
  const id = randomUUID()
  expect((await put('ten', waveOf(0.1), { id })).status).toBe(200)
  expect(await put('nine', waveOf(0.1), { id })).toMatchObject({ status: 409 })
  expect((await fetch(`${app.url}/api/recordings/${randomUUID()}`, { method: 'DELETE' })).status).toBe(404)
})

test('sounds are known by their first bytes', () => {
  const bytes = (...b: (number | string)[]): Buffer =>
    Buffer.concat([...b.map((x) => (typeof x === 'number' ? Buffer.from([x]) : Buffer.from(x))), Buffer.alloc(12)])
  expect(soundType(bytes(0x1a, 0x45, 0xdf, 0xa3))).toBe('audio/webm')
  expect(soundType(bytes('OggS'))).toBe('audio/ogg')
  expect(soundType(bytes(0, 0, 0, 32, 'ftypM4A '))).toBe('audio/mp4')
  expect(soundType(waveOf(0.01))).toBe('audio/wav')
  expect(soundType(bytes('RIFF', 0, 0, 0, 0, 'AVI '))).toBeUndefined()
})

test('they are in the learner’s file, and erased with the learner from every byte', async () => {
  const data = folder()
  const store = makeStore(join(data, 'sett.db'))
  const learnerId = randomUUID()
  store.addLearner({ id: learnerId, codeName: 'Teasel' })
  const audio = Buffer.concat([waveOf(0.01), Buffer.from('thesoundofteasel')])
  store.keepRecording({
    id: randomUUID(),
    learnerId,
    said: 'dragonfly',
    type: 'audio/wav',
    audio,
    madeAt: '2026-11-26T10:00:00.000Z',
  })
  expect(everything(store, learnerId).recordings).toEqual([
    { said: 'dragonfly', madeAt: '2026-11-26T10:00:00.000Z', type: 'audio/wav', audio: audio.toString('base64') },
  ])
  expect(await eraseLearner(() => store, learnerId)).toMatchObject({ recordings: 1 })
  const left = readdirSync(data)
    .map((f) => readFileSync(join(data, f), 'latin1'))
    .join('')
  expect(left).not.toMatch(/dragonfly|thesoundofteasel/)
  store.db.close()
})
