import type { Printed, PrintSet } from '../../shared/prints'
import type { Db } from './open'
import { keepVersion } from './versioned'

interface Row {
  readonly id: string
  readonly title: string
  readonly body: string
  readonly version: number
}

/** Print sets, and lists of problems that were printed. Statements are prepared once per database. */
export function printTable(db: Db) {
  const one = db.prepare<[string], Row>('SELECT id, title, body, version FROM print_set WHERE id = ?')
  const all = db.prepare<[], Row>('SELECT id, title, body, version FROM print_set ORDER BY title, id LIMIT 500')
  const put = db.prepare(
    `INSERT INTO print_set (id, title, body, version) VALUES (@id, @title, @body, @version)
     ON CONFLICT (id) DO UPDATE SET title = @title, body = @body, version = @version`,
  )
  const remove = db.prepare<[string]>('DELETE FROM print_set WHERE id = ?')
  const list = db.prepare<[string], string>('SELECT problems FROM printed WHERE code = ?').pluck()
  const putList = db.prepare<[string, string, number]>(
    'INSERT OR IGNORE INTO printed (code, problems, printed_at) VALUES (?, ?, ?)',
  )
  const read = ({ id, title, body, version }: Row): PrintSet => ({
    ...(JSON.parse(body) as Omit<PrintSet, 'id' | 'title' | 'version'>),
    id,
    title,
    version,
  })
  return {
    printSets: (): PrintSet[] => all.all().map(read),
    printSet: (id: string): PrintSet | undefined => {
      const row = one.get(id)
      return row && read(row)
    },
    /** Keeps a set changed from a version (0: new); undefined where it has been changed since, and stays as it is. */
    keepPrintSet: db.transaction((set: PrintSet): PrintSet | undefined => {
      const there = one.get(set.id)
      return keepVersion(there && read(there), set, ({ id, title, version, ...body }) =>
        put.run({ id, title, version, body: JSON.stringify(body) }),
      )
    }),
    removePrintSet: (id: string): boolean => remove.run(id).changes > 0,
    printed: (code: string): Printed | undefined => {
      const problems = list.get(code)
      return problems === undefined ? undefined : { code, problems: JSON.parse(problems) as string[] }
    },
    /** Keeps what was printed under its code; the same list again is the same one. */
    keepPrinted: ({ code, problems }: Printed, at: number): void =>
      void putList.run(code, JSON.stringify(problems), at),
  }
}
