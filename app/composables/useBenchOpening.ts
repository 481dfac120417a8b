import { REPRESENTATION_IDS } from '../../core/door'
import type { SavedRecord } from '../../shared/schemas'
import { request } from '../utils/request'

/**
 * What lies on the Bench as it opens: the record or the material that its address names, else what was left there, else the problem of
 * before. What cannot be opened is told in `trouble`.
 */
export async function useBenchOpening(trouble: Ref<string>): Promise<void> {
  const bench = useBench()
  const route = useRoute()
  const router = useRouter()
  const named = () => REPRESENTATION_IDS.find((id) => id === route.query.material)
  async function takeMaterial(): Promise<void> {
    const material = named()
    if (!material) return
    if (material !== bench.material) trouble.value = bench.moveTo(material)?.message ?? ''
    // Taken once: loaded again, the Bench stays as it was left.
    await router.replace('/bench')
  }
  onMounted(() => void takeMaterial())
  // Find can name another material while the Bench is open.
  watch(named, (material) => void (material && fetchAll().then(takeMaterial)))

  const record = route.query.record
  if (!allHere.value && (record || named() || bench.drafted || opensWithMore()))
    await fetchAll().catch((error: Error) => {
      trouble.value = error.message
      bench.material = 'blocks'
      bench.beside = null
    })
  if (typeof record === 'string') {
    try {
      trouble.value =
        bench.open(await request<SavedRecord>(`/api/records/${encodeURIComponent(record)}`))?.message ?? ''
    } catch (error) {
      trouble.value = (error as Error).message
    }
  } else if (bench.bench.log.length === 0 && !bench.restore() && !bench.resumeTurn()) bench.ask(bench.problem)
}
