import type { Db } from './open'

/** What a keeper has set for the whole of Sett, as JSON by name. */
export function settingTable(db: Db) {
  const get = db.prepare<[string], string>('SELECT value FROM setting WHERE name = ?').pluck()
  const put = db.prepare<[string, string]>(
    'INSERT INTO setting (name, value) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value',
  )
  return {
    setting: (name: string): unknown => {
      const value = get.get(name)
      return value === undefined ? undefined : JSON.parse(value)
    },
    set: (name: string, value: unknown): void => void put.run(name, JSON.stringify(value)),
  }
}
