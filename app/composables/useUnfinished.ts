import { filledRows, linesOf, soundRows } from '../utils/answerRows'

/** What other pages keep in this browser, only looked at here: it may be anything that an earlier Sett, or a hand, has left. */
type Kept<K extends string> = Partial<Record<K, unknown>> | null
const UNTOUCHED = { writeDefaults: false }

/** Something that was begun away from the Bench and is not finished. */
export interface Unfinished {
  readonly id: 'marking' | 'print' | 'notes'
  readonly what: string
  readonly facts: string
  readonly to: string
  /** Takes it away and returns what brings it back; null where only its own page can end it. */
  readonly discard: (() => () => void) | null
}

/** What is unfinished away from the Bench: a page that is being marked, a print that was never printed, notes that are being taken. */
export function useUnfinished() {
  const { t } = useI18n()
  const classroom = useClassroom()
  const marking = useLocalStorage<Kept<'rows' | 'saved'>>('sett.marking', {}, UNTOUCHED)
  const print = useLocalStorage<Kept<'sheets' | 'begun'>>('sett.paper', {}, UNTOUCHED)
  const { sitting, known } = useSitting()
  // A browser that keeps nothing has no notes that are open.
  known.catch(() => undefined)

  const unmarked = computed((): Unfinished | null => {
    const rows = soundRows(marking.value?.rows)
    const answered = rows.filter((r) => r.answer.trim() !== '')
    if (answered.length === 0 || linesOf(filledRows(rows)) === marking.value?.saved) return null
    const discard = () => {
      const had = marking.value
      marking.value = { ...had, rows: [] }
      return () => void (marking.value = had)
    }
    const facts = t('today.answers', answered.length)
    return { id: 'marking', what: t('today.marking'), facts, to: '/learners/marking', discard }
  })
  const unprinted = computed((): Unfinished | null => {
    const sheets = print.value?.sheets
    if (print.value?.begun !== true || !Array.isArray(sheets) || sheets.length === 0) return null
    const discard = () => {
      const had = print.value
      print.value = { ...had, begun: false }
      return () => void (print.value = had)
    }
    const facts = t('today.sheets', sheets.length)
    return { id: 'print', what: t('today.printing'), facts, to: '/plan/print', discard }
  })
  const noting = computed((): Unfinished | null => {
    const now = sitting.value
    if (!now) return null
    const names = now.learners.map(classroom.nameOf).filter(Boolean).join(', ')
    const facts = t('today.notesSince', { when: `${dayInWords(dayOf(now.startedAt))}, ${timeOf(now.startedAt)}` })
    return { id: 'notes', what: t('today.notes', { names }), facts, to: '/learners/notes', discard: null }
  })
  return computed(() => [noting.value, unmarked.value, unprinted.value].filter((u) => u !== null))
}
