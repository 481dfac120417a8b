import type { Role } from '../../shared/roles'

/** A page of a place that has a tab of its own. */
export interface Tab {
  readonly id: string
  readonly to: string
  /** The least role that it is for; without one it is for everybody. */
  readonly role?: Role
}
/** One of the five places, or Settings: its first tab is where its link leads. The folders of `app/pages` have the same names. */
export interface Place {
  readonly id: string
  readonly to: string
  readonly tabs: readonly Tab[]
}

const place = (id: string, to: string, tabs: readonly Tab[] = []): Place => ({ id, to, tabs })

/** The five places in the order of a teacher's day. */
const PLACES: readonly Place[] = [
  place('today', '/today'),
  place('plan', '/plan/steps', [
    { id: 'steps', to: '/plan/steps' },
    { id: 'problems', to: '/plan/problems' },
    { id: 'stories', to: '/plan/stories' },
    { id: 'lessons', to: '/plan/lessons', role: 'teacher' },
    { id: 'materials', to: '/plan/materials' },
    { id: 'print', to: '/plan/print' },
  ]),
  place('bench', '/bench'),
  place('learners', '/learners', [
    { id: 'all', to: '/learners' },
    { id: 'records', to: '/learners/records' },
    { id: 'notes', to: '/learners/notes' },
    { id: 'marking', to: '/learners/marking' },
  ]),
  place('practice', '/practice', [
    { id: 'facts', to: '/practice/facts' },
    { id: 'rules', to: '/practice' },
  ]),
]
const SETTINGS: Place = place('settings', '/settings/screen', [
  { id: 'room', to: '/settings', role: 'teacher' },
  { id: 'screen', to: '/settings/screen' },
  { id: 'safety', to: '/settings/safety', role: 'teacher' },
  { id: 'touchPoints', to: '/settings/touch-points' },
  { id: 'people', to: '/settings/people', role: 'keeper' },
  { id: 'backups', to: '/settings/backups', role: 'keeper' },
])

// Exported by name: the scan for names that Nuxt imports by itself would take `to` and `role` above for exports.
export { PLACES, SETTINGS }

const isWithin = (path: string, to: string): boolean => path === to || path.startsWith(`${to}/`)

/** The place that an address belongs to; undefined for the start and for signing in. */
export const placeOf = (path: string): Place | undefined =>
  [...PLACES, SETTINGS].find(({ id }) => isWithin(path, `/${id}`))

/** The tab that a page of a place belongs to: the one with the longest address that the page's own begins with. */
export const tabOf = ({ tabs }: Place, path: string): Tab | undefined =>
  tabs.filter(({ to }) => isWithin(path, to)).sort((a, b) => b.to.length - a.to.length)[0]

/** Whether a page is worked by or for one learner, who is chosen above it; the Bench has the choice beside its problem. */
export const isForLearner = (path: string): boolean =>
  /^\/(plan\/(steps|problems|stories)|practice|bench\/.)/.test(path)

/** Where pages were before Sett had five places, so that what was noted or linked leads there still. */
const MOVED: readonly (readonly [string, string])[] = [
  ['/courses', '/plan/steps'],
  ['/course', '/plan/courses'],
  ['/problems', '/plan/problems'],
  ['/stories', '/plan/stories'],
  ['/lesson', '/plan/lessons'],
  ['/cupboard', '/plan/materials'],
  ['/paper', '/plan/print'],
  ['/embosser', '/plan/print/embosser'],
  ['/board', '/bench/compare'],
  ['/missing', '/bench/missing'],
  ['/spinner', '/bench/spinner'],
  ['/stall', '/bench/shop'],
  ['/chains', '/bench/chains'],
  ['/braille', '/bench/braille'],
  ['/daybook', '/learners/records'],
  ['/note', '/learners/notes'],
  ['/marking', '/learners/marking'],
  ['/progress', '/learners/progress'],
  ['/timeline', '/learners/timeline'],
  ['/report', '/learners/reports'],
  ['/learner', '/learners'],
  ['/rehearse', '/practice'],
  ['/facts', '/practice/facts'],
  ['/room', '/settings'],
  ['/people', '/settings/people'],
  ['/keeping', '/settings/backups'],
  ['/notches', '/settings/touch-points'],
  ['/switch-box', '/settings/switch-box'],
  // Places that are no pages of their own.
  ['/plan', '/plan/steps'],
]

/** Where the page of an old address is now; undefined where the address is none. */
export function movedTo(path: string): string | undefined {
  const plain = path.length > 1 ? path.replace(/\/$/, '') : path
  for (const [old, now] of MOVED) {
    // Only a lesson and a learner had addresses of their own below them.
    if (plain === old) return now
    if (['/lesson', '/learner'].includes(old) && plain.startsWith(`${old}/`)) return now + plain.slice(old.length)
  }
  return undefined
}
