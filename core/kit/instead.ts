import { withDefaults } from '../choices'
import { REPRESENTATION_IDS, type RepresentationId } from '../materials'
import { parseProblem } from '../problem/parse'
import { attempt } from '../refusal'
import { REPRESENTATIONS } from '../representation/index'
import { waysOf } from '../way/index'
import { kitFor, type KitWish } from './kit'

/** A material that would do where pieces of another are short: it needs none, or enough of its own are there. */
export interface OtherMaterial {
  readonly representation: RepresentationId
  readonly pieces: boolean
}

/**
 * Materials that hold every problem of a kit and are short of nothing, those with pieces first.
 * @param stock what there is of a material's pieces, by kind.
 */
export function otherMaterials(
  wish: KitWish,
  stock: (id: RepresentationId) => Readonly<Record<string, number>>,
): readonly OtherMaterial[] {
  const choices = withDefaults(wish.choices)
  const typed = [...new Set(wish.problems.map((p) => (typeof p === 'string' ? p : p.problem)))]
  const read = typed.flatMap((text) => {
    const problem = attempt(() => parseProblem(text))
    return 'ok' in problem ? [problem.ok] : []
  })
  if (read.length === 0) return []
  const found = REPRESENTATION_IDS.flatMap((id): readonly OtherMaterial[] => {
    const r = REPRESENTATIONS[id]
    if (id === wish.representation || id === 'equations') return []
    if (!read.every((p) => r.fits(p, choices).fits && waysOf(p, r).length > 0)) return []
    if (!r.out) return [{ representation: id, pieces: false }]
    const { way: _, ...rest } = wish
    const kit = attempt(() => kitFor({ ...rest, problems: typed, representation: id, have: stock(id), packs: [] }))
    return 'ok' in kit && kit.ok.short.length === 0 && kit.ok.cannot.length === 0 && kit.ok.items.length > 0
      ? [{ representation: id, pieces: true }]
      : []
  })
  return found.sort((a, b) => Number(b.pieces) - Number(a.pieces))
}
