import '../core/index'
import { attempt, type Choices, type RepresentationId } from '../core/door'
import { kitFor, type Kit, type KitWish } from '../core/kit/index'

/** Kits are to be counted: for each material its problems, and what there is of its pieces. */
export interface KitsWish {
  readonly of: readonly {
    readonly material: RepresentationId
    readonly problems: KitWish['problems']
    /** How many learners work with it. */
    readonly learners: number
    readonly have: Readonly<Record<string, number>>
  }[]
  readonly choices: Partial<Choices>
  readonly sharing: number
  readonly spare: number
}
export type KitsAnswer = readonly {
  readonly material: RepresentationId
  readonly kit: Kit | null
  readonly refused: string
}[]

self.onmessage = ({ data }: MessageEvent<KitsWish>): void => {
  const { of, ...all } = data
  const answer = of.map(({ material, problems, learners, have }) => {
    const counted = attempt(() => kitFor({ ...all, problems, learners, representation: material, have }))
    return 'ok' in counted
      ? { material, kit: counted.ok, refused: '' }
      : { material, kit: null, refused: counted.refused.message }
  })
  self.postMessage(answer satisfies KitsAnswer)
}
