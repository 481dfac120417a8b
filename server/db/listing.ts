import { daysFrom } from '../../shared/days'
import type { RecordPage, RecordQuery, RecordSummary } from '../../shared/listing'
import { afterAll, beforeAll } from './days'
import type { Db } from './open'

/** Tables of what was tried that are listed alike, each with a table of its slips. */
type Listed = 'record' | 'trial'

type Row = Omit<RecordSummary, 'right' | 'slips'> & { right: number; slips: string }

/** The columns of a summary. */
export const summaryColumns = (table: Listed): string =>
  `${table}.id, ${table}.learner_id AS learnerId, ${table}.started_at AS startedAt, duration_ms AS durationMs, problem, material, mode,
  ${table}.on_day AS day, is_right AS "right", help, note, slips, ${table === 'trial' ? `kind, 'sound' AS replay` : `'bench' AS kind, CASE looked WHEN 0 THEN 'waiting' WHEN 2 THEN 'broken' ELSE 'sound' END AS replay`}`

export const summaryOf = (row: Row): RecordSummary => ({
  ...row,
  right: row.right === 1,
  slips: JSON.parse(row.slips) as string[],
})

/** What a list may be narrowed by, as SQL; `slip` is looked up in its own table, which has it in the order of time, and by learner. */
const narrowedBy = (table: Listed, learner: string) =>
  ({
    learner: `${learner} = @learner`,
    problem: 'problem = @problem',
    material: 'material = @material',
    // Only work at the Bench has a way.
    way: table === 'record' ? 'way = @way' : `'' = @way`,
    help: `${table}.help = @help`,
    came: `${table}.is_right = (@came = 'right')`,
    group: `${learner} IN (SELECT l.id FROM learner l, json_each(l.in_groups) g WHERE g.value = @group)`,
    slip: `${table}_slip.slip = @slip`,
    from: `${table}.started_at >= @beforeFrom AND ${table}.on_day >= @from`,
    to: `${table}.started_at < @afterTo AND ${table}.on_day <= @to`,
  }) as const
type Key = keyof ReturnType<typeof narrowedBy>
const KEYS = Object.keys(narrowedBy('record', '')) as Key[]

/** Values that a column has, each found by one step in its index instead of by reading all rows. */
const distinct = (table: string, column: string): string => `
  WITH RECURSIVE known (v) AS (
    SELECT min(${column}) FROM ${table}
    UNION ALL
    SELECT (SELECT min(${column}) FROM ${table} WHERE ${column} > known.v) FROM known WHERE known.v IS NOT NULL
  )
  SELECT v FROM known WHERE v IS NOT NULL`

/** The list of one table. Statements are prepared once per database. */
function listOf(db: Db, table: Listed) {
  const slips = db.prepare<[], string>(distinct(`${table}_slip`, 'slip')).pluck()
  const materials = db.prepare<[], string>(distinct(table, 'material')).pluck()
  const OF = 'learner_id IN (SELECT value FROM json_each(?))'
  const slipsOf = db.prepare<[string], string>(`SELECT DISTINCT slip FROM ${table}_slip WHERE ${OF}`).pluck()
  const materialsOf = db.prepare<[string], string>(`SELECT DISTINCT material FROM ${table} WHERE ${OF}`).pluck()
  const lists = new Map<string, ReturnType<typeof db.prepare<[object], Row>>>()

  /** The statement of a list narrowed in some ways; there are few of them, so each is kept. */
  function listBy(keys: readonly Key[], goesOn: boolean, only: boolean) {
    const bySlip = keys.includes('slip')
    const learner = `${bySlip ? `${table}_slip` : table}.learner_id`
    const narrowed = narrowedBy(table, learner)
    const time = bySlip ? `${table}_slip.started_at` : `${table}.started_at`
    const id = bySlip ? `${table}_slip.${table}_id` : `${table}.id`
    const where = [
      ...keys.map((k) => narrowed[k]),
      ...(goesOn ? [`(${time}, ${id}) < (@time, @id)`] : []),
      ...(only ? [`${learner} IN (SELECT value FROM json_each(@only))`] : []),
    ]
    const from = bySlip ? `${table}_slip CROSS JOIN ${table} ON ${table}.id = ${table}_slip.${table}_id` : table
    const sql = `SELECT ${summaryColumns(table)} FROM ${from}
      ${where.length > 0 ? `WHERE ${where.join(' AND ')}` : ''} ORDER BY ${time} DESC, ${id} DESC LIMIT @limit`
    const known = lists.get(sql) ?? db.prepare<[object], Row>(sql)
    lists.set(sql, known)
    return known
  }
  return {
    latest: (query: RecordQuery, only: readonly string[] | null): readonly RecordSummary[] => {
      const { before, limit, step: _, ...by } = query
      const keys = KEYS.filter((k) => by[k] !== undefined)
      const [time = '', id = ''] = before?.split('_') ?? []
      return listBy(keys, before !== undefined, only !== null)
        .all({
          ...by,
          ...(by.from === undefined ? {} : { beforeFrom: beforeAll(by.from) }),
          ...(by.to === undefined ? {} : { afterTo: afterAll(daysFrom(by.to, 1)) }),
          time,
          id,
          limit: limit + 1,
          ...(only === null ? {} : { only: JSON.stringify(only) }),
        })
        .map(summaryOf)
    },
    slips: (only: readonly string[] | null) => (only ? slipsOf.all(JSON.stringify(only)) : slips.all()),
    materials: (only: readonly string[] | null) =>
      (only ? materialsOf.all(JSON.stringify(only)) : materials.all()).filter((m) => m !== ''),
  }
}

const later = (a: RecordSummary, b: RecordSummary): number =>
  `${b.startedAt}_${b.id}` < `${a.startedAt}_${a.id}` ? -1 : 1
const merged = (a: readonly string[], b: readonly string[]): readonly string[] => [...new Set([...a, ...b])].sort()

/** The Daybook’s list: work at the Bench and all that was tried besides, in one order of time. */
export function listingTable(db: Db) {
  const [records, trials] = [listOf(db, 'record'), listOf(db, 'trial')]
  return {
    /** A page of the list, the newest first; of `only` these learners, where that is given. */
    page: (query: RecordQuery, only: readonly string[] | null = null): Omit<RecordPage, 'known'> => {
      const all = [...records.latest(query, only), ...trials.latest(query, only)].sort(later)
      const page = all.slice(0, query.limit)
      const last = page.at(-1)
      return { records: page, next: all.length > query.limit && last ? `${last.startedAt}_${last.id}` : null }
    },
    /** What a list may be narrowed by: every slip and every material that something has; of `only` these learners, where that is given. */
    known: (only: readonly string[] | null = null): RecordPage['known'] => ({
      slips: merged(records.slips(only), trials.slips(only)),
      materials: merged(records.materials(only), trials.materials(only)),
    }),
  }
}
