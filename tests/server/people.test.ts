import { execFile, spawnSync } from 'node:child_process'
import { promisify } from 'node:util'
import { randomUUID } from 'node:crypto'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Role } from '../../shared/roles'
import { makeBackup } from '../../server/utils/backups'
import { digest, invitedBy, inviteTo, newCode, personBy } from '../../server/utils/signIn'
import { makeStore } from '../../server/utils/store'
import { serve, type Running } from '../browser/world'

let app: Running
beforeAll(async () => (app = await serve({ demo: true })))
afterAll(() => app.stop())

interface Got {
  readonly status: number
  readonly body: Record<string, never> & { detail?: string; code?: string; id?: string }
  readonly cookie: string
}
/** A request as a browser makes it: with the cookie of a session, if there is one. */
async function call(cookie: string, method: string, path: string, body?: unknown, url = app.url): Promise<Got> {
  const response = await fetch(url + path, {
    method,
    headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const text = await response.text()
  const [set] = response.headers.getSetCookie()
  return { status: response.status, body: /^[[{]/.test(text) ? JSON.parse(text) : {}, cookie: set ?? '' }
}
const token = (set: string): string => set.split(';')[0]!
const PASS = 'seven lanterns in a row'

/** Invites somebody and takes the invitation up: their session. */
async function joined(keeper: string, name: string, role: Role, learners: readonly string[] = []): Promise<string> {
  const { body } = await call(keeper, 'POST', '/api/people', { name, role, learners })
  const { cookie } = await call('', 'POST', '/api/session/code', { code: body.code, passphrase: PASS })
  return token(cookie)
}

/** Everything that is asked of people here happens on one server, in this order. */
describe('people', () => {
  let keeper = ''
  const sessions: Partial<Record<Role, string>> = {}
  let wren = ''
  let pip = ''

  test('without a keeper nobody is asked to sign in; once there is one, everybody is', async () => {
    const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: { id: string }[] }
    ;[wren, pip] = [learners[0]!.id, learners[1]!.id]
    expect((await call('', 'GET', '/api/session')).body).toEqual({ asked: false, person: null })
    expect((await call('', 'POST', '/api/people', { name: 'Hazel', role: 'teacher' })).status).toBe(409)
    const short = await call('', 'POST', '/api/people/first', { name: 'Rowan', passphrase: 'short' })
    expect([short.status, short.body.detail]).toEqual([
      422,
      'A passphrase has at least 12 characters: three or four words do.',
    ])
    for (const passphrase of ['password1234', 'qwertyuiop12', '123456789012', 'RowanRowanRowan', 'ha'.repeat(100)]) {
      const easy = await call('', 'POST', '/api/people/first', { name: 'Rowan', passphrase })
      expect([easy.status, easy.body.detail, passphrase]).toEqual([
        422,
        expect.stringContaining('among the first that somebody would try'),
        passphrase,
      ])
    }
    const first = await call('', 'POST', '/api/people/first', { name: 'Rowan', passphrase: PASS })
    expect(first.status).toBe(200)
    keeper = sessions.keeper = token(first.cookie)
    expect(first.cookie).toMatch(/HttpOnly/i)
    expect(first.cookie).toMatch(/SameSite=Strict/i)
    expect((await call('', 'GET', '/api/classroom')).status).toBe(401)
    expect((await call(keeper, 'GET', '/api/classroom')).status).toBe(200)
    expect((await call('', 'POST', '/api/people/first', { name: 'Ivy', passphrase: PASS })).status).toBe(401)
    expect((await call(keeper, 'POST', '/api/people/first', { name: 'Ivy', passphrase: PASS })).status).toBe(409)
  })

  test('an invitation is taken up once, and a name only once', async () => {
    const made = await call(keeper, 'POST', '/api/people', { name: 'Hazel', role: 'teacher' })
    expect(made.body.code).toMatch(/^[2-9A-Z]{5}(-[2-9A-Z]{5}){3}$/)
    expect((await call(keeper, 'POST', '/api/people', { name: ' HAZEL', role: 'helper' })).status).toBe(409)
    const typed = made.body.code!.toLowerCase().replaceAll('-', ' ')
    // A passphrase that will not do does not use the code up.
    expect((await call('', 'POST', '/api/session/code', { code: typed, passphrase: 'letmeinletmein' })).status).toBe(
      422,
    )
    const taken = await call('', 'POST', '/api/session/code', { code: typed, passphrase: PASS })
    expect([taken.status, taken.body]).toEqual([200, { name: 'Hazel', role: 'teacher' }])
    sessions.teacher = token(taken.cookie)
    expect((await call('', 'POST', '/api/session/code', { code: typed, passphrase: PASS })).status).toBe(401)
    sessions.helper = await joined(keeper, 'Alder', 'helper', [wren])
    sessions['looker-on'] = await joined(keeper, 'Linden', 'looker-on')
  })

  test('a helper sees and notes for the learners given, and no others', async () => {
    const helper = sessions.helper!
    const room = (await call(helper, 'GET', '/api/classroom')).body as unknown as { learners: { id: string }[] }
    expect(room.learners.map((l) => l.id)).toEqual([wren])
    const page = (await call(helper, 'GET', '/api/records')).body as unknown as {
      records: { id: string; learnerId: string }[]
    }
    expect(new Set(page.records.map((r) => r.learnerId))).toEqual(new Set([wren]))
    const all = (await call(keeper, 'GET', '/api/records')).body as unknown as {
      records: { id: string; learnerId: string }[]
    }
    const other = all.records.find((r) => r.learnerId === pip)!
    expect((await call(helper, 'GET', `/api/records/${other.id}`)).status).toBe(404)
    expect((await call(helper, 'GET', `/api/rehearsals?of=${pip}`)).status).toBe(404)
    expect((await call(helper, 'GET', '/api/rehearsals?of=teacher')).status).toBe(404)
    expect((await call(helper, 'GET', `/api/standings?learners=${wren},${pip}`)).status).toBe(404)
    expect((await call(helper, 'GET', `/api/standings?learners=${wren}`)).status).toBe(200)
    // What they saved too soon they take back, as long as the lesson goes on; older work is a teacher's to delete.
    const [one] = all.records.filter((r) => r.learnerId === wren)
    expect((await call(helper, 'DELETE', `/api/records/${one!.id}`)).status).toBe(403)
    const {
      learnerId,
      startedAt: _,
      ...work
    } = (await call(helper, 'GET', `/api/records/${one!.id}`)).body as never as {
      learnerId: string
      startedAt: string
    }
    const mine = { ...work, learnerId, id: randomUUID(), startedAt: new Date().toISOString() }
    expect((await call(helper, 'POST', '/api/records', mine)).status).toBe(200)
    expect((await call(helper, 'DELETE', `/api/records/${mine.id}`)).status).toBe(204)
    // Of a lesson they see what is for those given to them.
    const turn = (learner: string | null) => ({
      learner,
      step: 'take-2-2-ten',
      problem: '52 - 37',
      material: 'blocks',
      way: null,
      mode: learner ? 'alone' : 'show',
    })
    const lesson = {
      id: randomUUID(),
      day: '2026-11-24',
      at: '09:30',
      minutes: 10,
      learners: [wren, pip],
      turns: [turn(null), turn(wren), turn(pip)],
      words: '',
      notes: { [pip]: 'asked for the drawn tens' },
      version: 0,
    }
    const path = `/api/lessons/${lesson.id}`
    expect((await call(keeper, 'PUT', path, lesson)).status).toBe(200)
    expect((await call(helper, 'GET', path)).body).toMatchObject({
      learners: [wren],
      notes: {},
      turns: [turn(null), turn(wren)],
    })
    expect((await call(helper, 'PUT', path, { ...lesson, version: 1 })).status).toBe(403)
    const others = { ...lesson, id: randomUUID(), learners: [pip], turns: [turn(pip)] }
    expect((await call(keeper, 'PUT', `/api/lessons/${others.id}`, others)).status).toBe(200)
    expect((await call(helper, 'GET', `/api/lessons/${others.id}`)).status).toBe(404)
    const listed = await call(helper, 'GET', '/api/lessons?from=2026-11-24&to=2026-11-24')
    expect((listed.body as unknown as { id: string }[]).map((l) => l.id)).toEqual([lesson.id])
    expect((await call(helper, 'GET', `/api/rehearsals?of=${wren}`)).status).toBe(200)
    const { body: record } = await call(keeper, 'GET', `/api/records/${page.records[0]!.id}`)
    expect((await call(helper, 'POST', '/api/records', { ...record, id: randomUUID() })).status).toBe(200)
    expect((await call(helper, 'POST', '/api/records', { ...record, id: randomUUID(), learnerId: pip })).status).toBe(
      404,
    )
  })

  test('a helper takes back a try of this sitting that they can see; an older one is for a teacher', async () => {
    const helper = sessions.helper!
    const trial = (learnerId: string, ago: number) => ({
      id: randomUUID(),
      learnerId,
      startedAt: new Date(Date.now() - ago).toISOString(),
      kind: 'table',
      help: 'independent',
      right: true,
      note: '',
      work: {
        format: 'sett-trial',
        version: 1,
        sitting: randomUUID(),
        step: '',
        asked: '3 + 4',
        material: '',
        ms: 0,
      },
    })
    const [now, before, others] = [trial(wren, 60_000), trial(wren, 3 * 3_600_000), trial(pip, 60_000)]
    expect((await call(keeper, 'POST', '/api/trials', { trials: [now, before, others] })).status).toBe(200)
    const gone = (cookie: string, { id }: { id: string }) => call(cookie, 'DELETE', `/api/trials/${id}`)
    expect((await gone(sessions['looker-on']!, now)).status).toBe(403)
    expect((await gone(helper, now)).status).toBe(204)
    expect((await gone(helper, now)).status).toBe(404)
    expect(await gone(helper, before)).toMatchObject({
      status: 403,
      body: { detail: 'That is for a teacher to delete: it is not a try of the last two hours.' },
    })
    expect((await gone(helper, others)).status).toBe(404)
    expect((await gone(sessions.teacher!, before)).status).toBe(204)
    expect((await gone(keeper, others)).status).toBe(204)
  })

  test('a wrong passphrase and a name that nobody has are told alike; after some one has to wait, and other names stay open', async () => {
    const enter = (name: string, passphrase: string) => call('', 'POST', '/api/session', { name, passphrase })
    const [wrong, nobody] = [
      await enter('Hazel', 'no such words at all'),
      await enter('Nobody', 'no such words at all'),
    ]
    expect([wrong.status, wrong.body.detail]).toEqual([nobody.status, nobody.body.detail])
    expect(wrong.status).toBe(401)
    const tries = await Promise.all(Array.from({ length: 9 }, () => enter('Hazel', 'still no such words')))
    const late = tries.find((t) => t.status === 429)!
    expect(late.body.detail).toMatch(/^That was wrong several times\. Try again in \d+ seconds?\.$/)
    const other = await enter(' linden ', PASS)
    expect([other.status, other.body]).toEqual([200, { name: 'Linden', role: 'looker-on' }])
    // Whoever is in already stays in.
    expect((await call(sessions.teacher!, 'GET', '/api/classroom')).status).toBe(200)
  })

  test('sessions end: by signing out, by a new passphrase, by a keeper, and by a changed role', async () => {
    const see = (cookie: string) => call(cookie, 'GET', '/api/classroom').then((r) => r.status)
    const again = token((await call('', 'POST', '/api/session', { name: 'Linden', passphrase: PASS })).cookie)
    expect((await call(again, 'DELETE', '/api/session')).status).toBe(204)
    expect([await see(again), await see(sessions['looker-on']!)]).toEqual([401, 200])
    const change = { passphrase: PASS, next: 'reeds beside the water' }
    expect(
      (await call(sessions['looker-on']!, 'PUT', '/api/session/passphrase', { ...change, passphrase: 'x' })).status,
    ).toBe(401)
    const easy = { ...change, next: 'Linden20261128' }
    expect((await call(sessions['looker-on']!, 'PUT', '/api/session/passphrase', easy)).status).toBe(422)
    const changed = await call(sessions['looker-on']!, 'PUT', '/api/session/passphrase', change)
    expect([changed.status, await see(sessions['looker-on']!), await see(token(changed.cookie))]).toEqual([
      204, 401, 200,
    ])
    const people = (await (await fetch(`${app.url}/api/people`, { headers: { cookie: keeper } })).json()) as {
      id: string
      name: string
      role: Role
    }[]
    expect(JSON.stringify(people)).not.toContain('scrypt')
    const idOf = (name: string) => people.find((p) => p.name === name)!.id
    expect((await call(keeper, 'DELETE', `/api/people/${idOf('Alder')}/sessions`)).status).toBe(204)
    expect(await see(sessions.helper!)).toBe(401)
    expect((await call(keeper, 'PUT', `/api/people/${idOf('Hazel')}`, { role: 'looker-on' })).status).toBe(204)
    expect(await see(sessions.teacher!)).toBe(401)
    // There is always a keeper.
    expect((await call(keeper, 'PUT', `/api/people/${idOf('Rowan')}`, { role: 'teacher' })).status).toBe(409)
    expect((await call(keeper, 'DELETE', `/api/people/${idOf('Rowan')}`)).status).toBe(409)
    expect((await call(keeper, 'DELETE', `/api/people/${idOf('Alder')}`)).status).toBe(204)
  })

  test('who did what is written down, for keepers to read', async () => {
    const response = await fetch(`${app.url}/api/happenings`, { headers: { cookie: keeper } })
    const log = (await response.json()) as { who: string; what: string; about: string }[]
    const lines = log.map((h) => [h.who, h.what, h.about].join('|'))
    expect(lines).toEqual(
      expect.arrayContaining([
        'Rowan|became the first keeper|',
        'Rowan|invited as helper|Alder',
        'Rowan|took out|Alder',
        'Linden|signed in|',
      ]),
    )
    expect(JSON.stringify(log)).not.toContain(PASS)
  })
})

test('codes and tokens: no two alike, kept as digests only, and good for a time', () => {
  const codes = new Set(Array.from({ length: 500 }, newCode))
  expect(codes.size).toBe(500)
  const store = makeStore(join(mkdtempSync(join(tmpdir(), 'sett-people-')), 'sett.db'))
  const id = randomUUID()
  store.addPerson({ id, name: 'Rowan', role: 'keeper', groups: null, learners: [] })
  const now = Date.UTC(2026, 10, 24)
  store.beginSession(id, digest('secret'), now)
  expect(JSON.stringify(store.db.prepare('SELECT * FROM session').all())).not.toContain('secret')
  const hours = (n: number): number => now + n * 3_600_000
  expect(personBy(store, 'secret', hours(7))?.name).toBe('Rowan')
  expect(personBy(store, 'another', hours(1))).toBeUndefined()
  // Used again and again it lasts, but no longer than a week; unused it ends after eight hours.
  expect(personBy(store, 'secret', hours(14))?.name).toBe('Rowan')
  expect(personBy(store, 'secret', hours(23))).toBeUndefined()
  for (let h = 0; h < 7 * 24; h += 6) store.seen(digest('secret'), hours(h))
  expect(personBy(store, 'secret', hours(7 * 24 - 1))?.name).toBe('Rowan')
  expect(personBy(store, 'secret', hours(7 * 24 + 1))).toBeUndefined()
  // An invitation ends too, whoever finds the note with its code later on.
  const code = inviteTo(store, id, now)
  const days = (n: number): number => hours(24 * n)
  expect(invitedBy(store, code, days(6))?.name).toBe('Rowan')
  expect(invitedBy(store, code, days(8))).toBeUndefined()
})

describe('on a network', () => {
  const start = (data: string, env: Record<string, string> = {}) =>
    spawnSync(process.execPath, ['.output/server/index.mjs'], {
      env: { ...process.env, HOST: '0.0.0.0', PORT: '0', SETT_DATA: data, ...env },
      timeout: 15_000,
      encoding: 'utf8',
    })

  test.each<Record<string, string>>([
    {},
    { HOST: '127.0.0.1', SETT_PROXY: '1' },
    { HOST: '127.0.0.1', SETT_NAMES: 'sett.school' },
  ])('Sett does not start while nobody could sign in: %j', (env) => {
    const { status, stderr } = start(mkdtempSync(join(tmpdir(), 'sett-net-')), env)
    expect(status).toBe(1)
    expect(stderr.trim()).toBe(
      'On a network Sett asks everybody to sign in, and nobody can yet. Make a keeper first: npm run keeper.',
    )
  })

  test('with a keeper made on this machine it does, asks everybody, and the code lets the keeper in', async () => {
    const data = mkdtempSync(join(tmpdir(), 'sett-net-'))
    // Not held up by it, this process notices when the server closes a connection that rests.
    const keeper = async (...args: string[]): Promise<string> =>
      (
        await promisify(execFile)('npx', ['--no-install', 'tsx', 'tools/data/keeper.ts', ...args], {
          env: { ...process.env, SETT_DATA: data },
        })
      ).stdout
    expect(await keeper()).toContain('Nobody signs in here yet.')
    const { name } = await makeBackup(join(data, 'sett.db'), 14)
    const code = /[2-9A-Z]{5}(?:-[2-9A-Z]{5}){3}/.exec(await keeper('Rowan'))![0]
    const net = await serve({ data, env: { HOST: '0.0.0.0' } })
    try {
      expect((await call('', 'GET', '/api/classroom', undefined, net.url)).status).toBe(401)
      const entered = await call('', 'POST', '/api/session/code', { code, passphrase: PASS }, net.url)
      expect(entered.body).toEqual({ name: 'Rowan', role: 'keeper' })
      expect((await call(token(entered.cookie), 'GET', '/api/classroom', undefined, net.url)).status).toBe(200)
      // While it runs, the machine's own command makes a new way in.
      const again = /[2-9A-Z]{5}(?:-[2-9A-Z]{5}){3}/.exec(await keeper('rowan'))![0]
      expect((await call('', 'POST', '/api/session/code', { code: again, passphrase: PASS }, net.url)).status).toBe(200)
      // A backup from before there was a keeper lets nobody in, rather than everybody.
      const { cookie } = await call('', 'POST', '/api/session', { name: 'Rowan', passphrase: PASS }, net.url)
      const restored = await call(token(cookie), 'POST', '/api/backups/restore', { name }, net.url)
      expect([restored.status, restored.body]).toEqual([200, expect.objectContaining({ restored: name })])
      for (const who of ['', token(cookie)])
        expect((await call(who, 'GET', '/api/classroom', undefined, net.url)).status).toBe(401)
      expect((await call('', 'GET', '/api/session', undefined, net.url)).body).toEqual({ asked: true, person: null })
      expect((await call('', 'POST', '/api/people/first', { name: 'Ivy', passphrase: PASS }, net.url)).status).toBe(401)
    } finally {
      await net.stop()
    }
  })
})
