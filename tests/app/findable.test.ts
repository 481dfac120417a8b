import { findIn, indexOf, type Findable } from '../../app/utils/findable'

/** Finding by name, with slips of the typing hand. */

const items: readonly Findable[] = [
  { id: '1', kind: 'action', label: 'Plan a lesson' },
  { id: '2', kind: 'page', label: 'Lessons', more: 'Plan' },
  { id: '3', kind: 'learner', label: 'Wren', more: 'Blue table' },
  { id: '4', kind: 'learner', label: 'Pip', more: 'Red table' },
  { id: '5', kind: 'step', label: 'Tens and ones, one exchange', more: 'taking away' },
  { id: '6', kind: 'material', label: 'Base-ten blocks' },
]
const found = (typed: string): readonly string[] => findIn(indexOf(items), items, typed).map((f) => f.label)

test.each([
  ['wren', 'Wren'],
  ['Wrem', 'Wren'],
  ['exchnage', 'Tens and ones, one exchange'],
  ['bloks', 'Base-ten blocks'],
  ['les', 'Lessons'],
])('%s finds %s first', (typed, first) => expect(found(typed)[0]).toBe(first))

test('all words have to fit, wherever they stand', () => {
  expect(found('blue table')).toEqual(['Wren'])
  expect(found('wren blocks')).toEqual([])
})

test('nothing typed shows what can be done and where one can go', () =>
  expect(found('  ')).toEqual(['Plan a lesson', 'Lessons']))
