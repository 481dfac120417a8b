import fc from 'fast-check'
import { daysFrom } from '../../shared/days'
import { schoolWeekOf, shortDay } from '../../app/utils/week'

/** The school days of a week. */

test('a weekday has its own week, a weekend the week that comes', () => {
  const week = ['2026-11-30', '2026-12-01', '2026-12-02', '2026-12-03', '2026-12-04']
  for (const day of ['2026-11-28', '2026-11-29', ...week]) expect(schoolWeekOf(day)).toEqual(week)
  expect(schoolWeekOf('2026-12-05')[0]).toBe('2026-12-07')
})

test('on any day: five days from a Monday on, over the ends of months and years', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 9000 }), (by) => {
      const week = schoolWeekOf(daysFrom('2015-01-01', by))
      expect(week.map((d) => shortDay(d).name)).toEqual(['Mon', 'Tue', 'Wed', 'Thu', 'Fri'])
      week.slice(1).forEach((day, i) => expect(day).toBe(daysFrom(week[i]!, 1)))
    }),
  )
  expect(shortDay('2026-12-01')).toEqual({ name: 'Tue', number: 1 })
})
