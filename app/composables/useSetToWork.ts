import type { Mode, RepresentationId } from '../../core/door'

/** Takes problems to the Bench, to be worked one after another. */
export function useSetToWork() {
  const bench = useBench()
  /** Asks the first there and keeps the others for after it; what is wrong where it cannot be asked, else nothing. */
  async function workThrough(
    problems: readonly string[],
    over: { readonly material?: RepresentationId; readonly mode?: Mode } = {},
  ): Promise<string> {
    const [first, ...rest] = problems
    if (first === undefined) return ''
    const refused = bench.ask(first, over)
    if (refused) return refused.message
    bench.queue = rest
    await navigateTo('/bench')
    return ''
  }
  return { workThrough }
}
