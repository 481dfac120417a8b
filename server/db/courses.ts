import type { KeptCourse } from '../../shared/courses'
import type { Course } from '../../core/course/index'
import type { Db } from './open'
import { keepVersion } from './versioned'

/** What the school has made of courses, by id. Statements are prepared once per database. */
export function courseTable(db: Db) {
  type Row = { readonly body: string; readonly version: number }
  const read = ({ body, version }: Row): KeptCourse => ({ ...(JSON.parse(body) as Course), version })
  const all = db.prepare<[], Row>('SELECT body, version FROM course ORDER BY id')
  const one = db.prepare<[string], Row>('SELECT body, version FROM course WHERE id = ?')
  const put = db.prepare<[string, string, number]>(
    `INSERT INTO course (id, body, version) VALUES (?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET body = excluded.body, version = excluded.version`,
  )
  const remove = db.prepare<[string]>('DELETE FROM course WHERE id = ?')
  return {
    courses: (): KeptCourse[] => all.all().map(read),
    course: (id: string): KeptCourse | undefined => {
      const row = one.get(id)
      return row && read(row)
    },
    /** Keeps a course changed from a version (0: new); undefined where it has been changed since, and stays as it is. */
    keepCourse: db.transaction((course: Course, version: number): KeptCourse | undefined => {
      const there = one.get(course.id)
      return keepVersion(there && read(there), { ...course, version }, ({ version: kept, ...body }) =>
        put.run(course.id, JSON.stringify(body), kept),
      )
    }),
    removeCourse: (id: string): boolean => remove.run(id).changes > 0,
  }
}
