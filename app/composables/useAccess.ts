import type { Access } from '../../shared/learners'

/** As it is where nothing was chosen; the same as the schema's own, which would bring its library into the first load. */
export const ACCESS_AT_FIRST: Access = {
  switches: 0,
  chooseKey: ' ',
  stepKey: 'Enter',
  order: 'groups',
  pace: 1500,
  firstPause: 700,
  dwell: 0,
  longPress: 1200,
  says: false,
  hold: 0,
  again: 0,
  targets: 44,
  plain: false,
  single: false,
  looks: 'room',
  still: false,
  grey: false,
  keys: true,
  voice: '',
  recorded: true,
  rate: 0.9,
}

/** How whoever is at the bench reaches the screen and reads it; easy reading can be put on for a while by a key. */
export function useAccess() {
  const classroom = useClassroom()
  /** Put on or off here, whoever is at the bench; else as suits them. */
  const easy = useLocalStorage<'as' | 'on' | 'off'>('sett.easy', 'as')
  const access = computed<Access>(() => {
    const own = { ...ACCESS_AT_FIRST, ...classroom.learner?.choices.access }
    return easy.value === 'as' ? own : { ...own, single: easy.value === 'on', plain: easy.value === 'on' }
  })
  const letters = computed(() => Math.max(classroom.learner?.choices.letters ?? 1, easy.value === 'on' ? 2 : 1))
  /** One thing at a time, on or off. */
  const toggleEasy = (): void => void (easy.value = access.value.single ? 'off' : 'on')
  return { access, letters, toggleEasy }
}
