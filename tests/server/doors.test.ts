import { Readable } from 'node:stream'
import { request } from 'node:http'
import { nameIn, namesOf, onNetwork, turnedAway, type Arrival } from '../../server/utils/hosts'
import { serve, type Running } from '../browser/world'
import { addressesInFiles } from './addresses'

let app: Running
beforeAll(async () => (app = await serve({ demo: true })))
afterAll(() => app.stop())

interface Got {
  readonly status: number
  readonly headers: Readonly<Record<string, string | string[] | undefined>>
  readonly text: string
}
/** A request with any headers, the Host among them, which `fetch` does not let one choose. */
function raw(
  method: string,
  path: string,
  headers: Record<string, string> = {},
  body: Iterable<string> = [],
): Promise<Got> {
  const { hostname, port } = new URL(app.url)
  return new Promise((done, failed) => {
    const req = request({ method, host: hostname, port, path, headers }, (res) => {
      let text = ''
      res.on('data', (d: Buffer) => (text += d.toString()))
      res.on('end', () => done({ status: res.statusCode!, headers: res.headers, text }))
    })
    req.on('error', failed)
    for (const chunk of body) req.write(chunk)
    req.end()
  })
}
const port = (): string => new URL(app.url).port

describe('who is answered', () => {
  test.each([
    ['evil.example', 421],
    ['evil.example:80', 421],
    ['127.0.0.1.evil.example', 421],
    ['localhost@evil.example', 421],
    ['localhost', 200],
    ['127.0.0.1', 200],
    ['[::1]', 200],
  ])('Host %j: %i', async (name, status) => {
    const host = /[:@.].*example/.test(name) ? name : `${name}:${port()}`
    for (const path of ['/api/classroom', '/bench'])
      expect([path, (await raw('GET', path, { host })).status]).toEqual([path, status])
  })

  test.each([
    ['a foreign origin', { origin: 'https://evil.example' }, 403],
    ['no origin at all, as a sandbox has it', { origin: 'null' }, 403],
    ['another port of this machine', { origin: 'http://127.0.0.1:1' }, 403],
    ['its own', { origin: 'OWN' }, 200],
    ['another site, by its page', { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'cors' }, 403],
    ['another port, by its page', { 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'no-cors' }, 403],
    [
      'another site, by a link',
      { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' },
      403,
    ],
    ['its own page', { 'sec-fetch-site': 'same-origin', 'sec-fetch-mode': 'cors' }, 200],
    ['the address bar', { 'sec-fetch-site': 'none', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' }, 200],
  ] as const)('%s asks the API: %j, %i', async (_, headers, status) => {
    const own = Object.fromEntries(Object.entries(headers).map(([k, v]) => [k, v.replace('OWN', app.url)]))
    const got = await raw('GET', '/api/classroom', { host: `127.0.0.1:${port()}`, ...own })
    expect(got.status).toBe(status)
    if (status !== 200) expect(got.headers['content-type']).toContain('application/problem+json')
    expect(got.text.includes('Wren')).toBe(status === 200)
  })

  test('a link on another page opens Sett, and a frame there does not', async () => {
    const from = { host: `127.0.0.1:${port()}`, 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' }
    expect((await raw('GET', '/bench', { ...from, 'sec-fetch-dest': 'document' })).status).toBe(200)
    expect((await raw('GET', '/bench', { ...from, 'sec-fetch-dest': 'iframe' })).status).toBe(403)
  })

  test('names of a server: its own, those it is told, and no others', () => {
    const arrival = (over: Partial<Arrival>): Arrival => ({
      host: 'sett.school',
      origin: undefined,
      site: undefined,
      mode: undefined,
      dest: undefined,
      method: 'GET',
      api: true,
      ...over,
    })
    const names = namesOf({ HOST: '10.0.0.5', SETT_NAMES: 'sett.school, Other.School' })
    expect([...names].sort()).toEqual(['10.0.0.5', '127.0.0.1', '::1', 'localhost', 'other.school', 'sett.school'])
    expect(turnedAway(arrival({ origin: 'https://sett.school' }), names)).toBeUndefined()
    expect(turnedAway(arrival({ origin: 'https://sett.school:8443' }), names)?.status).toBe(403)
    expect(
      turnedAway(arrival({ host: 'OTHER.school:4242', origin: 'http://other.school:4242' }), names),
    ).toBeUndefined()
    expect(turnedAway(arrival({ host: 'school' }), names)?.status).toBe(421)
    expect(['a:b', 'a b', '[::1', 'a/b', undefined].map((h) => nameIn(h ?? ''))).toEqual(new Array(5).fill(undefined))
    expect(namesOf({}).has('127.0.0.1')).toBe(true)
    const reached = [{}, { HOST: 'localhost' }, { HOST: '0.0.0.0' }, { SETT_PROXY: '1' }, { SETT_NAMES: 'sett.school' }]
    expect(reached.map((env) => onNetwork(env))).toEqual([false, false, true, true, true])
  })
})

describe('how an address is asked', () => {
  const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']
  test('other methods are 405 and say which are allowed', async () => {
    const all = await addressesInFiles()
    for (const pattern of new Set(all.map((a) => a.pattern))) {
      const allowed = all.filter((a) => a.pattern === pattern).map((a) => a.method)
      for (const method of METHODS.filter((m) => !allowed.includes(m))) {
        const got = await raw(method, pattern.replace(':id', 'x'), { host: `127.0.0.1:${port()}` })
        expect([method, pattern, got.status]).toEqual([method, pattern, 405])
        expect(String(got.headers.allow).split(', ').sort()).toEqual([...allowed].sort())
      }
    }
  })

  test('pages are read only; answers of the API are kept by nobody', async () => {
    const host = `127.0.0.1:${port()}`
    for (const method of ['POST', 'PUT', 'DELETE', 'OPTIONS'])
      expect((await raw(method, '/bench', { host })).status).toBe(405)
    expect((await raw('GET', '/api/classroom', { host })).headers['cache-control']).toBe('no-store')
    expect((await raw('GET', '/api/nothing', { host })).headers['cache-control']).toBe('no-store')
  })

  test('scripts of a page are its own, and none is taken on trust', async () => {
    const { headers, text } = await raw('GET', '/bench', { host: `127.0.0.1:${port()}` })
    const policy = String(headers['content-security-policy'])
    const scripts = policy.split(';').find((part) => part.trim().startsWith('script-src '))!
    expect(scripts).not.toContain('unsafe-inline')
    const [, nonce] = /'nonce-([^']+)'/.exec(scripts)!
    const tags = [...text.matchAll(/<script(?![^>]*type="application\/json")[^>]*>/g)].map((m) => m[0])
    expect(tags.length).toBeGreaterThan(0)
    for (const tag of tags) expect(tag).toContain(`nonce="${nonce}"`)
    const again = await raw('GET', '/bench', { host: `127.0.0.1:${port()}` })
    expect(String(again.headers['content-security-policy'])).not.toContain(nonce!)
  })
})

describe('how much is read', () => {
  const json = { 'content-type': 'application/json' }
  const send = (path: string, chunks: Iterable<string>): Promise<Got> =>
    raw('POST', path, { host: `127.0.0.1:${port()}`, ...json, 'transfer-encoding': 'chunked' }, chunks)

  function* blanks(megabytes: number): Generator<string> {
    for (let i = 0; i < megabytes; i++) yield ' '.repeat(1_000_000)
  }

  test('a body without a length that is too large has its answer, however quickly it is sent', async () => {
    for (let i = 0; i < 5; i++) {
      const got = await send('/api/records', blanks(20))
      expect(got.status).toBe(413)
      expect(got.text).toContain('larger than 2 MB')
    }
  })

  test('a body that does not end is not read for ever', async () => {
    const got = await send('/api/records', blanks(130)).catch((error: NodeJS.ErrnoException) => error)
    // The answer comes before all has been sent, or the connection is closed upon the sender.
    if ('status' in got) expect(got.status).toBe(413)
    else expect(['EPIPE', 'ECONNRESET']).toContain(got.code)
  })

  test('of what goes on and on no more is taken from the wire than so much', async () => {
    let sent = 0
    const { hostname, port: at } = new URL(app.url)
    const headers = { ...json, 'transfer-encoding': 'chunked' }
    const req = request({ method: 'POST', host: hostname, port: at, path: '/api/records', headers })
    const answered = new Promise<void>((done) => req.on('response', () => done()).on('error', () => done()))
    // The sender waits wherever the server does.
    Readable.from(
      (function* () {
        for (const chunk of blanks(600)) {
          sent += 1
          yield chunk
        }
      })(),
    ).pipe(req)
    await answered
    req.destroy()
    expect(sent).toBeLessThan(300)
  })

  test('lists in lists in lists are refused before anything is made of them', async () => {
    const got = await send('/api/records/file', ['['.repeat(5_000_000)])
    expect([got.status, JSON.parse(got.text).detail]).toEqual([
      400,
      'Lists lie in lists there, deeper than in anything that Sett writes.',
    ])
    const quoted = await send('/api/records', [JSON.stringify({ note: '['.repeat(500) + '\\"{' })])
    expect(quoted.status).toBe(422)
  })
})

test('what is refused is told in plain words, with the field, and without what was sent', async () => {
  const long = 'x'.repeat(5000)
  const answer = async (method: string, path: string, body: unknown) => {
    const response = await fetch(app.url + path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    return ((await response.json()) as { detail: string }).detail
  }
  const said = [
    await answer('POST', '/api/learners', { id: long, codeName: long }),
    await answer('POST', '/api/learners', { [long]: 1 }),
    await answer('POST', '/api/records', { id: 5, work: 7 }),
    await answer('PUT', '/api/notches', { format: 'sett-notches', version: { a: { b: 1 } }, digits: {} }),
    await answer('POST', '/api/records/file', { format: long, version: 1e300, records: [] }),
    await answer('POST', '/api/rehearsals', { item: long }),
  ]
  for (const text of said) {
    expect(text.length).toBeLessThan(300)
    expect(text).not.toMatch(/Invalid|expected|received|Unrecognized|undefined|NaN|\[object/)
  }
})
