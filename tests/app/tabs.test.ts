import { inherit } from '../../app/utils/tabs'
import { keptDraft, keptDrafts, type Draft } from '../../app/utils/kept'
import { keptLine } from '../../app/utils/queued'

/** Drafts of several windows in one browser. */

const draft = (id: string, startedAt: string): Draft => ({ id, startedAt, work: {} as never })
function storageOf(entries: Record<string, string>): Storage {
  const kept: Record<string, string> = { ...entries }
  Object.defineProperties(kept, {
    getItem: { value: (key: string) => kept[key] ?? null },
    setItem: { value: (key: string, text: string) => void (kept[key] = text) },
    removeItem: { value: (key: string) => Reflect.deleteProperty(kept, key) },
  })
  return kept as unknown as Storage
}
const drafts = (...list: [string, Draft][]): Record<string, string> =>
  Object.fromEntries(list.map(([key, d]) => [key, keptDraft.write(d)]))
const [old, newer, mine] = [
  draft('a', '2026-11-24T09:00:00Z'),
  draft('b', '2026-11-24T10:00:00Z'),
  draft('c', '2026-11-24T11:00:00Z'),
]

test('a window takes over the newest draft of those that are gone; the others go on the pile, and nothing is lost', () => {
  const storage = storageOf(drafts(['sett.draft.x', old], ['sett.draft.y', newer]))
  inherit(storage, 'me', () => false)
  expect(keptDraft.read(storage.getItem('sett.draft.me')!)).toEqual(newer)
  expect(keptDrafts.read(storage.getItem('sett.aside')!)).toEqual([old])
  expect(Object.keys(storage).sort()).toEqual(['sett.aside', 'sett.draft.me'])
})

test('what lies in a living window stays there, and is not called left', () => {
  const storage = storageOf(drafts(['sett.draft.x', old], ['sett.draft.y', newer]))
  inherit(storage, 'me', (tab) => tab === 'x' || tab === 'y')
  expect(storage.getItem('sett.draft.me')).toBeNull()
  expect(storage.getItem('sett.aside')).toBeNull()
  expect(keptDraft.read(storage.getItem('sett.draft.x')!)).toEqual(old)
})

test('a window with work of its own keeps it; the draft of an earlier version is taken in too', () => {
  const storage = storageOf({
    ...drafts(['sett.draft', old], ['sett.draft.me', mine]),
    'sett.draft.z': 'null',
    'sett.drafts-of-others': 'x',
  })
  inherit(storage, 'me', () => false)
  expect(keptDraft.read(storage.getItem('sett.draft.me')!)).toEqual(mine)
  expect(keptDrafts.read(storage.getItem('sett.aside')!)).toEqual([old])
  expect(storage.getItem('sett.draft')).toBeNull()
  expect(storage.getItem('sett.draft.z')).toBeNull()
  expect(storage.getItem('sett.drafts-of-others')).toBe('x')
})

test('problems that waited in a window that is gone wait in the next one, unless it has its own', () => {
  const line = (problem: string): string => JSON.stringify({ now: null, next: [{ problem }] })
  const storage = storageOf({
    'sett.queue.x': line('3 + 4'),
    'sett.queue.live': line('5 + 5'),
    'sett.queue': '["2 + 2"]',
  })
  inherit(storage, 'me', (tab) => tab === 'live')
  expect(keptLine.read(storage.getItem('sett.queue.me')!).next).toEqual([{ problem: '2 + 2' }])
  expect(Object.keys(storage).sort()).toEqual(['sett.queue.live', 'sett.queue.me'])
  storage.setItem('sett.queue.y', line('8 + 8'))
  inherit(storage, 'me', (tab) => tab === 'live')
  expect(keptLine.read(storage.getItem('sett.queue.me')!).next).toEqual([{ problem: '2 + 2' }])
})
