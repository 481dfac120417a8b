import { isRepresentation, isWay, printProblem, type Mode, type Problem, type Refusal } from '../../../core/door'
import { fetchAll } from '../../utils/materials'
import { useClassroom } from '../classroom'
import type { BenchLying } from './lying'
import type { Over } from './settings'

/** A problem that was set beforehand; in a lesson also whose turn it is, and how it is to be worked. */
export interface Waiting extends Over {
  readonly problem: string
  /** Whose turn it is; null for nobody in particular. As it is where this is left out. */
  readonly learner?: string | null
  /** The lesson that it is of. */
  readonly lesson?: string
}

const MODES: readonly Mode[] = ['show', 'together', 'alone']

/** What an earlier Sett kept, or somebody by hand, read with doubt: a problem alone is text. */
function waiting(kept: unknown): Waiting | null {
  if (typeof kept === 'string') return { problem: kept }
  const { problem, learner, lesson, material, way, mode } = (kept ?? {}) as Record<string, unknown>
  if (typeof problem !== 'string') return null
  return {
    problem,
    ...(typeof learner === 'string' || learner === null ? { learner } : {}),
    ...(typeof lesson === 'string' ? { lesson } : {}),
    ...(typeof material === 'string' && isRepresentation(material) ? { material } : {}),
    ...(typeof way === 'string' && isWay(way) ? { way } : {}),
    ...(MODES.includes(mode as Mode) ? { mode: mode as Mode } : {}),
  }
}
const readWaiting = (text: string): readonly Waiting[] => {
  try {
    const kept: unknown = JSON.parse(text)
    return Array.isArray(kept) ? kept.flatMap((one) => waiting(one) ?? []) : []
  } catch {
    return []
  }
}

/** What is asked next: problems set beforehand, else the same kind of problem with other numbers. */
export function benchQueue({ bench }: BenchLying, ask: (text: string, over?: Over) => Refusal | null) {
  const classroom = useClassroom()
  const used = ref<string[]>([])
  /** What was asked lately is not set again. */
  const asked = (problem: Problem): void => void (used.value = [...used.value.slice(-50), printProblem(problem)])

  /** Problems set beforehand, to be worked one after another. */
  const queue = useLocalStorage<readonly Waiting[]>('sett.queue', [], {
    serializer: { read: readWaiting, write: (all) => JSON.stringify(all) },
  })
  /** The lesson that the problem on the bench is of. */
  const lesson = useLocalStorage<string | null>('sett.lesson', null)

  /** Asks a problem that was set beforehand, of whoever's turn it is. */
  function turnTo({ problem, learner, lesson: of, ...over }: Waiting): Refusal | null {
    const refused = ask(problem, over)
    if (refused) return refused
    lesson.value = of ?? null
    if (learner !== undefined) classroom.learnerId = learner
    return null
  }

  /** Asks the first of some problems and keeps the others for after it; why the first cannot be asked, else null. */
  function begin([first, ...rest]: readonly Waiting[]): Refusal | null {
    if (!first) return null
    const refused = turnTo(first)
    if (!refused) queue.value = rest
    return refused
  }

  /** The next problem of those set beforehand; else the same kind of problem with other numbers, whose setter is fetched for it. */
  async function another(): Promise<Refusal | null> {
    const [head, ...rest] = queue.value
    if (head) {
      if (head.material || head.way) await fetchAll()
      queue.value = rest
      return turnTo(head)
    }
    lesson.value = null
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
    const [{ nextProblem }] = await Promise.all([import('../../utils/nextProblem'), fetchAll()])
    return ask(nextProblem(bench.value.setup, seed, used.value))
  }
  return { queue, lesson, begin, another, asked }
}
