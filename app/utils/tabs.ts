import { keptDraft, keptDrafts, type Draft } from './kept'
import { keptLine } from './queued'

/**
 * Every window has a draft of its own, so that two never write over each other’s. A window is known by a name in its session, and
 * is alive as long as it holds the lock of that name; what a dead one left goes to the next window that opens.
 */
const TAB = 'sett.tab'
const DRAFT = 'sett.draft'
const ASIDE = 'sett.aside'
const QUEUE = 'sett.queue'
const lockOf = (tab: string): string => `sett.tab.${tab}`

/** Where this window keeps something of its own. */
export function windowKey(name: string): string {
  const tab = typeof sessionStorage === 'undefined' ? null : sessionStorage.getItem(TAB)
  return tab ? `${name}.${tab}` : name
}
/** Where this window keeps its draft. */
export const draftKey = (): string => windowKey(DRAFT)

/** Takes the lock of a window’s name for as long as the window lives; false where another has it. */
const hold = (tab: string): Promise<boolean> =>
  new Promise((done) => {
    void navigator.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => {
      done(lock !== null)
      return lock ? new Promise<void>(() => {}) : undefined
    })
  })

/** How often, and how many milliseconds apart, a window that was loaded anew asks for the lock its old self still holds. */
const [TRIES, PAUSE] = [15, 20]

/** Names this window, and brings it what windows that are gone have left. */
export async function openTab(): Promise<void> {
  const before = sessionStorage.getItem(TAB)
  let tab = before ?? crypto.randomUUID()
  // A window on a network without encryption has no locks; it is then known by its name alone.
  const locks = 'locks' in navigator
  let held = !locks || (await hold(tab))
  for (let i = 0; !held && i < TRIES; i++) {
    await new Promise((next) => setTimeout(next, PAUSE))
    held = await hold(tab)
  }
  // A copied window has the name of the one it was copied from: it gets another.
  if (!held) await hold((tab = crypto.randomUUID()))
  sessionStorage.setItem(TAB, tab)
  const alive = locks ? (await navigator.locks.query()).held?.map((l) => l.name) : []
  inherit(localStorage, tab, (other) => alive?.includes(lockOf(other)) ?? false)
}

/** What windows that are gone kept under a name, each of it taken out of the storage. */
function* left(storage: Storage, name: string, tab: string, isAlive: (tab: string) => boolean): Generator<string> {
  for (const key of Object.keys(storage)) {
    const other = key === name ? '' : key.startsWith(`${name}.`) ? key.slice(name.length + 1) : null
    if (other === null || other === tab || (other !== '' && isAlive(other))) continue
    yield storage.getItem(key) ?? ''
    storage.removeItem(key)
  }
}

/**
 * Takes over the newest draft that no living window has, where this one has none; the others go on the pile. Problems that waited in a
 * window that is gone wait in this one, where it has none of its own.
 */
export function inherit(storage: Storage, tab: string, isAlive: (tab: string) => boolean): void {
  const drafts = [...left(storage, DRAFT, tab, isAlive)].flatMap((text): Draft[] => {
    const draft = keptDraft.read(text)
    return draft ? [draft] : []
  })
  const waited = [...left(storage, QUEUE, tab, isAlive)].findLast((text) => keptLine.read(text).next.length > 0)
  if (waited !== undefined && keptLine.read(storage.getItem(`${QUEUE}.${tab}`) ?? '').next.length === 0)
    storage.setItem(`${QUEUE}.${tab}`, waited)
  drafts.sort((a, b) => a.startedAt.localeCompare(b.startedAt))
  const own = `${DRAFT}.${tab}`
  const mine = keptDraft.read(storage.getItem(own) ?? '')
  if (!mine && drafts.length > 0) storage.setItem(own, keptDraft.write(drafts.pop()!))
  if (drafts.length > 0)
    storage.setItem(ASIDE, keptDrafts.write([...keptDrafts.read(storage.getItem(ASIDE) ?? ''), ...drafts]))
}
