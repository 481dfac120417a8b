import Papa from 'papaparse'

/**
 * A school's own list as OneRoster 1.1 CSV has it (1EdTech, “OneRoster 1.1 CSV Tables”, 2017; from memory): users, classes and
 * enrollments. It is read in the browser, so that names and whatever else stands in such files never leave it.
 */

export interface RosterFile {
  readonly name: string
  readonly text: string
}
/** A line that is not taken, and why. */
export interface BadLine {
  readonly file: string
  /** As an editor counts: the first line is the one of headings. */
  readonly line: number
  readonly reason: string
}
export interface OnRoster {
  readonly rosterId: string
  readonly given: string
  readonly family: string
  /** Identifiers of the classes that they are in. */
  readonly classes: readonly string[]
  /** Marked to be deleted, or not enabled any more. */
  readonly gone: boolean
}
export interface ReadRoster {
  readonly classes: readonly { readonly id: string; readonly title: string; readonly learners: number }[]
  readonly people: readonly OnRoster[]
  readonly bad: readonly BadLine[]
}

type TableName = 'users' | 'classes' | 'enrollments'
/** What each table cannot do without. */
const WANTED: Readonly<Record<TableName, readonly string[]>> = {
  users: ['sourcedId', 'enabledUser', 'orgSourcedIds', 'role', 'username', 'givenName', 'familyName'],
  classes: ['sourcedId', 'title', 'courseSourcedId', 'classType', 'schoolSourcedId', 'termSourcedIds'],
  enrollments: ['sourcedId', 'classSourcedId', 'schoolSourcedId', 'userSourcedId', 'role'],
}
const USER_ROLES = ['administrator', 'aide', 'guardian', 'parent', 'proctor', 'relative', 'student', 'teacher']
const ENROLLED_AS = ['administrator', 'proctor', 'student', 'teacher']
const CLASS_TYPES = ['homeroom', 'scheduled']
const STATUS = ['', 'active', 'tobedeleted']
const TABLES = Object.keys(WANTED) as TableName[]

/** The largest of such files, in characters, and the most lines of one. */
export const MOST_ROSTER = 20_000_000
const MOST_LINES = 100_000

interface Line {
  readonly at: number
  readonly of: Readonly<Record<string, string>>
}
const baseName = (name: string): string => name.toLowerCase().replace(/^.*[/\\]/, '')

/** The lines of a table, with those that are broken put on the list. @throws Error where the file is no such table. */
function linesOf({ name, text }: RosterFile, table: TableName, bad: BadLine[]): readonly Line[] {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false })
  const heads = (data[0] ?? []).map((h) => h.trim())
  const missing = WANTED[table].filter((h) => !heads.includes(h))
  if (missing.length > 0)
    throw new Error(
      `${name} has no column ${missing.join(', ')}. A ${table}.csv of OneRoster 1.1 begins with a line of headings.`,
    )
  if (data.length > MOST_LINES) throw new Error(`${name} has more than ${MOST_LINES.toLocaleString('en')} lines.`)
  const broken = new Map(errors.map((e) => [e.row ?? 0, e.message]))
  // A quoted value may hold line ends, so that a row is not always one line of the file.
  let at = 1
  return data.flatMap((cells, row) => {
    const line = at
    at += 1 + cells.reduce((n, c) => n + (c.match(/\r\n|\n|\r/g)?.length ?? 0), 0)
    if (row === 0 || (cells.length === 1 && cells[0]!.trim() === '')) return []
    const tell = (reason: string): [] => (bad.push({ file: name, line, reason }), [])
    if (broken.has(row)) return tell('A quotation mark is not closed, or stands where none may.')
    if (cells.length !== heads.length) return tell(`It has ${cells.length} values; the headings are ${heads.length}.`)
    const of = Object.fromEntries(heads.map((h, i) => [h, cells[i]!.trim()]))
    const empty = WANTED[table].find((h) => of[h] === '')
    if (empty) return tell(`${empty} is empty.`)
    if (!STATUS.includes((of.status ?? '').toLowerCase()))
      return tell(`Its status is ${of.status}: active or tobedeleted is wanted.`)
    return [{ at: line, of }]
  })
}

/** Lines whose identifier stands once; a second one is put on the list. */
function once(file: string, lines: readonly Line[], bad: BadLine[]): ReadonlyMap<string, Line> {
  const byId = new Map<string, Line>()
  for (const line of lines) {
    const id = line.of.sourcedId!
    const first = byId.get(id)
    if (first) bad.push({ file, line: line.at, reason: `The sourcedId ${id} stands on line ${first.at} already.` })
    else byId.set(id, line)
  }
  return byId
}

const gone = ({ of }: Line): boolean => of.status?.toLowerCase() === 'tobedeleted'

/**
 * Learners and classes of the files that are given; what cannot be taken is listed with its line and the reason. Files of other tables
 * are left alone. @throws Error saying which table is missing, or is none.
 */
export function readRoster(files: readonly RosterFile[]): ReadRoster {
  const found = Object.fromEntries(
    TABLES.map((t) => [t, files.find((f) => baseName(f.name) === `${t}.csv`)]),
  ) as Record<TableName, RosterFile | undefined>
  const missing = TABLES.filter((t) => !found[t])
  if (missing.length > 0)
    throw new Error(`Choose ${missing.map((t) => `${t}.csv`).join(' and ')} too, or the whole zip file.`)
  const manifest = files.find((f) => baseName(f.name) === 'manifest.csv')
  const version = /oneroster\.version"?,"?([\d.]+)/.exec(manifest?.text ?? '')?.[1]
  if (version && !/^1\.[01]/.test(version))
    throw new Error(`These files are of OneRoster ${version}; 1.1 is read here.`)
  const bad: BadLine[] = []
  const tables = Object.fromEntries(TABLES.map((t) => [t, linesOf(found[t]!, t, bad)])) as Record<
    TableName,
    readonly Line[]
  >
  /** Lines of a table whose value is one of some. */
  const sound = (table: TableName, key: string, allowed: readonly string[]): ReadonlyMap<string, Line> =>
    once(
      found[table]!.name,
      tables[table].filter(({ at, of }) => {
        const fits = allowed.includes(of[key]!)
        if (!fits)
          bad.push({
            file: found[table]!.name,
            line: at,
            reason: `Its ${key} is ${of[key]}, which the format does not have.`,
          })
        return fits
      }),
      bad,
    )
  const users = sound('users', 'role', USER_ROLES)
  const classes = sound('classes', 'classType', CLASS_TYPES)
  const enrolled = sound('enrollments', 'role', ENROLLED_AS)
  const classesOf = new Map<string, string[]>()
  for (const line of enrolled.values()) {
    const { classSourcedId, userSourcedId, role } = line.of
    const tell = (reason: string): unknown => bad.push({ file: found.enrollments!.name, line: line.at, reason })
    if (!users.has(userSourcedId!)) tell(`Nobody in users.csv is called ${userSourcedId}.`)
    else if (!classes.has(classSourcedId!)) tell(`No class in classes.csv is called ${classSourcedId}.`)
    else if (role === 'student' && !gone(line))
      classesOf.set(userSourcedId!, [...(classesOf.get(userSourcedId!) ?? []), classSourcedId!])
  }
  const people = [...users.values()].flatMap((line): OnRoster[] => {
    const { sourcedId, role, givenName, familyName, enabledUser } = line.of
    if (!/^(?:true|false)$/i.test(enabledUser!)) {
      bad.push({
        file: found.users!.name,
        line: line.at,
        reason: `Its enabledUser is ${enabledUser}: true or false is wanted.`,
      })
      return []
    }
    if (role !== 'student') return []
    const classes = classesOf.get(sourcedId!) ?? []
    const left = gone(line) || /^false$/i.test(enabledUser!)
    return [{ rosterId: sourcedId!, given: givenName!, family: familyName!, classes, gone: left }]
  })
  const within = new Map<string, number>()
  for (const p of people) if (!p.gone) for (const c of new Set(p.classes)) within.set(c, (within.get(c) ?? 0) + 1)
  return {
    classes: [...classes.values()]
      .filter((line) => !gone(line))
      .map(({ of }) => ({ id: of.sourcedId!, title: of.title!, learners: within.get(of.sourcedId!) ?? 0 })),
    people,
    bad: bad.sort((a, b) => a.file.localeCompare(b.file) || a.line - b.line),
  }
}
