import type { Role } from '../../shared/roles'

/** Who may use an address in one way: a role and those above it, or anybody, signed in or not. */
export type Needs = Role | 'anybody'

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/**
 * Every address of the API, how it may be asked, and the least role that may. A file under server/api without its line here is not
 * reached (tests/server/doors.test.ts holds the two together).
 */
export const ROUTES: Readonly<Record<string, Partial<Readonly<Record<Method, Needs>>>>> = {
  '/api/classroom': { GET: 'looker-on', PUT: 'teacher' },
  '/api/learners': { POST: 'teacher' },
  '/api/learners/:id': { GET: 'teacher', PUT: 'teacher', DELETE: 'keeper' },
  '/api/learners/:id/recordings': { GET: 'looker-on', PUT: 'teacher' },
  '/api/recordings/:id': { GET: 'looker-on', DELETE: 'teacher' },
  '/api/roster': { POST: 'teacher' },
  '/api/glance': { GET: 'looker-on' },
  '/api/moments': { GET: 'looker-on' },
  '/api/moments/:id': { PUT: 'teacher', DELETE: 'teacher' },
  '/api/searches': { GET: 'looker-on', PUT: 'teacher' },
  '/api/notches': { GET: 'looker-on', PUT: 'teacher', DELETE: 'teacher' },
  '/api/records': { GET: 'looker-on', POST: 'helper' },
  '/api/records/:id': { GET: 'looker-on', DELETE: 'teacher' },
  '/api/records/file': { GET: 'teacher', POST: 'teacher' },
  '/api/trials': { POST: 'helper' },
  '/api/trials/:id': { GET: 'looker-on', DELETE: 'helper' },
  '/api/trials/file': { GET: 'teacher', POST: 'teacher' },
  '/api/tried/file': { GET: 'teacher' },
  '/api/rules': { GET: 'looker-on', PUT: 'teacher' },
  '/api/progress': { GET: 'looker-on' },
  '/api/goals/:id': { PUT: 'teacher', DELETE: 'teacher' },
  '/api/decisions': { POST: 'teacher' },
  '/api/scenes': { GET: 'looker-on', PUT: 'teacher' },
  '/api/rehearsals': { GET: 'looker-on', POST: 'helper', DELETE: 'teacher' },
  '/api/rehearsals/file': { GET: 'teacher', POST: 'teacher' },
  '/api/markings': { GET: 'looker-on', POST: 'helper' },
  '/api/markings/:id': { PUT: 'teacher' },
  '/api/markings/worked': { GET: 'looker-on' },
  '/api/courses': { GET: 'looker-on' },
  '/api/courses/:id': { PUT: 'teacher', DELETE: 'teacher' },
  '/api/courses/chosen': { PUT: 'teacher' },
  '/api/cupboard': { GET: 'looker-on', PUT: 'teacher' },
  '/api/prints': { GET: 'looker-on' },
  '/api/prints/:id': { PUT: 'teacher', DELETE: 'teacher' },
  '/api/printed/:id': { GET: 'looker-on', PUT: 'helper' },
  '/api/standings': { GET: 'looker-on' },
  '/api/lessons': { GET: 'looker-on' },
  '/api/lessons/:id': { GET: 'looker-on', PUT: 'teacher', DELETE: 'teacher' },
  '/api/session': { GET: 'anybody', POST: 'anybody', DELETE: 'anybody' },
  '/api/session/code': { POST: 'anybody' },
  '/api/session/passphrase': { PUT: 'looker-on' },
  '/api/people': { GET: 'keeper', POST: 'keeper' },
  '/api/people/first': { POST: 'keeper' },
  '/api/people/:id': { PUT: 'keeper', DELETE: 'keeper' },
  '/api/people/:id/code': { POST: 'keeper' },
  '/api/people/:id/sessions': { DELETE: 'keeper' },
  '/api/happenings': { GET: 'keeper' },
  '/api/backups': { GET: 'keeper', POST: 'keeper' },
  '/api/backups/restore': { POST: 'keeper' },
  '/api/keeping': { GET: 'keeper', PUT: 'keeper' },
}

/** The line of ROUTES for a path; a word that stands there comes before `:id`. */
export function routeOf(path: string): (typeof ROUTES)[string] | undefined {
  const exact = ROUTES[path]
  if (exact) return exact
  const parts = path.split('/')
  return Object.entries(ROUTES).find(([pattern]) => {
    const wanted = pattern.split('/')
    return wanted.length === parts.length && wanted.every((w, i) => (w === ':id' ? parts[i] !== '' : w === parts[i]))
  })?.[1]
}
