import {
  type AbacusChoices,
  parseProblem,
  type PlanRequest,
  type RepresentationId,
  REPRESENTATIONS,
  standsBeside,
  type WayId,
  withDefaults,
  waysOf,
} from '../../core/door'
import type { Classroom, Hands } from '../../shared/schemas'

/** How a bench is laid: with what, in which way, what stands beside it, and what the room and the bench have chosen. */
export interface BenchSettings {
  readonly material: RepresentationId
  readonly way: WayId
  readonly beside: RepresentationId | null
  readonly byHand: boolean
  readonly words: Classroom['words']
  readonly hands: Hands | undefined
  readonly abacus: AbacusChoices
}

/** What is always written along with a material on the page. */
export const besides = (main: RepresentationId): readonly RepresentationId[] => [
  ...(REPRESENTATIONS[main].along ?? []),
  'equations',
]

/**
 * What a bench is asked for; a way that does not suit gives place to the material's first. It is plain data, so that nothing a
 * bench is made of watches itself. @throws Refusal for a problem that cannot be read.
 */
export function benchRequest(text: string, settings: BenchSettings): PlanRequest {
  const { material, way, beside, byHand, words, hands, abacus } = settings
  const problem = parseProblem(text)
  const other = beside === material ? null : beside
  const r = other && REPRESENTATIONS[other]
  const choices = withDefaults(hands)
  const stands = r && (byHand ? r.fits(problem, choices).fits : standsBeside(r, problem, choices)) ? other : null
  return {
    problem: text,
    representation: material,
    choices: { words: { ...words }, ...(hands ? structuredClone(hands) : {}), abacus: { ...abacus } },
    also: [...besides(material), ...(stands && !byHand ? [stands] : [])],
    both: byHand ? stands : null,
    ...(waysOf(problem, REPRESENTATIONS[material]).some((w) => w.way === way) ? { way } : {}),
  }
}

/** In Show nothing is worked by hand: what would be follows. */
export const followed = (request: PlanRequest): PlanRequest =>
  request.both ? { ...request, both: null, also: [...(request.also ?? []), request.both] } : request
