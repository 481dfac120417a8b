import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { movedTo, placeOf, PLACES, SETTINGS, tabOf } from '../../app/utils/places'
import frame from '../../app/locales/en/frame.json'

/** Five places and Settings, their tabs, and the addresses that pages had before. */

const isPage = (path: string): boolean =>
  [`${path}.vue`, `${path}/index.vue`].some((file) => existsSync(join('app/pages', file)))

test('every place and every tab leads to a page, and has a name', () => {
  for (const place of [...PLACES, SETTINGS]) {
    expect(frame).toHaveProperty([`frame.${place.id}`])
    for (const { to, id } of [place, ...place.tabs]) {
      expect([to, isPage(to)]).toEqual([to, true])
      expect(frame).toHaveProperty([`frame.${id}`])
    }
  }
})

test.each([
  ['/plan/lessons/new', 'plan', 'lessons'],
  ['/plan/print/embosser', 'plan', 'print'],
  ['/learners', 'learners', 'all'],
  ['/learners/marking', 'learners', 'marking'],
  ['/learners/0000/voice', 'learners', 'all'],
  ['/practice/facts', 'practice', 'facts'],
  ['/settings/people', 'settings', 'people'],
  ['/bench/spinner', 'bench', undefined],
])('%s belongs to %s, tab %s', (path, place, tab) => {
  expect(placeOf(path)?.id).toBe(place)
  expect(tabOf(placeOf(path)!, path)?.id).toBe(tab)
})

test('what only begins like a place belongs to none', () => {
  for (const path of ['/', '/sign-in', '/planning', '/benches/1', '/learnersx']) expect(placeOf(path)).toBeUndefined()
})

test('every old address leads to a page, with what stood after it where that named a lesson or a learner', () => {
  const old = [...readFileSync('app/utils/places.ts', 'utf8').matchAll(/^ {2}\['(\/[a-z-]+)', '/gm)].map((m) => m[1]!)
  expect(old.length).toBeGreaterThan(25)
  for (const path of old) expect([path, isPage(movedTo(path)!)]).toEqual([path, true])
  expect(movedTo('/lesson/new')).toBe('/plan/lessons/new')
  expect(movedTo('/learner/7/voice')).toBe('/learners/7/voice')
  expect(movedTo('/daybook/')).toBe('/learners/records')
  // Nothing is led on twice, and what is no address of before stays where it is.
  for (const path of ['/today', '/learners/7', '/settings', '/bench', '/facts/x', '/'])
    expect(movedTo(path)).toBeUndefined()
  for (const path of old) expect(movedTo(movedTo(path)!)).toBeUndefined()
})
