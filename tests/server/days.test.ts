import { randomUUID } from 'node:crypto'
import { moveDays } from '../../server/db/days'
import { zoneOf } from '../../server/db/open'
import { goesBefore } from '../../server/utils/keeping'
import { progressOf } from '../../server/utils/learnerProgress'
import { standingOf } from '../../server/utils/standings'
import { makeStore } from '../../server/utils/store'
import { KEEPING_AT_FIRST } from '../../shared/people'
import { all, demo } from './seeded'

/** A learner's work at some moments, in a school whose clock is somewhere. */
function workedAt(zone: string, moments: readonly string[]) {
  const store = demo()
  moveDays(store.db, zone)
  const learner = randomUUID()
  store.addLearner({ id: learner, codeName: 'Siskin' })
  const [sample] = all(store)
  const outcome = { right: true, help: 'independent', note: '' } as const
  for (const [i, startedAt] of moments.entries())
    store.save(
      { ...sample!, id: randomUUID(), learnerId: learner, startedAt, outcome },
      i % 2 ? ['left a coin out'] : [],
    )
  return { store, learner }
}

test('one school day in Auckland is one session, though universal time has two', async () => {
  // A Tuesday from nine to three, by the clock on the wall there.
  const tuesday = ['2026-11-23T20:00:00.000Z', '2026-11-23T23:30:00.000Z', '2026-11-24T01:59:00.000Z']
  const { store, learner } = workedAt('Pacific/Auckland', tuesday)
  const progress = await progressOf(store, learner)
  expect(progress.seen).toEqual(['2026-11-24'])
  expect(new Set(progress.tried.map((t) => t.day))).toEqual(new Set(['2026-11-24']))
  expect(progress.slips).toEqual([{ slip: 'left a coin out', day: '2026-11-24', count: 1 }])
  const { standings } = await standingOf(store, learner, Date.parse('2026-11-25T00:00:00Z'))
  expect(standings.map((s) => [s.worked, s.days])).toEqual([[3, 1]])
  // Asked for by its day it is found, and the days beside it have nothing.
  const found = (from: string, to: string): number => store.page({ learner, from, to, limit: 50 }).records.length
  expect([
    found('2026-11-24', '2026-11-24'),
    found('2026-11-23', '2026-11-23'),
    found('2026-11-25', '2026-11-26'),
  ]).toEqual([3, 0, 0])
})

test('where the school’s zone is set anew, every day is told anew, and stays so over a restart', async () => {
  const { store, learner } = workedAt('UTC', ['2026-11-24T01:00:00.000Z', '2026-11-24T23:00:00.000Z'])
  const days = async (at = store): Promise<readonly string[]> => (await progressOf(at, learner)).seen
  expect(await days()).toEqual(['2026-11-24'])
  moveDays(store.db, 'Pacific/Honolulu')
  expect(await days()).toEqual(['2026-11-23', '2026-11-24'])
  store.db.close()
  const again = makeStore(store.path)
  expect(zoneOf(again.db)).toBe('Pacific/Honolulu')
  expect(await days(again)).toEqual(['2026-11-23', '2026-11-24'])
  moveDays(again.db, 'Asia/Kathmandu')
  expect(await days(again)).toEqual(['2026-11-24', '2026-11-25'])
})

test('months of keeping are calendar months: on 31 May three of them reach back to 28 February, and no further', () => {
  const before = goesBefore({ ...KEEPING_AT_FIRST, recordMonths: 3 }, '2026-05-31')!
  expect(before).toBe('2026-02-28')
  const { store, learner } = workedAt('Pacific/Auckland', [
    '2026-02-27T10:59:00.000Z',
    '2026-02-27T11:00:00.000Z',
    '2026-03-01T20:00:00.000Z',
  ])
  const count = store.countBefore(before)
  expect(store.removeBefore(before)).toBe(count)
  expect(store.page({ learner, limit: 50 }).records.map((r) => r.day)).toEqual(['2026-03-02', '2026-02-28'])
})

test('narrowed by learner, mistake, material and days at once, a list has just what all of it has of that', () => {
  const { store } = workedAt('Pacific/Auckland', [])
  const whole = store.page({ limit: 200 }).records
  expect(whole.length).toBeLessThan(200)
  const learners = [...new Set(whole.map((r) => r.learnerId))]
  const slips = [...new Set(whole.flatMap((r) => r.slips))]
  let found = 0
  for (const learner of learners)
    for (const slip of slips)
      for (const from of ['2026-11-15', '2026-11-20', '2026-11-23']) {
        const asked = store.page({ learner, slip, from, limit: 200 }, learners).records
        expect(asked).toEqual(whole.filter((r) => r.learnerId === learner && r.slips.includes(slip) && r.day >= from))
        expect(
          store.page(
            { learner, slip, from, limit: 200 },
            learners.filter((l) => l !== learner),
          ).records,
        ).toEqual([])
        found += asked.length
      }
  expect(found).toBeGreaterThan(0)
})
