import type { TellSteps } from '../../shared/courses'

/** What was said last of a learner's steps, in words, and what takes it back. It stays while one goes from page to page. */
const said = shallowRef<{ readonly learner: string; readonly what: string; readonly undo: () => Promise<void> } | null>(
  null,
)

/** Says what a learner knows, and takes the last of it back; `lookAgain` brings the page that does up to date. */
export function useSaidOfSteps(
  tell: ReturnType<typeof useStandings>['tell'],
  lookAgain: () => Promise<void> = async () => {},
) {
  const classroom = useClassroom()
  const shown = computed(() => (said.value?.learner === classroom.learnerId ? said.value : null))
  /** @throws ServerRefusal */
  async function say(what: string, told: TellSteps, placed = false): Promise<void> {
    const { id } = classroom.learner!
    said.value = { learner: id, what, undo: await tell(id, told, placed) }
  }
  /** @throws ServerRefusal */
  async function takeBack(): Promise<void> {
    await said.value?.undo()
    said.value = null
    await lookAgain()
  }
  return { said: shown, say, takeBack }
}
