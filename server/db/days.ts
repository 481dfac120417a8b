import { daysFrom } from '../../shared/days'
import type { Db } from './open'
import { useZone } from './open'

/** Days of the school in a database that is in order of moments. A day begins at most so far from its name in universal time. */

/** A moment before which everything of the days before a day began, wherever the school is. */
export const afterAll = (day: string): string => `${daysFrom(day, 1)}T00`
/** A moment after which everything of a day began. */
export const beforeAll = (day: string): string => daysFrom(day, -1)

/** The moments around the beginning of a day, as `countedBefore` asks for them. */
export const boundsOf = (day: string) => ({ sure: beforeAll(day), last: afterAll(day), day })

/** How many rows are from before a day: all but those of the hours around its beginning are counted by their moment, in an index alone. */
export const countedBefore = (table: 'record' | 'trial'): string =>
  `SELECT (SELECT count(*) FROM ${table} WHERE started_at < @sure)
     + (SELECT count(*) FROM ${table} WHERE started_at >= @sure AND started_at < @last AND on_day < @day)`

/** Sets the school's time zone, and tells the day of everything that was tried anew in it: both or neither. */
export function moveDays(db: Db, zone: string): void {
  useZone(db, zone)
  db.transaction(() => {
    db.prepare(
      "INSERT INTO setting (name, value) VALUES ('zone', json_quote(?)) ON CONFLICT (name) DO UPDATE SET value = excluded.value",
    ).run(zone)
    for (const [table, at] of [
      ['record', 'started_at'],
      ['trial', 'started_at'],
      ['rehearsal', 'answered_at'],
    ] as const)
      db.exec(`UPDATE ${table} SET on_day = school_day(${at}) WHERE on_day <> school_day(${at})`)
    for (const table of ['record', 'trial'] as const)
      db.exec(`UPDATE ${table}_slip SET on_day = (SELECT on_day FROM ${table} WHERE id = ${table}_id)`)
  })()
}
