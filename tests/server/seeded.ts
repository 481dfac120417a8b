import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seedDemo } from '../../demo/lantern-walk'
import { everythingOf } from '../../server/utils/erasing'
import { makeStore, type Store } from '../../server/utils/store'
import type { SavedRecord } from '../../shared/schemas'

/** A data folder of its own, and a store in it with the class of the lantern walk. */
export const folder = (): string => mkdtempSync(join(tmpdir(), 'sett-keeping-'))
export const demo = (at = join(folder(), 'sett.db')): Store => {
  const store = makeStore(at)
  seedDemo(store, new Date('2026-11-24T12:00:00Z'))
  return store
}
export const all = (store: Store): SavedRecord[] => [...store.records(null)]
/** The file of everything kept of a learner, read. */
export const everything = (store: Store, id: string): Record<string, unknown> =>
  JSON.parse([...everythingOf(store, store.learner(id)!)].join('')) as Record<string, unknown>
/** A file as the bytes that somebody sends. */
export const bytesOf = (file: unknown): Buffer[] => [Buffer.from(JSON.stringify(file))]
