import type { NotchMap } from '../../core/representation/touch/index'
import type { Db } from './open'

/** The class's own notches: one map, or none where the rule stands. Statements are prepared once per database. */
export function notchTable(db: Db) {
  const get = db.prepare<[], { body: string }>('SELECT body FROM notch_map WHERE id = 1')
  const put = db.prepare<[string]>(
    'INSERT INTO notch_map (id, body) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET body = excluded.body',
  )
  const clear = db.prepare('DELETE FROM notch_map')
  return {
    notches: (): NotchMap | null => {
      const row = get.get()
      return row ? (JSON.parse(row.body) as NotchMap) : null
    },
    setNotches: (map: NotchMap): void => void put.run(JSON.stringify(map)),
    clearNotches: (): void => void clear.run(),
  }
}
