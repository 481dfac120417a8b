import { codeOfList, MOST_PRINTED, type PrintItem, type Section, type SheetWish } from '../../core/paper/index'
import { attempt, parseProblem, REPRESENTATIONS, toCount, valueOf, type WorkRecord } from '../../core/door'
import { storiesFrom, storyLine } from '../../core/story/index'
import type { Lesson } from '../../shared/lessons'
import type { ChosenSheet, SheetChoice } from '../../shared/prints'
import type { RecordPage } from '../../shared/listing'
import type { SavedRecord } from '../../shared/schemas'
import { standingTold } from './useStandings'
import { countedIn, listIn } from '../utils/sheets'
import { request } from '../utils/request'

/** What is to be printed: a lesson with its problems, or problems that were typed; and for whom. */
export interface PrintSource {
  readonly lesson: Lesson | null
  readonly typed: string
  readonly learners: readonly string[]
}

/** Turns chosen sheets into what the press is told: with the problems, the names and the words that belong to them. */
export function useSheetItems() {
  const classroom = useClassroom()
  const courses = useCourses()
  const { all: known, look, standings } = useStandings()
  const names = useMistakeNames()
  const { partsOf, afterOf, whose, goesWell, goesBadly } = useLessonParts()
  const { t } = useI18n()
  const { sheetTitle } = useSheetNames()
  const records = shallowRef<ReadonlyMap<string, WorkRecord>>(new Map())
  const lately = shallowRef<ReadonlyMap<string, RecordPage['records']>>(new Map())

  /** Fetches what some sheets need besides: what was worked, where learners stand. @throws Error where the server is away. */
  async function fetchFor(sheets: readonly ChosenSheet[], learners: readonly string[]): Promise<void> {
    for (const { sheet } of sheets)
      if (sheet.kind === 'record' && sheet.id && !records.value.has(sheet.id)) {
        const { work } = await request<SavedRecord>(`/api/records/${sheet.id}`)
        records.value = new Map([...records.value, [sheet.id, work]])
      }
    if (!sheets.some(({ sheet }) => sheet.kind === 'learner')) return
    await courses.load()
    if (learners.some((id) => !known.value.has(id))) await look(learners)
    for (const id of learners)
      if (!lately.value.has(id)) {
        const page = await request<RecordPage>(`/api/records?learner=${id}&limit=12`)
        lately.value = new Map([...lately.value, [id, page.records]])
      }
  }

  const linesOf = (typed: string): readonly string[] =>
    typed
      .split('\n')
      .map((t) => t.trim())
      .filter((t) => t !== '')
      .slice(0, MOST_PRINTED)
  const readable = (problems: readonly string[]): readonly string[] =>
    problems.filter((p) => 'ok' in attempt(() => parseProblem(p)))
  /** Lines that cannot be read as problems. */
  const unread = (typed: string): readonly string[] => {
    const lines = linesOf(typed)
    const good = new Set(readable(lines))
    return lines.filter((l) => !good.has(l))
  }

  /** Problems by whose they are: each learner's own in a lesson, else the same ones for all. */
  function lists({ lesson, typed, learners }: PrintSource) {
    const nameOf = (id: string): string => classroom.nameOf(id)
    if (!lesson) return [{ names: learners.map(nameOf), problems: readable(linesOf(typed)) }]
    return lesson.learners
      .filter((id) => learners.includes(id))
      .map((id) => ({
        names: [nameOf(id)],
        problems: lesson.turns.filter((t) => t.learner === id).map((t) => t.problem),
      }))
  }
  const allProblems = ({ lesson, typed }: PrintSource): readonly string[] =>
    lesson ? [...new Set(lesson.turns.map((t) => t.problem))] : readable(linesOf(typed))

  function lessonSections(lesson: Lesson): readonly Section[] {
    return [
      ...partsOf(lesson).map(({ mode, turns }) => ({
        title: t(`lesson.part.${mode}`),
        rows: turns.map(({ turn }) => [whose(turn), `=${turn.problem}`, REPRESENTATIONS[turn.material].title, '']),
      })),
      { title: t('lesson.sayAndAsk'), text: lesson.words },
      ...afterOf(lesson).map(({ step, well, badly, material }) => ({
        title: step.title,
        rows: [
          ...(step.usual.length ? [[t('lesson.watch'), step.usual.map(names).join('; ')]] : []),
          [t('lesson.well'), goesWell(well)],
          [t('lesson.hard'), goesBadly(badly, material)],
        ],
      })),
      ...lesson.learners.map((id) => ({
        title: t('lesson.afterwardsOf', { name: classroom.nameOf(id) }),
        ...(lesson.notes[id] ? { text: lesson.notes[id] } : { blank: 2 }),
      })),
    ]
  }
  function learnerSections(id: string): readonly Section[] {
    const begun = standings(id).filter((s) => s.worked > 0)
    const last = lately.value.get(id) ?? []
    return [
      {
        title: 'Where things stand',
        ...(begun.length
          ? { rows: begun.map((s) => [courses.stepOf(s.step)?.title ?? s.step, standingTold(s)]) }
          : { text: 'Nothing has been worked on the course yet.' }),
      },
      {
        title: 'Worked lately',
        ...(last.length
          ? {
              rows: last.map((r) => [
                dayInWords(r.day),
                `=${r.problem}`,
                r.right ? 'right' : 'not yet',
                r.slips.map(names).join('; '),
              ]),
            }
          : { text: 'Nothing yet.' }),
      },
      { title: 'Notes', blank: 4 },
    ]
  }

  type Made = { readonly wishes: readonly Omit<PrintItem, 'copies'>[] } | { readonly trouble: string }
  const one = (sheet: SheetWish, who: readonly string[] = []): Made => ({ wishes: [{ sheet, names: who }] })
  const counts = (
    text: string,
    make: (all: readonly { readonly of: string; readonly count: number }[]) => SheetWish,
  ): Made => {
    const read = countedIn(text)
    return 'unread' in read ? { trouble: t('print.badCount', { text: read.unread }) } : one(make(read))
  }

  function made(sheet: SheetChoice, source: PrintSource): Made {
    const { lesson, learners } = source
    const who = learners.map((id) => classroom.nameOf(id))
    switch (sheet.kind) {
      case 'problems': {
        const wishes = lists(source)
          .filter((l) => l.problems.length > 0)
          .map(({ names: whom, problems }) => ({
            sheet: { ...sheet, problems },
            // One key serves all who have the same problems.
            names: sheet.shown === 'key' && !lesson ? [] : whom,
            code: codeOfList(problems),
          }))
        return wishes.length ? { wishes } : { trouble: t('print.noProblems') }
      }
      case 'steps': {
        const turns = lesson
          ? lesson.turns.map(({ problem, material, way }) => ({ problem, material, way }))
          : allProblems(source).map((problem) => ({ problem, material: sheet.material, way: null }))
        if (turns.length === 0) return { trouble: t('print.noProblems') }
        const shown = sheet.all ? turns : turns.slice(0, 1)
        return { wishes: shown.map((t) => ({ sheet: { kind: 'steps', ...t }, names: [] })) }
      }
      case 'stories': {
        // The kinds that the lesson's steps ask for, where they ask for some.
        const kinds = [...new Set((lesson?.turns ?? []).flatMap((t) => courses.stepOf(t.step)?.stories ?? []))]
        const wishes = lists(source)
          .filter((l) => l.problems.length > 0)
          .map(({ names: whom, problems }) => {
            const told = storiesFrom(problems, sheet.seed, kinds)
            return {
              sheet: { ...sheet, problems, kinds },
              names: sheet.shown === 'key' && !lesson ? [] : whom,
              ...(told.length ? { code: codeOfList(told.map(storyLine)) } : {}),
            }
          })
        return wishes.length ? { wishes } : { trouble: t('print.noProblems') }
      }
      case 'record': {
        const record = records.value.get(sheet.id)
        if (!record) return { trouble: t('print.noRecord') }
        return one({ kind: 'steps', problem: record.problem, material: record.representation, record })
      }
      case 'lying':
        return one({ kind: 'lying', record: sheet.work as WorkRecord })
      case 'lesson':
        return lesson
          ? one({
              kind: 'words',
              title: lesson.learners.map((id) => classroom.nameOf(id)).join(', '),
              under: `${dayInWords(lesson.day)}, ${lesson.at}, ${lesson.minutes} minutes`,
              sections: lessonSections(lesson),
            })
          : { trouble: t('print.noLesson') }
      case 'learner':
        return learners.length
          ? {
              wishes: learners.map((id) => ({
                sheet: {
                  kind: 'words',
                  title: classroom.nameOf(id),
                  under: dayInWords(today()),
                  sections: learnerSections(id),
                },
                names: [],
              })),
            }
          : { trouble: t('print.noLearner') }
      case 'chains': {
        const chains = allProblems(source).flatMap((text) => {
          const { first, terms, groups, others, named } = parseProblem(text)
          const plain = terms.length > 0 && !groups && !others && !named
          if (!plain || terms.some((t) => t.operation !== '+' && t.operation !== '-')) return []
          const numbers = [first, ...terms.map((t) => t.number)].map(valueOf)
          if (numbers.some((n) => n.includes('/'))) return []
          return [numbers.map((n, i) => (terms[i - 1]?.operation === '-' ? -toCount(n) : toCount(n)))]
        })
        return chains.length
          ? one({ kind: 'chains', chains, shown: sheet.shown }, sheet.shown === 'blank' ? who : [])
          : { trouble: t('print.noChain') }
      }
      case 'beads':
        return one({ ...sheet, numbers: listIn(sheet.numbers) }, sheet.shown === 'blank' ? who : [])
      case 'fingers':
        return one(sheet)
      case 'mat':
        if (sheet.mat !== 'strips') return one(sheet, who)
        return one(
          {
            ...sheet,
            parts: listIn(sheet.parts)
              .map(Number)
              .filter((n) => Number.isInteger(n) && n >= 2 && n <= 100),
          },
          who,
        )
      case 'pieces':
        switch (sheet.piece) {
          case 'chips':
            return counts(sheet.chips, (all) => ({
              ...sheet,
              chips: all.map(({ of, count }) => ({ worth: of, count })),
            }))
          case 'strips':
            return counts(sheet.strips, (all) => ({
              ...sheet,
              strips: all.map(({ of, count }) => ({ of: Number(of), count })),
            }))
          case 'coins':
            return counts(sheet.coins, (all) => ({
              ...sheet,
              coins: all.map(({ of, count }) => ({ value: Number(of), count })),
            }))
          case 'numerals':
            return one({ ...sheet, digits: Array.from(sheet.digits.replace(/\D/g, ''), Number) })
          case 'cards': {
            const cards = sheet.of === 'numbers' ? listIn(sheet.numbers) : allProblems(source)
            return cards.length
              ? one({ kind: 'pieces', piece: 'cards', cards, answers: sheet.of === 'answers' })
              : { trouble: t('print.noProblems') }
          }
          default:
            return one(sheet)
        }
    }
  }

  /** The items of a print, each with the sheet that it comes of; and for every sheet that cannot be made yet, why. */
  function itemsFor(sheets: readonly ChosenSheet[], source: PrintSource) {
    const troubles: Record<number, string> = {}
    const items = sheets.flatMap(({ sheet, copies }, from): readonly (PrintItem & { readonly from: number })[] => {
      const done = made(sheet, source)
      if ('trouble' in done) {
        troubles[from] = t('print.trouble', { sheet: sheetTitle(sheet), why: done.trouble })
        return []
      }
      return done.wishes.map((w) => ({ ...w, copies, from }))
    })
    return { items, troubles }
  }
  return { fetchFor, itemsFor, unread, known: computed(() => [records.value, lately.value, known.value]) }
}
