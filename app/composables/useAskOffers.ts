import { heldBy, holdersOf, offersFor, type Problem, type RepresentationId } from '../../core/door'

/** Which materials would hold what is typed as the problem, the nearest first. */
export function useAskOffers(typed: () => Problem | null, differs: () => boolean, isRefused: () => boolean) {
  const bench = useBench()
  const classroom = useClassroom()
  const { pinned, lately } = useShelf()
  const choices = () => bench.bench.setup.choices
  /** While it is typed: the material in hand, those pinned and used lately, then the others; nothing that the learner avoids. */
  const nearest = computed<readonly RepresentationId[]>(() => {
    const problem = typed()
    if (!differs() || !problem || !allHere.value) return []
    const fits: readonly RepresentationId[] = heldBy(problem, choices())
    const avoid = classroom.learner?.choices.avoid ?? []
    const all = new Set([bench.material, ...pinned.value, ...lately.value, ...fits])
    return [...all].filter((id) => fits.includes(id) && !avoid.includes(id)).slice(0, 3)
  })
  /** Once it is refused, because the material in hand cannot hold it. */
  const instead = computed<readonly RepresentationId[]>(() => {
    const problem = typed()
    if (!isRefused() || !problem || !allHere.value) return []
    const here = offersFor(problem, choices()).find((o) => o.representation === bench.material)
    return here && !here.fits ? holdersOf(problem, bench.material, choices()).slice(0, 2) : []
  })
  return { nearest, instead }
}
