/**
 * Scanning with switches, without a screen: where the light stands, where it goes next, and what a press does. Things stand in groups,
 * long groups in rows. All functions are pure; a light whose things have changed is set right by `fit`.
 */

/** The most things that are lit one after another before they are put into rows. */
export const MOST_IN_ROW = 7

/** Groups of things, each thing by its number in one list. */
export interface ScanGroup {
  readonly name: string
  readonly rows: readonly (readonly number[])[]
}
export interface Light {
  readonly level: 'group' | 'row' | 'item'
  readonly group: number
  readonly row: number
  readonly item: number
  /** How often all of this level have been lit since it was entered. */
  readonly rounds: number
}
export const START: Light = { level: 'group', group: 0, row: 0, item: 0, rounds: 0 }

/** After so many rounds in which nothing is chosen, the light goes back out. */
export const MOST_ROUNDS = 2

/** Things in rows of so many, in their order. */
export const inRows = (items: readonly number[], most = MOST_IN_ROW): readonly (readonly number[])[] =>
  items.length <= most
    ? [items]
    : Array.from({ length: Math.ceil(items.length / most) }, (_, r) => items.slice(r * most, (r + 1) * most))

const rowsOf = (groups: readonly ScanGroup[], { group }: Light) => groups[group]?.rows ?? []
/** How many stand beside each other where the light is. */
function count(groups: readonly ScanGroup[], light: Light): number {
  if (light.level === 'group') return groups.length
  return light.level === 'row' ? rowsOf(groups, light).length : (rowsOf(groups, light)[light.row]?.length ?? 0)
}
/** The things that are lit. */
export function litNow(groups: readonly ScanGroup[], light: Light): readonly number[] {
  const rows = rowsOf(groups, light)
  if (light.level === 'group') return rows.flat()
  const row = rows[light.row] ?? []
  return light.level === 'row' ? row : row.slice(light.item, light.item + 1)
}

/** Out by one level. */
export function out(light: Light, groups: readonly ScanGroup[]): Light {
  const rows = rowsOf(groups, light)
  if (light.level === 'item' && rows.length > 1) return { ...light, level: 'row', item: 0, rounds: 0 }
  return { ...START, group: light.group }
}

/** The next thing of the level; after some rounds in vain, out by one level. */
export function step(light: Light, groups: readonly ScanGroup[]): Light {
  const n = count(groups, light)
  const key = light.level
  if (n === 0) return START
  const next = (light[key] + 1) % n
  const rounds = light.rounds + (next === 0 ? 1 : 0)
  if (key !== 'group' && rounds >= MOST_ROUNDS) return step({ ...out(light, groups), rounds: 0 }, groups)
  return { ...light, [key]: next, rounds }
}

/** What a press on the light does: goes in, or does the thing whose number is `act`. A group or row of one is its thing. */
export function choose(
  light: Light,
  groups: readonly ScanGroup[],
): { readonly light: Light; readonly act: number | null } {
  const rows = rowsOf(groups, light)
  const lit = litNow(groups, light)
  if (lit.length === 0) return { light: START, act: null }
  if (lit.length === 1) return { light: { ...light, rounds: 0 }, act: lit[0]! }
  const level = light.level === 'group' && rows.length > 1 ? 'row' : 'item'
  return {
    light: { ...light, level, rounds: 0, item: 0, ...(light.level === 'group' ? { row: 0 } : {}) },
    act: null,
  }
}

/** The light where things have come or gone: on the same group by name where there is one, at its beginning. */
export function fit(light: Light, before: readonly ScanGroup[], now: readonly ScanGroup[]): Light {
  const name = before[light.group]?.name
  const group = now.findIndex((g) => g.name === name)
  if (group < 0) return START
  const same =
    JSON.stringify(before[light.group]!.rows.map((r) => r.length)) ===
    JSON.stringify(now[group]!.rows.map((r) => r.length))
  if (same) return { ...light, group }
  const rows = now[group]!.rows
  if (light.level === 'group' || rows.flat().length < 2) return { ...START, group }
  return { level: rows.length > 1 ? 'row' : 'item', group, row: 0, item: 0, rounds: 0 }
}
