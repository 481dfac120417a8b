import type { RecordPage, RecordQuery, RecordSummary } from '../../shared/listing'
import type { Db } from './open'

/** Tables of what was tried that are listed alike, each with a table of its slips. */
type Listed = 'record' | 'trial'

type Row = Omit<RecordSummary, 'right' | 'slips'> & { right: number; slips: string }

/** The columns of a summary. */
export const summaryColumns = (table: Listed): string =>
  `${table}.id, learner_id AS learnerId, ${table}.started_at AS startedAt, duration_ms AS durationMs, problem, material, mode,
  is_right AS "right", help, note, slips, ${table === 'trial' ? 'kind' : `'bench' AS kind`}`

export const summaryOf = (row: Row): RecordSummary => ({
  ...row,
  right: row.right === 1,
  slips: JSON.parse(row.slips) as string[],
})

/** What a list may be narrowed by, as SQL; `slip` is looked up in its own table, which has it in the order of time. */
const narrowedBy = (table: Listed) =>
  ({
    learner: 'learner_id = @learner',
    problem: 'problem = @problem',
    material: 'material = @material',
    // Only work at the Bench has a way.
    way: table === 'record' ? 'way = @way' : `'' = @way`,
    help: `${table}.help = @help`,
    came: `${table}.is_right = (@came = 'right')`,
    group: `learner_id IN (SELECT l.id FROM learner l, json_each(l.in_groups) g WHERE g.value = @group)`,
    slip: `${table}_slip.slip = @slip`,
    from: `${table}.started_at >= @from`,
    to: `${table}.started_at < @to || 'T24'`,
  }) as const
type Key = keyof ReturnType<typeof narrowedBy>

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
  const narrowed = narrowedBy(table)
  const slips = db.prepare<[], string>(distinct(`${table}_slip`, 'slip')).pluck()
  const materials = db.prepare<[], string>(distinct(table, 'material')).pluck()
  const lists = new Map<string, ReturnType<typeof db.prepare<[object], Row>>>()

  /** The statement of a list narrowed in some ways; there are few of them, so each is kept. */
  function listBy(keys: readonly Key[], goesOn: boolean, only: boolean) {
    const bySlip = keys.includes('slip')
    const time = bySlip ? `${table}_slip.started_at` : `${table}.started_at`
    const id = bySlip ? `${table}_slip.${table}_id` : `${table}.id`
    const where = [
      ...keys.map((k) => narrowed[k]),
      ...(goesOn ? [`(${time}, ${id}) < (@time, @id)`] : []),
      ...(only ? ['learner_id IN (SELECT value FROM json_each(@only))'] : []),
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
      const keys = (Object.keys(narrowed) as Key[]).filter((k) => by[k] !== undefined)
      const [time = '', id = ''] = before?.split('_') ?? []
      return listBy(keys, before !== undefined, only !== null)
        .all({ ...by, time, id, limit: limit + 1, ...(only === null ? {} : { only: JSON.stringify(only) }) })
        .map(summaryOf)
    },
    slips: () => slips.all(),
    materials: () => materials.all().filter((m) => m !== ''),
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
    /** What a list may be narrowed by: every slip and every material that something has. */
    known: (): RecordPage['known'] => ({
      slips: merged(records.slips(), trials.slips()),
      materials: merged(records.materials(), trials.materials()),
    }),
  }
}
