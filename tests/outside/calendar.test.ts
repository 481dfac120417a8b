import { convertIcsCalendar } from 'ts-ics'
import { calendarOf } from '../../app/utils/calendar'

/** The file for a calendar, against RFC 5545 (sections 3.1, 3.3.5, 3.6.1, 3.8) and as another library reads it. */

const lessons = [
  {
    id: '3f0e1111-1111-4111-8111-111111111111',
    day: '2026-11-27',
    at: '09:30',
    minutes: 12,
    version: 2,
    names: ['Wren', 'Pip'],
    steps: ['Tens and ones, one exchange; with blocks', `A step of the school’s own — ${'långsam '.repeat(20)}`],
  },
  {
    id: '3f0e1111-1111-4111-8111-222222222222',
    day: '2026-12-31',
    at: '23:50',
    minutes: 20,
    version: 1,
    names: ['Fen'],
    steps: ['Across a nought'],
  },
]
const stamp = new Date('2026-11-24T12:00:00Z')

test('lines end with CRLF and have at most 75 octets; every event has what it must', async () => {
  const text = await calendarOf(lessons, stamp)
  expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true)
  const lines = text.split('\r\n')
  for (const line of lines) {
    expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    expect(line).not.toMatch(/[\r\n]/)
  }
  expect(lines.slice(0, 2)).toEqual(['BEGIN:VCALENDAR', 'VERSION:2.0'])
  expect(lines.some((l) => l.startsWith('PRODID:'))).toBe(true)
  for (const must of ['UID:', 'DTSTAMP:20261124T120000Z', 'SEQUENCE:'])
    expect(lines.filter((l) => l.startsWith(must))).toHaveLength(2)
  // Local times without a zone: the school’s own half past nine.
  expect(lines).toEqual(expect.arrayContaining(['DTSTART:20261127T093000', 'DTEND:20261127T094200']))
  // Over midnight, into the next year.
  expect(lines).toEqual(expect.arrayContaining(['DTSTART:20261231T235000', 'DTEND:20270101T001000']))
})

test('another library reads the same lessons from it', async () => {
  const { events = [] } = convertIcsCalendar(undefined, await calendarOf(lessons, stamp))
  expect(events.map((e) => [e.uid, e.summary, e.sequence])).toEqual([
    [`${lessons[0]!.id}@sett.invalid`, 'Lesson: Wren, Pip', 2],
    [`${lessons[1]!.id}@sett.invalid`, 'Lesson: Fen', 1],
  ])
  expect(events[0]!.description!.replaceAll('\\n', '\n')).toBe(lessons[0]!.steps.join('\n'))
})
