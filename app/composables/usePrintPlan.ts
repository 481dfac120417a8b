import { PAPERS } from '../../core/paper/index'
import type { ChosenSheet, PrintChoice } from '../../shared/prints'

/** A print as it is being put together, kept in this browser. */
export interface PrintPlan {
  readonly setting: PrintChoice
  readonly problems: string
  readonly sheets: readonly ChosenSheet[]
  /** A lesson by its id, or none. */
  readonly lesson: string | null
  readonly learners: readonly string[]
  /** Whether it was changed since it was last printed. */
  readonly begun: boolean
  /** What was here before something else took its place, to be brought back. */
  readonly before: PrintPlan | null
}

/** A print that was made, to be opened again; for whom is not kept. */
export interface PrintedBefore extends Pick<PrintPlan, 'setting' | 'problems' | 'sheets' | 'lesson'> {
  /** When, in milliseconds since 1970. */
  readonly at: number
}
const MOST_BEFORE = 8
/** What is longer than this, in characters, is not kept among what was printed before. */
const LONGEST_KEPT = 20_000

const AT_FIRST: PrintPlan = {
  setting: { paper: 'A4', perPage: 1, big: false, tactile: false },
  problems: '52 - 37\n61 - 25\n70 - 46\n84 - 38',
  sheets: [{ sheet: { kind: 'problems', layout: 'squares', shown: 'blank' }, copies: 1 }],
  lesson: null,
  learners: [],
  begun: false,
  before: null,
}

/** What was kept by an earlier Sett, or by hand, may lack some of it, or be something else. */
function sound(kept: Partial<PrintPlan>): PrintPlan {
  const { setting } = kept
  return {
    setting: {
      paper: PAPERS.includes(setting?.paper as never) ? setting!.paper : 'A4',
      perPage: setting?.perPage === 2 ? 2 : 1,
      big: setting?.big === true,
      tactile: setting?.tactile === true,
    },
    problems: typeof kept.problems === 'string' ? kept.problems : AT_FIRST.problems,
    sheets: isSheets(kept.sheets) ? kept.sheets : AT_FIRST.sheets,
    begun: kept.begun === true,
    before: kept.before && isSheets(kept.before.sheets) ? { ...AT_FIRST, ...kept.before, before: null } : null,
    lesson: typeof kept.lesson === 'string' ? kept.lesson : null,
    learners: Array.isArray(kept.learners) ? kept.learners.filter((id) => typeof id === 'string') : [],
  }
}

const isSheets = (sheets: unknown): sheets is readonly ChosenSheet[] =>
  Array.isArray(sheets) && sheets.every((s) => s?.sheet?.kind && Number.isInteger(s.copies))

/** The print that this browser holds, and a way to bring something to it from another place. */
export function usePrintPlan() {
  const kept = useLocalStorage<PrintPlan>('sett.paper', AT_FIRST)
  kept.value = sound(kept.value)
  const put = (change: Partial<PrintPlan>): void => void (kept.value = { ...kept.value, begun: true, ...change })
  const before = useLocalStorage<readonly PrintedBefore[]>('sett.printed', [], { writeDefaults: false })
  const printed = computed(() =>
    (Array.isArray(before.value) ? (before.value as readonly PrintedBefore[]) : []).filter(
      (p) => Number.isInteger(p?.at) && isSheets(p.sheets),
    ),
  )
  /** The print is made: it stands first among what was printed before, once. */
  function donePrinting(): void {
    put({ begun: false })
    const { setting, problems, sheets, lesson } = kept.value
    const same = JSON.stringify({ setting, problems, sheets, lesson })
    if (same.length > LONGEST_KEPT) return
    const others = printed.value.filter(
      (p) => JSON.stringify({ setting: p.setting, problems: p.problems, sheets: p.sheets, lesson: p.lesson }) !== same,
    )
    before.value = [{ at: Date.now(), setting, problems, sheets, lesson }, ...others].slice(0, MOST_BEFORE)
  }
  function openAgain(at: number): void {
    const found = printed.value.find((p) => p.at === at)
    if (!found) return
    const { at: _, ...print } = found
    replace(sound(print))
  }
  /** Puts another print in the place of this one, which is kept aside. */
  function replace(change: Partial<PrintPlan>): void {
    const { before, ...now } = kept.value
    // The same print once more takes nothing's place.
    const same = JSON.stringify({ ...now, ...change }) === JSON.stringify(now)
    put({ ...change, before: same ? before : { ...now, before: null } })
  }
  function bringBack(): void {
    const { before } = kept.value
    if (before) kept.value = { ...before, before: { ...kept.value, before: null } }
  }
  /** Leads to Print with these sheets, and with these problems where some are given. */
  async function print(sheets: readonly ChosenSheet[], change: Partial<PrintPlan> = {}): Promise<void> {
    replace({ lesson: null, ...change, sheets })
    await navigateTo('/plan/print')
  }
  return { plan: kept, put, donePrinting, printed, openAgain, replace, bringBack, print }
}
