import {
  type AbacusChoices,
  DEFAULT_CHOICES,
  type Mode,
  type PlanRequest,
  type RepresentationId,
  type WayId,
} from '../../../core/door'
import { benchRequest, followed } from '../../utils/benchRequest'
import { keptAbacus, keptId } from '../../utils/kept'
import { useClassroom } from '../classroom'

/** What is asked for otherwise than it is set. */
export interface Over {
  readonly mode?: Mode
  readonly way?: WayId
  readonly material?: RepresentationId
}

/** How the bench is laid: kept in this browser, so that the next problem is worked as the last one was. */
export function benchSettings() {
  const classroom = useClassroom()
  const mode = useLocalStorage<Mode>('sett.mode', 'show')
  const way = useLocalStorage<WayId>('sett.way', 'ones-first')
  const material = useLocalStorage<RepresentationId>('sett.material', 'blocks')
  /** The representation shown beside the main one, and whether it is worked by hand too. */
  const beside = useLocalStorage<RepresentationId | null>('sett.beside', null, { serializer: keptId })
  const byHand = useLocalStorage('sett.by-hand', false)
  /** Whether beads are stepped one movement at a time, or a digit at once. */
  const byMove = useLocalStorage('sett.by-move', true)
  /** How the abacus is worked at this bench, where that is not simply as the room has it. */
  const ownAbacus = useLocalStorage<AbacusChoices | null>('sett.abacus', null, { serializer: keptAbacus })
  const abacus = computed<AbacusChoices>(
    () => ownAbacus.value ?? classroom.classroom?.hands.abacus ?? DEFAULT_CHOICES.abacus,
  )

  /** What a bench is asked for, as it is set here or with something else in its place. */
  const requestFor = (text: string, over: Over & { readonly mode: Mode }): PlanRequest => {
    const request = benchRequest(text, {
      material: over.material ?? material.value,
      way: over.way ?? way.value,
      beside: beside.value,
      byHand: byHand.value,
      words: classroom.spoken,
      hands: classroom.hands ?? undefined,
      abacus: toRaw(abacus.value),
    })
    return over.mode === 'show' ? followed(request) : request
  }
  return { mode, way, material, beside, byHand, byMove, ownAbacus, abacus, requestFor }
}
export type BenchSettings = ReturnType<typeof benchSettings>
