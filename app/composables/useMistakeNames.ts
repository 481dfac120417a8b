import { inClassWords } from '../../core/door'

/** What mistakes are called, by the ids of their procedures; their catalogue is fetched for it. */
export function useMistakeNames(): (id: string) => string {
  const names = shallowRef<ReadonlyMap<string, string>>(new Map())
  void import('../../core/diagnose/index').then(
    ({ CATALOGUE }) => (names.value = new Map(CATALOGUE.map((k) => [k.id, k.name]))),
    () => undefined,
  )
  const { pack } = useNames()
  return (id) => inClassWords(names.value.get(id) ?? id, pack.value)
}
