import { openWindow } from './nuxt'
import { useClassroom } from '../../app/stores/classroom'
import { dayOf, nextLessonTime, timeOf } from '../../app/utils/schoolDays'

/** Days and times by the school's own clock. */

function at(zone: string): void {
  openWindow()
  useClassroom().zone = zone
}

test('day and time are the school’s, wherever this computer stands', () => {
  const moment = Date.parse('2026-11-24T22:30:00Z')
  at('Pacific/Auckland')
  expect([dayOf(moment), timeOf(moment)]).toEqual(['2026-11-25', '11:30'])
  at('Pacific/Honolulu')
  expect([dayOf(moment), timeOf(moment)]).toEqual(['2026-11-24', '12:30'])
})

test.each([
  ['in the morning', '2026-11-24T09:10:00Z', { day: '2026-11-24', at: '09:30' }],
  ['on the very half hour', '2026-11-24T10:30:00Z', { day: '2026-11-24', at: '10:30' }],
  ['before school', '2026-11-24T05:45:00Z', { day: '2026-11-24', at: '09:00' }],
  ['after school', '2026-11-24T15:20:00Z', { day: '2026-11-25', at: '09:00' }],
  ['just before midnight', '2026-11-24T23:50:00Z', { day: '2026-11-25', at: '09:00' }],
  ['on a Friday evening', '2026-11-27T18:00:00Z', { day: '2026-11-30', at: '09:00' }],
  ['on a Sunday', '2026-11-29T11:00:00Z', { day: '2026-11-30', at: '09:00' }],
])('a lesson that is planned %s is proposed for the next time in school', (_, now, proposed) => {
  at('UTC')
  expect(nextLessonTime(Date.parse(now))).toEqual(proposed)
})

test('the time proposed has never passed, in any zone', () => {
  for (const zone of ['Pacific/Auckland', 'Asia/Kathmandu', 'America/New_York', 'UTC']) {
    at(zone)
    for (let hour = 0; hour < 24 * 14; hour++) {
      const now = Date.parse('2026-10-26T00:07:00Z') + hour * 3_600_000
      const { day, at: time } = nextLessonTime(now)
      expect([zone, `${day} ${time}` >= `${dayOf(now)} ${timeOf(now)}`]).toEqual([zone, true])
    }
  }
})
