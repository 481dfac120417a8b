import { printProblem, type Problem, type Refusal } from '../../../core/door'
import { fetchAll } from '../../utils/materials'
import type { BenchLying } from './lying'

/** What is asked next: problems set beforehand, else the same kind of problem with other numbers. */
export function benchQueue({ bench }: BenchLying, ask: (text: string) => Refusal | null) {
  const used = ref<string[]>([])
  /** What was asked lately is not set again. */
  const asked = (problem: Problem): void => void (used.value = [...used.value.slice(-50), printProblem(problem)])

  /** Problems set beforehand, to be worked one after another. */
  const queue = useLocalStorage<readonly string[]>('sett.queue', [])

  /** The next problem of those set beforehand; else the same kind of problem with other numbers, whose setter is fetched for it. */
  async function another(): Promise<Refusal | null> {
    const [head, ...rest] = queue.value
    if (head !== undefined) {
      queue.value = rest
      return ask(head)
    }
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
    const [{ nextProblem }] = await Promise.all([import('../../utils/nextProblem'), fetchAll()])
    return ask(nextProblem(bench.value.setup, seed, used.value))
  }
  return { queue, another, asked }
}
