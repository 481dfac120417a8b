import type { Cupboard } from '../../shared/cupboard'
import type { Lesson } from '../../shared/lessons'
import { groupsOf, haveOf, kitsWish } from '../utils/kitWish'
import { request } from '../utils/request'

/**
 * How many pieces each of some lessons lacks, counted in the background. A material of which the school has written down no stock is left
 * out: nothing is known of it.
 */
export function useShortages(lessons: () => readonly Lesson[]) {
  const classroom = useClassroom()
  const { kits, count } = useKits()
  const cupboard = shallowRef<Cupboard | null>(null)
  const asked = computed(() => {
    const there = cupboard.value
    if (!there) return []
    return lessons().flatMap((lesson) =>
      groupsOf(lesson).flatMap((group) =>
        Object.keys(haveOf(there, group.material)).length ? [{ lesson: lesson.id, group }] : [],
      ),
    )
  })
  onMounted(async () => {
    cupboard.value = await request<Cupboard>('/api/cupboard').catch(() => null)
  })
  watch(asked, (of) => {
    const groups = of.map(({ group }) => group)
    // What was counted before was of other lessons.
    kits.value = null
    if (groups.length) count(kitsWish(groups, cupboard.value!, classroom.classroom?.hands ?? {}))
  })
  return computed(() => {
    const missing = new Map<string, number>()
    if (kits.value?.length !== asked.value.length) return missing
    asked.value.forEach(({ lesson }, i) => {
      const short = (kits.value![i]!.kit?.short ?? []).reduce((all, { wanted, have }) => all + wanted - have, 0)
      if (short > 0) missing.set(lesson, (missing.get(lesson) ?? 0) + short)
    })
    return missing
  })
}
