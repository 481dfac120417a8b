import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { cpSync, mkdtempSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { kindOf } from '../../server/utils/addresses'
import { ROLES, reaches, type Role } from '../../shared/roles'
import { serve, type Running } from '../browser/world'
import { addressesBuilt, addressesInFiles, type Address } from './addresses'
import { ask, firstKeeper, joined } from './asking'

/** The door as somebody tries it who means no good: every address of the built server, every role, every way of writing it. */

let app: Running
let all: readonly Address[]
const sessions: Partial<Record<Role, string>> = {}
beforeAll(async () => {
  app = await serve({ demo: true })
  all = await addressesInFiles()
  const keeper = (sessions.keeper = await firstKeeper(app.url))
  for (const role of ['teacher', 'helper', 'looker-on'] as const)
    sessions[role] = await joined(app.url, keeper, { name: `A ${role}`, role })
})
afterAll(() => app.stop())

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'] as const
const pathOf = ({ pattern }: Address): string => pattern.replaceAll(':id', randomUUID())
/** Asked so, a backup would be made each time, or the session would end that others go on with. */
const costs = ({ method, pattern }: Address): boolean =>
  (method === 'POST' && pattern === '/api/backups') || (method === 'DELETE' && pattern === '/api/session')

/** Ways of writing an address that some router, proxy or file system takes for the address itself. */
const spellings = (path: string): readonly string[] => {
  const [, , first = '', ...rest] = path.split('/')
  const encoded = (letter: string): string => `%${letter.charCodeAt(0).toString(16)}`
  const last = path.at(-1)!
  return [
    `${path}/`,
    `${path}//`,
    `/${path}`,
    path.replace('/api/', '/api//'),
    path.replace('/api/', '/api/./'),
    path.replace('/api/', '/api/x/../'),
    `/x/..${path}`,
    `/.${path}`,
    path.replace('/api', '/API'),
    path.replace('/api', '/Api'),
    path.replace('/api', '/%61pi'),
    path.replace('/api/', '/api%2f'),
    path.replace('/api/', '/api\\'),
    path.replace('/api/', '\\api\\'),
    `/api/${encoded(first[0]!)}${[first.slice(1), ...rest].join('/')}`,
    `/api/%25${first.charCodeAt(0).toString(16)}${[first.slice(1), ...rest].join('/')}`,
    `${path.slice(0, -1)}${encoded(last)}`,
    `${path}%00`,
    `${path}%20`,
    `${path}%2e`,
    `${path}.`,
    `${path};x=1`,
    `${path};`,
    path.replace('/api/', '/api;x=1/'),
    `${path}%3Fx`,
    `${path}%23x`,
    `${path}/.`,
    `${path}/..;/${first}`,
    `${path}/x/..`,
    path.replace('/api/', '/api/%2e%2e/api/'),
    path.replace('/api/', '/api%5c'),
    `http://127.0.0.1${path}`,
    `${path}\t`,
  ].filter((spelling) => spelling !== path && !/[\t]/.test(spelling))
}

test('every handler says who may use it, and the built server has just these addresses', () => {
  expect(all.length).toBeGreaterThan(70)
  expect(all.filter((a) => a.rights === undefined)).toEqual([])
  const own = all.map((a) => `${a.method} ${a.pattern}`).sort()
  expect(addressesBuilt()).toEqual([...own, 'ANY /**', 'ANY /__nuxt_error'].sort())
})

test.each(ROLES)('%s: every address lets in whom it is for, and nobody else', async (role) => {
  for (const address of all.filter((a) => !costs(a))) {
    const { method, rights } = address
    // A body that nothing accepts: whoever is let in is told so, and nothing is changed.
    const body = method === 'GET' || method === 'DELETE' ? undefined : { nothing: true }
    const path = pathOf(address)
    const { status } = await ask(app.url, method, path, { cookie: sessions[role]! }, body)
    const isLetIn = rights!.least === 'anybody' || reaches(role, rights!.least)
    expect([role, method, path, status === 403]).toEqual([role, method, path, !isLetIn])
    if (rights!.least === 'anybody') continue
    const stranger = await ask(app.url, method, path, {}, body)
    expect([method, path, stranger.status]).toEqual([method, path, 401])
  }
})

test('however an address is written but as it is, nothing is there: for nobody, for every role, in every way of asking', async () => {
  const who = [...ROLES.map((role) => sessions[role]!), '']
  const before = await ask(app.url, 'GET', '/api/people', { cookie: sessions.keeper! })
  let asked = 0
  for (const [i, address] of all.entries())
    for (const [j, spelling] of spellings(pathOf(address)).entries()) {
      // Every address in its own way by nobody and by one of the roles in turn; the other ways of asking in turn too.
      const tries = [
        [address.method, ''],
        [address.method, who[(i + j) % who.length]!],
        [METHODS[(i + j) % METHODS.length]!, sessions.keeper!],
      ] as const
      for (const [method, cookie] of tries) {
        const { status, text } = await ask(app.url, method, spelling, cookie ? { cookie } : {})
        asked += 1
        expect([method, spelling, [400, 404].includes(status)]).toEqual([method, spelling, true])
        expect(text).not.toContain('Wren')
      }
    }
  expect(asked).toBeGreaterThan(all.length * 80)
  expect((await ask(app.url, 'GET', '/api/people', { cookie: sessions.keeper! })).text).toBe(before.text)
}, 300_000)

test('the ways that were open once: people, the school’s file, an invitation, erasing, a moment', async () => {
  const { url } = app
  const { learners } = JSON.parse((await ask(url, 'GET', '/api/classroom', { cookie: sessions.keeper! })).text) as {
    learners: { id: string }[]
  }
  const { id } = learners[0]!
  for (const [method, path, body] of [
    ['GET', '/api/people/', undefined],
    ['GET', '/api/%70eople', undefined],
    ['GET', '/api/records/file/', undefined],
    ['POST', '/api/people/', { name: 'Nobody', role: 'keeper' }],
    ['POST', `/api/people/${id}/code/`, {}],
    ['DELETE', `/api/learners/${id}/`, undefined],
    ['DELETE', '/api/moments/..', undefined],
  ] as const)
    for (const cookie of ['', sessions.helper!])
      expect([method, path, (await ask(url, method, path, { cookie }, body)).status]).toEqual([method, path, 404])
  const still = await ask(url, 'GET', '/api/classroom', { cookie: sessions.keeper! })
  expect(still.text).toContain(id)
})

test('pages stay pages, whatever they are called', () => {
  expect(['/', '/bench', '/learner/abc', '/apiary', '/_nuxt/a.js', '/daybook?find=/api/people'].map(kindOf)).toEqual(
    new Array(6).fill('page'),
  )
  expect(
    ['/api', '/api/', '/API/people', '/a%70i/people', 'api/people', 'http://x/api/people', '*'].map(kindOf),
  ).toEqual(new Array(7).fill('astray'))
  expect(kindOf('/api/learners/9d3c0b1e-0000-4000-8000-000000000001?x=/..')).toBe('api')
})

test('a server with a handler that does not say who may use it does not start', () => {
  const copy = mkdtempSync(join(tmpdir(), 'sett-built-'))
  cpSync('.output/server', copy, { recursive: true, filter: (from) => !from.endsWith('/node_modules') })
  symlinkSync(join(process.cwd(), '.output/server/node_modules'), join(copy, 'node_modules'))
  const chunks = join(copy, 'chunks/routes/api')
  const chunk = readdirSync(chunks).find((name) => /^happenings\.get.*\.mjs$/.test(name))!
  const code = readFileSync(join(chunks, chunk), 'utf8')
  const made = /\bas default\b/.exec(code)
  expect(made).not.toBeNull()
  writeFileSync(
    join(chunks, chunk),
    code.replace(/(\w+) as default/, 'plain as default') + '\nconst plain = () => "everything";\n',
  )
  const { status, stderr } = spawnSync(process.execPath, [join(copy, 'index.mjs')], {
    env: { ...process.env, HOST: '127.0.0.1', PORT: '0', SETT_DATA: mkdtempSync(join(tmpdir(), 'sett-none-')) },
    timeout: 20_000,
    encoding: 'utf8',
  })
  expect(status).toBe(1)
  expect(stderr.trim()).toBe(
    'Sett does not start: GET /api/happenings does not say who may use it (server/utils/route.ts).',
  )
})
