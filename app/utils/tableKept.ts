import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Trial } from '../../shared/trials'

/** What noting at the table keeps in this browser (IndexedDB): tries that the server has not taken yet, and the sitting that goes on. */

/** A try on its way to the server. */
export interface Waiting {
  readonly id: string
  readonly trial: Trial
  /** Not sent before this time, so that it can be taken back. */
  readonly after: number
  /** Why the server does not take it, once it has said so. */
  readonly refused?: string
}
interface Kept extends DBSchema {
  trials: { key: string; value: Waiting }
  sitting: { key: 'now'; value: unknown }
}

let opened: Promise<IDBPDatabase<Kept>> | undefined
export const tableKept = (): Promise<IDBPDatabase<Kept>> =>
  (opened ??= openDB<Kept>('sett', 2, {
    upgrade(db, from) {
      if (from < 1) db.createObjectStore('trials', { keyPath: 'id' })
      if (from < 2) db.createObjectStore('sitting')
    },
    // Another window with a newer Sett is not held up by this one.
    blocking: () => void opened?.then((db) => db.close()).finally(() => (opened = undefined)),
  }))

/** Writes so that it is on this machine's disk when it is done, even if the browser is killed the moment after. */
export async function keepStrictly<S extends 'trials' | 'sitting'>(
  name: S,
  value: Kept[S]['value'],
  key?: Kept[S]['key'],
): Promise<void> {
  const written = (await tableKept()).transaction(name, 'readwrite', { durability: 'strict' })
  await Promise.all([written.store.put(value, key), written.done])
}
