import type { RepresentationId } from '../../core/door'
import type { Cupboard } from '../../shared/cupboard'
import type { Lesson } from '../../shared/lessons'
import type { KitsWish } from '../../workers/kit'

/** Problems that are worked with one material, each with its way, and how many learners work with it. */
export type KitGroup = Pick<KitsWish['of'][number], 'material' | 'problems' | 'learners'>

/** What pieces a lesson needs, by material. */
export const groupsOf = (lesson: Lesson): readonly KitGroup[] =>
  [...new Set(lesson.turns.map((t) => t.material))].map((material) => {
    const own = lesson.turns.filter((t) => t.material === material)
    return {
      material,
      problems: own.map(({ problem, way }) => ({ problem, way })),
      learners: Math.max(1, new Set(own.flatMap((t) => t.learner ?? [])).size),
    }
  })

/** How many there are of each kind of a material's pieces, by the material's own names for them. */
export const haveOf = ({ stock }: Pick<Cupboard, 'stock'>, id: RepresentationId): Record<string, number> =>
  Object.fromEntries(
    Object.entries(stock).flatMap(([key, s]) =>
      key.startsWith(`${id}/`) ? [[key.slice(id.length + 1), s.have] as const] : [],
    ),
  )

/** Packs that hold pieces of a material, by the material's own names for them. */
const packsOf = ({ packs = [] }: Cupboard, id: RepresentationId) =>
  packs.flatMap(({ name, kinds, size }) => {
    const own = kinds.flatMap((key) => (key.startsWith(`${id}/`) ? [key.slice(id.length + 1)] : []))
    return own.length ? [{ name, kinds: own, size }] : []
  })

/** Kits to be counted against what the school has; `sharing` learners share a set. */
export const kitsWish = (
  groups: readonly KitGroup[],
  cupboard: Cupboard,
  choices: KitsWish['choices'],
  sharing = 1,
): KitsWish => ({
  of: groups.map((g) => ({ ...g, have: haveOf(cupboard, g.material), packs: packsOf(cupboard, g.material) })),
  stock: Object.fromEntries(Object.entries(cupboard.stock).map(([key, { have }]) => [key, have])),
  choices,
  sharing,
  spare: cupboard.spare,
})
