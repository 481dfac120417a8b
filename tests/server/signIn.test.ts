import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import { oneAtATime } from '../../server/utils/hashing'
import { countTry, networkOf } from '../../server/utils/signIn'
import { countedAt, PACES, waitOf } from '../../server/utils/slowing'
import type { Tried } from '../../server/db/tries'
import { makeStore } from '../../server/utils/store'
import { serve, type Running } from '../browser/world'
import { ask, cookieIn, firstKeeper, joined, PASS, type Got } from './asking'
import { demo } from './seeded'

const DAY = 86_400_000

describe('how wrong tries are slowed down', () => {
  const kinds = Object.entries(PACES)
  test.each(kinds)(
    '%s: some are free, then the wait never shrinks, and it is never longer than the longest',
    (_, pace) => {
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 2 * DAY }), (wrong, later) => {
          const tried: Tried = { wrong, triedAt: 1_000_000, rightAt: null }
          const wait = waitOf(pace, tried, tried.triedAt)
          expect(wait === 0).toBe(wrong < pace.free)
          expect(wait).toBeLessThanOrEqual(pace.longest)
          expect(waitOf(pace, { ...tried, wrong: wrong + 1 }, tried.triedAt)).toBeGreaterThanOrEqual(wait)
          // It runs down with time, and nothing is shut for good.
          expect(waitOf(pace, tried, tried.triedAt + later)).toBe(Math.max(0, later > DAY ? 0 : wait - later))
        }),
      )
      expect(waitOf(pace, undefined, 5)).toBe(0)
      expect(countedAt({ wrong: 40, triedAt: 0, rightAt: 3 }, 2 * DAY)).toEqual({
        wrong: 1,
        triedAt: 2 * DAY,
        rightAt: 3,
      })
    },
  )

  test('tries are counted before the work, so that three hundred at once are no more than one after another', () => {
    const store = demo()
    const now = 1_790_000_000_000
    const refused = Array.from({ length: 300 }, () => {
      try {
        countTry(store, 'hazel', '10.0.0.7', now)
        return false
      } catch {
        return true
      }
    })
    expect(refused.filter((r) => !r)).toHaveLength(PACES.pair.free)
    // A restart forgets nothing.
    store.db.close()
    const again = makeStore(store.path)
    expect(() => countTry(again, 'hazel', '10.0.0.7', now + 500)).toThrow()
    expect(() => countTry(again, 'hazel', '10.0.0.7', now + 1001)).not.toThrow()
  })

  test('a school behind one address is not shut out by somebody there; who has come in from it before waits for nobody', () => {
    const store = demo()
    const now = 1_790_000_000_000
    countTry(store, 'hazel', '10.0.0.7', now - 5000).right()
    for (let i = 0; i < 60; i++)
      try {
        countTry(store, `stranger ${i}`, '10.0.0.7', now)
      } catch {
        // It is slowed down by now.
      }
    expect(() => countTry(store, 'hazel', '10.0.0.7', now)).not.toThrow()
    // Others wait some seconds, and then have their turn.
    expect(() => countTry(store, 'linden', '10.0.0.7', now)).toThrow()
    expect(() => countTry(store, 'linden', '10.0.0.7', now + PACES.address.longest)).not.toThrow()
    // From elsewhere nobody waits.
    expect(() => countTry(store, 'linden', '10.0.0.8', now)).not.toThrow()
  })

  test('one name tried from many addresses is slowed down too, but not for whoever comes in from their own', () => {
    const store = demo()
    const now = 1_790_000_000_000
    countTry(store, 'hazel', '192.168.1.5', now - 5000).right()
    const refused = Array.from({ length: 60 }, (_, i) => {
      try {
        countTry(store, 'hazel', `10.1.${i}.7`, now)
        return 0
      } catch {
        return 1
      }
    })
    expect(refused.reduce((sum: number, n) => sum + n, 0)).toBeGreaterThan(30)
    expect(() => countTry(store, 'hazel', '192.168.1.5', now)).not.toThrow()
  })

  test('what was never looked at is not counted, and a right one ends the count', () => {
    const store = demo()
    const now = 1_790_000_000_000
    for (let i = 0; i < 50; i++) countTry(store, 'hazel', '10.0.0.7', now).undone()
    for (let i = 0; i < PACES.pair.free - 1; i++) countTry(store, 'hazel', '10.0.0.7', now)
    countTry(store, 'hazel', '10.0.0.7', now).right()
    for (let i = 0; i < PACES.pair.free; i++) expect(() => countTry(store, 'hazel', '10.0.0.7', now)).not.toThrow()
    expect(() => countTry(store, 'hazel', '10.0.0.7', now)).toThrow()
  })

  test('a network is an IPv4 address, or the first half of an IPv6 one', () => {
    expect(networkOf('::ffff:10.0.0.7')).toBe('10.0.0.7')
    expect(networkOf('10.0.0.7')).toBe('10.0.0.7')
    const one = ['2001:db8:1:2:aaaa:bbbb:cccc:dddd', '2001:db8:1:2::5', '2001:DB8:1:2:0:0:0:9'].map(networkOf)
    expect(new Set(one).size).toBe(1)
    expect(networkOf('2001:db8:1:3::5')).not.toBe(one[0])
  })
})

test('hashing is done one at a time, and only so many wait', async () => {
  const inTurn = oneAtATime(5)
  let [atWork, most] = [0, 0]
  const doors: (() => void)[] = []
  const work = async (): Promise<void> => {
    most = Math.max(most, (atWork += 1))
    await new Promise<void>((done) => doors.push(done))
    atWork -= 1
  }
  const asked = Array.from({ length: 20 }, () => {
    try {
      return inTurn(work)
    } catch (error) {
      return error as { statusCode: number }
    }
  })
  const waiting = asked.filter((a) => a instanceof Promise)
  expect(waiting).toHaveLength(6)
  expect(
    asked.filter((a) => !(a instanceof Promise)).every((a) => (a as { statusCode: number }).statusCode === 503),
  ).toBe(true)
  for (let i = 0; i < 6; i++) {
    while (doors.length === 0) await new Promise((next) => setImmediate(next))
    doors.shift()!()
  }
  await Promise.all(waiting)
  expect(most).toBe(1)
})

describe('by a server', () => {
  let app: Running
  let keeper = ''
  beforeAll(async () => {
    app = await serve({ demo: true })
    keeper = await firstKeeper(app.url)
    await joined(app.url, keeper, { name: 'Hazel', role: 'teacher' })
  })
  afterAll(() => app.stop())
  const enter = (name: string, passphrase: string): Promise<Got> =>
    ask(app.url, 'POST', '/api/session', {}, { name, passphrase })

  test('three hundred guesses at once: a few are looked at, others are answered meanwhile, and each is in the log', async () => {
    const guesses = Array.from({ length: 300 }, (_, i) => enter('Hazel', `guess number ${i}`))
    const readers = Array.from({ length: 20 }, () => ask(app.url, 'GET', '/api/classroom', { cookie: keeper }))
    expect((await Promise.all(readers)).map((r) => r.status)).toEqual(new Array(20).fill(200))
    const counts = new Map<number, number>()
    for (const { status } of await Promise.all(guesses)) counts.set(status, (counts.get(status) ?? 0) + 1)
    expect([...counts.keys()].sort()).toEqual([401, 429])
    // One more for each second that it took, and no more than that.
    expect(counts.get(401)!).toBeLessThanOrEqual(PACES.pair.free + 4)
    const log = JSON.parse((await ask(app.url, 'GET', '/api/happenings', { cookie: keeper })).text) as {
      who: string
      what: string
    }[]
    expect(log.filter((h) => h.what === 'tried a wrong passphrase' && h.who === 'Hazel')).toHaveLength(counts.get(401)!)
  })

  test('a code is used once, however often it is sent at once', async () => {
    const made = await ask(app.url, 'POST', '/api/people', { cookie: keeper }, { name: 'Linden', role: 'looker-on' })
    const { code } = JSON.parse(made.text) as { code: string }
    const six = await Promise.all(
      Array.from({ length: 6 }, (_, i) =>
        ask(app.url, 'POST', '/api/session/code', {}, { code, passphrase: `lanterns along the river ${i}` }),
      ),
    )
    expect(six.map((r) => r.status).sort()).toEqual([200, 401, 401, 401, 401, 401])
    const [winner] = six.filter((r) => r.status === 200)
    const see = await ask(app.url, 'GET', '/api/classroom', { cookie: cookieIn(winner!) })
    expect(see.status).toBe(200)
  })

  test('somebody who has forgotten a passphrase and guessed too often still comes in by a new code', async () => {
    const people = JSON.parse((await ask(app.url, 'GET', '/api/people', { cookie: keeper })).text) as {
      id: string
      name: string
    }[]
    const hazel = people.find((p) => p.name === 'Hazel')!
    for (let i = 0; i < 8; i++) await enter('Hazel', `wrong again ${randomUUID()}`)
    const made = await ask(app.url, 'POST', `/api/people/${hazel.id}/code`, { cookie: keeper })
    const { code } = JSON.parse(made.text) as { code: string }
    const taken = await ask(app.url, 'POST', '/api/session/code', {}, { code, passphrase: PASS })
    expect(taken.status).toBe(200)
    expect((await enter('Hazel', PASS)).status).toBe(200)
  })
})
