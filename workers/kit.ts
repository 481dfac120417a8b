import '../core/index'
import { attempt, type Choices, type RepresentationId } from '../core/door'
import { kitFor, otherMaterials, type Kit, type KitWish, type OtherMaterial, type Pack } from '../core/kit/index'

/** Kits are to be counted: for each material its problems, and what there is of its pieces. */
export interface KitsWish {
  readonly of: readonly {
    readonly material: RepresentationId
    readonly problems: KitWish['problems']
    /** How many learners work with it. */
    readonly learners: number
    readonly have: Readonly<Record<string, number>>
    /** What can be bought of its pieces. */
    readonly packs: readonly Pack[]
  }[]
  /** All that there is, by material and kind (`blocks/ten`). */
  readonly stock: Readonly<Record<string, number>>
  readonly choices: Partial<Choices>
  readonly sharing: number
  readonly spare: number
}
export type KitsAnswer = readonly {
  readonly material: RepresentationId
  readonly kit: Kit | null
  /** Where pieces are short: what would do instead. */
  readonly instead: readonly OtherMaterial[]
  readonly refused: string
}[]

self.onmessage = ({ data }: MessageEvent<KitsWish>): void => {
  const { of, stock, ...all } = data
  const stockOf = (id: string): Record<string, number> =>
    Object.fromEntries(
      Object.entries(stock).flatMap(([key, n]) => (key.startsWith(`${id}/`) ? [[key.slice(id.length + 1), n]] : [])),
    )
  const answer = of.map(({ material, problems, learners, have, packs }) => {
    const wish = { ...all, problems, learners, representation: material, have, packs }
    const counted = attempt(() => kitFor(wish))
    if ('refused' in counted) return { material, kit: null, instead: [], refused: counted.refused.message }
    const short = counted.ok.short.length > 0
    return { material, kit: counted.ok, instead: short ? otherMaterials(wish, stockOf) : [], refused: '' }
  })
  self.postMessage(answer satisfies KitsAnswer)
}
