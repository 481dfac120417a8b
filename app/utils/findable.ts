import MiniSearch from 'minisearch'
import type { RouteLocationRaw } from 'vue-router'

/** Something that can be found by its name: it leads to a page, or does something. */
export interface Findable {
  readonly id: string
  readonly kind: 'action' | 'learner' | 'page' | 'step' | 'material' | 'lesson' | 'sheet'
  readonly label: string
  /** What tells it apart, said beside it and found too. */
  readonly more?: string
  readonly to?: RouteLocationRaw
  readonly run?: () => void
}

/** At most so many are shown at once. */
const MOST = 24
/** A letter in four may be wrong. */
const FUZZY = 0.25

export function indexOf(items: readonly Findable[]): MiniSearch<Findable> {
  const index = new MiniSearch<Findable>({
    fields: ['label', 'more'],
    searchOptions: { prefix: true, fuzzy: FUZZY, boost: { label: 3 }, combineWith: 'AND' },
  })
  index.addAll(items)
  return index
}

/** What is found for what was typed, the best first; with nothing typed, what can be done and where one can go. */
export function findIn(index: MiniSearch<Findable>, items: readonly Findable[], typed: string): readonly Findable[] {
  if (typed.trim() === '') return items.filter(({ kind }) => kind === 'action' || kind === 'page').slice(0, MOST)
  const byId = new Map(items.map((i) => [i.id, i]))
  return index
    .search(typed)
    .slice(0, MOST)
    .map(({ id }) => byId.get(id as string)!)
}
