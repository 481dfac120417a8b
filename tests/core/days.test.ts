import fc from 'fast-check'
import { dayIn, daysFrom, isZone, monthsBefore } from '../../shared/days'

/** Days by the school's own clock. Offsets and dates of changing clocks: the IANA time zone database, as Node.js ships it. */

test('a school day is one day wherever the school is', () => {
  // From nine to three on 24 November 2026, by the clock on the wall; moments in universal time.
  const days: readonly (readonly [string, string, string])[] = [
    ['Pacific/Auckland', '2026-11-23T20:00:00Z', '2026-11-24T02:00:00Z'],
    ['Pacific/Honolulu', '2026-11-24T19:00:00Z', '2026-11-25T01:00:00Z'],
    ['Asia/Kathmandu', '2026-11-24T03:15:00Z', '2026-11-24T09:15:00Z'],
    ['Europe/London', '2026-11-24T09:00:00Z', '2026-11-24T15:00:00Z'],
    ['Pacific/Kiritimati', '2026-11-23T19:00:00Z', '2026-11-24T01:00:00Z'],
  ]
  for (const [zone, nine, three] of days)
    expect([zone, dayIn(zone, nine), dayIn(zone, three)]).toEqual([zone, '2026-11-24', '2026-11-24'])
})

test('across a change of the clock a day begins and ends where the wall says', () => {
  // Auckland, 27 September 2026: clocks go from 2 to 3; the day has 23 hours. 4 April 2027: 25 hours.
  expect(
    ['2026-09-26T11:59:59Z', '2026-09-26T12:00:00Z', '2026-09-27T10:59:59Z', '2026-09-27T11:00:00Z'].map((at) =>
      dayIn('Pacific/Auckland', at),
    ),
  ).toEqual(['2026-09-26', '2026-09-27', '2026-09-27', '2026-09-28'])
  expect(
    ['2027-04-03T10:59:59Z', '2027-04-03T11:00:00Z', '2027-04-04T11:59:59Z', '2027-04-04T12:00:00Z'].map((at) =>
      dayIn('Pacific/Auckland', at),
    ),
  ).toEqual(['2027-04-03', '2027-04-04', '2027-04-04', '2027-04-05'])
  // London, 29 March 2026.
  expect(
    ['2026-03-28T23:59:59Z', '2026-03-29T00:00:00Z', '2026-03-29T22:59:59Z', '2026-03-29T23:00:00Z'].map((at) =>
      dayIn('Europe/London', at),
    ),
  ).toEqual(['2026-03-28', '2026-03-29', '2026-03-29', '2026-03-30'])
})

test('months are calendar months, and end with their last day', () => {
  expect(monthsBefore('2026-05-31', 3)).toBe('2026-02-28')
  expect(monthsBefore('2028-05-31', 3)).toBe('2028-02-29')
  expect(monthsBefore('2026-03-31', 1)).toBe('2026-02-28')
  expect(monthsBefore('2026-01-15', 1)).toBe('2025-12-15')
  expect(monthsBefore('2026-12-01', 240)).toBe('2006-12-01')
})

test('days are counted on the calendar, there and back, and moments keep their order', () => {
  const moment = fc.integer({ min: Date.UTC(1995, 0), max: Date.UTC(2095, 0) })
  const zone = fc.constantFrom(
    'Pacific/Auckland',
    'Pacific/Honolulu',
    'Asia/Kathmandu',
    'America/St_Johns',
    'Europe/London',
    'UTC',
  )
  fc.assert(
    fc.property(moment, moment, zone, fc.integer({ min: -400, max: 400 }), (a, b, z, by) => {
      const day = dayIn(z, a)
      expect(daysFrom(daysFrom(day, by), -by)).toBe(day)
      expect(dayIn(z, Math.min(a, b)) <= dayIn(z, Math.max(a, b))).toBe(true)
      // A day's name is never further from universal time than a day.
      expect(Math.abs(Date.parse(`${day}T12:00:00Z`) - a)).toBeLessThanOrEqual(36 * 3_600_000)
      expect(monthsBefore(day, 3) < day).toBe(true)
    }),
  )
  expect([isZone('Pacific/Auckland'), isZone('Nowhere/At_All'), isZone('')]).toEqual([true, false, false])
})
