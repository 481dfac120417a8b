import { CUPBOARD_AT_FIRST, stockOf, type Cupboard, type Stock } from '../../shared/cupboard'
import { request, type ServerRefusal } from '../utils/request'

/** What the school has of pieces and who uses them: changed here, saved by itself, put together with what others change meanwhile. */
export function useCupboard() {
  const cupboard = shallowRef<Cupboard>(CUPBOARD_AT_FIRST)
  const trouble = ref('')
  const state = ref<'' | 'saving' | 'saved'>('')
  /** As the server had it last. */
  let known: Cupboard = cupboard.value

  async function load(): Promise<void> {
    cupboard.value = known = await request<Cupboard>('/api/cupboard')
  }
  /** What was changed here, put into what somebody else has changed in the meantime. */
  function merged(there: Cupboard): Cupboard {
    const mine = cupboard.value
    const isOther = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b)
    const stock = Object.entries(mine.stock).filter(([key, s]) => isOther(s, known.stock[key]))
    const own = (['spare', 'youngest', 'mouths', 'allergies', 'needs', 'packs'] as const).filter((key) =>
      isOther(mine[key], known[key]),
    )
    return {
      ...there,
      ...Object.fromEntries(own.map((key) => [key, mine[key]])),
      stock: { ...there.stock, ...Object.fromEntries(stock) },
    }
  }
  const put = (body: Cupboard): Promise<Cupboard> => request<Cupboard>('/api/cupboard', { method: 'PUT', body })

  let saving: Promise<void> = Promise.resolve()
  /** Saves what stands now, after what is being saved. */
  const save = (): Promise<void> =>
    (saving = saving.then(async () => {
      try {
        const now = cupboard.value
        const saved = await put(now).catch(async (error: ServerRefusal) => {
          if (error.status !== 409) throw error
          return put(merged(await request<Cupboard>('/api/cupboard')))
        })
        cupboard.value = cupboard.value === now ? saved : { ...merged(saved), version: saved.version }
        known = saved
        trouble.value = ''
        state.value = 'saved'
      } catch (error) {
        trouble.value = (error as Error).message
      }
    }))
  const saveSoon = useDebounceFn(save, 500)
  function change(by: Partial<Cupboard>): void {
    cupboard.value = { ...cupboard.value, ...by }
    state.value = 'saving'
    void saveSoon()
  }
  /** Changes what there is of some kinds of pieces, by material and kind (`blocks/ten`). */
  function setStock(changes: Readonly<Record<string, Partial<Stock>>>): void {
    const all = Object.entries(changes).map(([key, by]): [string, Stock] => {
      const [material, kind] = key.split('/') as [string, string]
      return [key, { ...stockOf(cupboard.value, material, kind), ...by }]
    })
    change({ stock: { ...cupboard.value.stock, ...Object.fromEntries(all) } })
  }
  return { cupboard, trouble, state, load, change, setStock }
}
