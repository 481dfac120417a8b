import { attempt, parseProblem, printProblem, type Problem, type Refusal } from '../../../core/door'
import { fetchAll } from '../../utils/materials'
import { keptLine, type Line, NO_LINE, type Queued } from '../../utils/queued'
import { windowKey } from '../../utils/tabs'
import { useClassroom } from '../classroom'
import type { BenchLying } from './lying'
import type { Over } from './settings'

const printed = (text: string): string => {
  const read = attempt(() => printProblem(parseProblem(text)))
  return 'ok' in read ? read.ok : text
}

/** What is asked next: problems set beforehand, else the same kind of problem with other numbers. */
export function benchQueue({ bench, lent }: BenchLying, ask: (text: string, over?: Over) => Refusal | null) {
  const classroom = useClassroom()
  const used = ref<string[]>([])
  /** What was left last, to go back to. */
  const abandoned = shallowRef<Line | null>(null)

  /** What was set beforehand for this window: what is on its bench of it, and what comes after. */
  const line = useLocalStorage<Line>(windowKey('sett.queue'), NO_LINE, { shallow: true, serializer: keptLine })
  const queue = computed<readonly Queued[]>({
    get: () => line.value.next,
    set: (next) => (line.value = { ...line.value, next }),
  })
  /** The turn that is on the bench, of those set beforehand. */
  const turn = computed<Queued | null>({
    get: () => line.value.now,
    set: (now) => (line.value = { ...line.value, now }),
  })
  /** The lesson that is under way. */
  const lesson = computed(() => turn.value?.lesson ?? queue.value[0]?.lesson ?? null)

  /** What was asked lately is not set again; and another problem than that of the turn is no turn. */
  function asked(problem: Problem): void {
    used.value = [...used.value.slice(-50), printProblem(problem)]
    if (turn.value && !lent.value && printed(turn.value.problem) !== printProblem(problem)) turn.value = null
  }

  /** Asks a problem that was set beforehand, of whoever's turn it is; what comes after it waits. */
  function turnTo(now: Queued, next: readonly Queued[]): Refusal | null {
    const { problem, learner, lesson: _, ...over } = now
    const refused = ask(problem, over)
    if (refused) return refused
    line.value = { now, next }
    if (learner !== undefined) classroom.learnerId = learner
    return null
  }

  /** Asks the first of some problems and keeps the others for after it; why the first cannot be asked, else null. */
  function begin([first, ...rest]: readonly Queued[]): Refusal | null {
    abandoned.value = null
    return first ? turnTo(first, rest) : null
  }

  /** The next problem of those set beforehand; else the same kind of problem with other numbers, whose setter is fetched for it. */
  async function another(): Promise<Refusal | null> {
    const [head, ...rest] = queue.value
    if (head) {
      if (head.material || head.way) await fetchAll()
      return turnTo(head, rest)
    }
    turn.value = null
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]!
    const [{ nextProblem }] = await Promise.all([import('../../utils/nextProblem'), fetchAll()])
    return ask(nextProblem(bench.value.setup, seed, used.value))
  }

  /** Asks the turn again that a window was closed on before its first move; false where there is none. */
  function resumeTurn(): boolean {
    const { now, next } = line.value
    return now !== null && turnTo(now, next) === null
  }

  /** Ends the problems set beforehand, as where all are done or their lesson is removed; what is on the bench stays. */
  const endQueue = (): void => void (line.value = NO_LINE)
  /** Leaves them before they are done: they can be gone back to. */
  function leaveQueue(): void {
    abandoned.value = line.value
    endQueue()
  }
  /** Goes on with what was left last. */
  function backToQueue(): void {
    if (abandoned.value) line.value = abandoned.value
    abandoned.value = null
    if (turn.value) asked(bench.value.setup.problem)
  }
  return { queue, turn, lesson, begin, another, asked, resumeTurn, abandoned, endQueue, leaveQueue, backToQueue }
}
export type BenchQueue = ReturnType<typeof benchQueue>
