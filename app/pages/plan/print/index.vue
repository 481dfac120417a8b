<script setup lang="ts">
import { PAPERS, type PrintSetting } from '../../../../core/paper/index'
import { withDefaults as withChoices } from '../../../../core/door'
import type { Lesson } from '../../../../shared/lessons'
import type { PrintChoice, PrintSet, SheetChoice } from '../../../../shared/prints'
import { READY_SETS, readySheets, type ReadySet } from '../../../utils/sheets'
import { downloadBytes } from '../../../utils/download'
import { storiesFrom, storyLine } from '../../../../core/story/index'
import { request, ServerRefusal } from '../../../utils/request'

/** Print: which sheets, for whom and how many, seen as they will be printed and made into one file. */
const classroom = useClassroom()
const session = useSession()
const route = useRoute()
const { t } = useI18n()
const { sheetTitle } = useSheetNames()
const { plan, put, replace, bringBack, donePrinting, printed, openAgain } = usePrintPlan()
const setting = computed(() => plan.value.setting)
const { laid, pages, busy, progress, trouble: press, lay, more, pdf, svg, stop } = usePaper()
const { fetchFor, itemsFor, unread, known } = useSheetItems()
const trouble = ref('')
const status = ref('')

const lessons = shallowRef<readonly Lesson[]>([])
try {
  const asked = typeof route.query.lesson === 'string' ? route.query.lesson : null
  if (typeof route.query.record === 'string')
    replace({ lesson: null, sheets: [{ sheet: { kind: 'record', id: route.query.record }, copies: 1 }] })
  const day = (from: number): string => today(from)
  lessons.value = await request<Lesson[]>(`/api/lessons?from=${day(-7)}&to=${day(60)}`)
  const wanted = asked ?? plan.value.lesson
  if (wanted && !lessons.value.some((l) => l.id === wanted))
    lessons.value = [...lessons.value, await request<Lesson>(`/api/lessons/${wanted}`)]
  await useCourses().load()
  if (asked)
    takeSet(
      'lesson',
      lessons.value.find((l) => l.id === asked)!,
    )
} catch (error) {
  trouble.value = (error as Error).message
  // A lesson that is gone is asked for no more; one that only could not be fetched is there again next time.
  if (error instanceof ServerRefusal && error.status === 404) put({ lesson: null })
}
// What came with the address is taken up once: loaded again, the page stays as it was left.
onMounted(() => void (Object.keys(route.query).length > 0 && useRouter().replace('/plan/print')))
const lesson = computed(() => lessons.value.find((l) => l.id === plan.value.lesson) ?? null)

/** The sheets of a ready set take the place of those that are here. */
function takeSet(set: ReadySet, of: Lesson | null = lesson.value): void {
  const material = of?.turns[0]?.material ?? 'blocks'
  replace({
    ...(of ? { lesson: of.id, learners: of.learners } : {}),
    sheets: readySheets(set, material).map((sheet) => ({ sheet, copies: 1 })),
    setting: { ...setting.value, tactile: set === 'felt' },
  })
}
const TYPED = 'typed'
const sources = computed(() => [
  { value: TYPED, label: t('print.typed') },
  ...lessons.value.map((l) => ({
    value: l.id,
    label: t('print.lessonOf', {
      day: dayInWords(l.day),
      names: l.learners.map(classroom.nameOf).filter(Boolean).join(', '),
    }),
  })),
])
function choose(id: string): void {
  const of = lessons.value.find((l) => l.id === id)
  put(of ? { lesson: of.id, learners: of.learners } : { lesson: null })
}
const who = computed(() => (lesson.value ? lesson.value.learners : classroom.learners.map((l) => l.id)))
const chosen = computed(() => plan.value.learners.filter((id) => who.value.includes(id)))
const toggle = (id: string): void =>
  put({ learners: chosen.value.includes(id) ? chosen.value.filter((l) => l !== id) : [...chosen.value, id] })
const set = (change: Partial<PrintChoice>): void => put({ setting: { ...setting.value, ...change } })

/* --- laying out, soon after something changed --- */
const source = computed(() => ({ lesson: lesson.value, typed: plan.value.problems, learners: chosen.value }))
const print = computed(() => itemsFor(plan.value.sheets, source.value))
watch(
  [() => plan.value.sheets, chosen],
  () => void fetchFor(plan.value.sheets, chosen.value).catch((error: Error) => (trouble.value = error.message)),
  { immediate: true },
)
const pressSetting = computed<PrintSetting>(() => ({
  ...setting.value,
  choices: withChoices({ ...classroom.hands, words: classroom.words }),
}))
watchDebounced([print, pressSetting, known], () => lay(pressSetting.value, print.value.items), {
  debounce: 250,
  immediate: true,
  deep: true,
})
/** What is wrong with each sheet: it cannot be made from what is there, or does not go on the paper. */
const troubles = computed(() => ({
  ...print.value.troubles,
  ...Object.fromEntries((laid.value?.refused ?? []).map((r) => [print.value.items[r.item]?.from ?? -1, r.why])),
}))
const lines = computed(() => (lesson.value ? [] : unread(plan.value.problems)))
const count = computed(() => laid.value?.pages.length ?? 0)

/** Keeps the lists of problems by their codes, so that Marking finds them again. */
async function keepLists(): Promise<void> {
  if (!session.may('helper')) return
  const lists = new Map(
    print.value.items.flatMap(({ code, sheet }) => {
      if (!code) return []
      if (sheet.kind === 'stories')
        return [[code, storiesFrom(sheet.problems, sheet.seed, sheet.kinds).map(storyLine)] as const]
      return sheet.kind === 'problems' ? [[code, sheet.problems] as const] : []
    }),
  )
  for (const [code, problems] of lists) await request(`/api/printed/${code}`, { method: 'PUT', body: { problems } })
}
async function file(): Promise<Uint8Array | null> {
  trouble.value = status.value = ''
  try {
    await keepLists()
  } catch (error) {
    trouble.value = t('print.notKept', { why: (error as Error).message })
  }
  try {
    return await pdf(lesson.value ? t('print.lessonTitle', { day: lesson.value.day }) : t('print.title'))
  } catch (error) {
    status.value = (error as Error).message
    return null
  }
}
async function save(): Promise<void> {
  const made = await file()
  if (!made) return
  downloadBytes(`sett-sheets-${today()}.pdf`, made, 'application/pdf')
  donePrinting()
  status.value = t('print.done', count.value)
}
async function open(): Promise<void> {
  // Opened at the key, or the browser would take it for something that nobody asked for.
  const tab = window.open('', '_blank')
  if (!tab) {
    status.value = t('print.noWindow')
    return
  }
  const made = await file()
  if (!made) return tab.close()
  tab.location.href = URL.createObjectURL(new Blob([made as BlobPart], { type: 'application/pdf' }))
  donePrinting()
}
async function drawing(page: number): Promise<void> {
  try {
    download(`sett-page-${page + 1}.svg`, await svg(page), 'image/svg+xml')
  } catch (error) {
    status.value = (error as Error).message
  }
}
const take = (kept: PrintSet): void =>
  replace({ setting: kept.setting, problems: kept.problems, sheets: kept.sheets, lesson: null })
const now = computed(() => ({ setting: setting.value, problems: plan.value.problems, sheets: [...plan.value.sheets] }))
const before = computed(() =>
  printed.value.map(({ at, sheets }) => ({
    at,
    label: t('print.beforeOn', {
      day: dayInWords(dayOf(at)),
      sheets: sheets.map(({ sheet }) => sheetTitle(sheet)).join(', '),
    }),
  })),
)
const gallery = ref(false)
const add = (sheet: SheetChoice): void => put({ sheets: [...plan.value.sheets, { sheet, copies: 1 }] })
const facts = computed(() => {
  if (status.value) return status.value
  if (busy.value === 'writing')
    return t('print.writing', { done: progress.value?.done ?? 0, of: progress.value?.of ?? count.value })
  if (busy.value === 'laying') return t('print.laying')
  return count.value === 0 ? t('print.nothing') : t('print.pages', count.value)
})
watch([() => plan.value.sheets, () => plan.value.setting, () => plan.value.problems], () => (status.value = ''))
const papers = PAPERS.map((value) => ({ value, label: value }))
const id = useId()
useHead({ title: () => `${t('frame.print')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('frame.print')" :facts="facts" live>
      <Button v-if="plan.before" severity="secondary" text @click="bringBack"
        ><IconUndo2 /> {{ t('print.undo') }}</Button
      >
      <Button v-if="busy === 'writing'" severity="secondary" :label="t('print.stop')" @click="stop" />
      <Button severity="secondary" :disabled="count === 0 || busy !== ''" @click="save"
        ><IconDownload /> {{ t('print.download') }}</Button
      >
      <Button :disabled="count === 0 || busy !== ''" @click="open"><IconPrinter /> {{ t('print.print') }}</Button>
    </PageHeader>
    <p v-if="trouble || press" class="trouble" role="alert">{{ trouble || press }}</p>
    <div class="with-aside">
      <div class="press">
        <p v-for="n in laid?.notes ?? []" :key="n" class="quiet">{{ n }}</p>
        <p v-if="setting.tactile && count > 0 && (laid?.notes.length ?? 0) === 0" class="quiet">
          {{ t('print.checked') }}
        </p>
        <PagePreview v-if="laid && count" :pages="pages" :laid="laid.pages" @more="more" @drawing="drawing" />
        <section v-else-if="!busy" class="card">
          <EmptyState :title="t('print.nothing')"
            ><Button severity="secondary" :label="t('print.add')" @click="gallery = true"
          /></EmptyState>
        </section>
      </div>
      <form class="panel" :aria-label="t('print.what')" @submit.prevent>
        <section class="card">
          <div class="field">
            <label :for="`${id}-from`">{{ t('print.from') }}</label>
            <Select
              :model-value="lesson?.id ?? TYPED"
              :label-id="`${id}-from`"
              :options="sources"
              option-label="label"
              option-value="value"
              :aria-label="t('print.from')"
              @update:model-value="choose"
            />
          </div>
          <div v-if="!lesson" class="field">
            <label :for="`${id}-typed`">{{ t('print.problems') }}</label>
            <Textarea
              :id="`${id}-typed`"
              class="learner"
              rows="4"
              maxlength="8000"
              :model-value="plan.problems"
              @update:model-value="(to: string) => put({ problems: to })"
            />
          </div>
          <p v-if="lines.length" class="trouble" role="alert">
            {{ t('print.unread', { lines: lines.slice(0, 3).join('; ') }) }}
          </p>
          <div v-if="who.length" class="who" role="group" :aria-label="t('print.for')">
            <b>{{ t('print.for') }}</b>
            <label v-for="one in who" :key="one" class="in-row"
              ><Checkbox
                :model-value="chosen.includes(one)"
                binary
                :aria-label="classroom.nameOf(one) || t('print.somebody')"
                @update:model-value="toggle(one)"
              />
              {{ classroom.nameOf(one) || t('print.somebody') }}</label
            >
          </div>
          <div class="who" role="group" :aria-label="t('print.ready')">
            <b>{{ t('print.ready') }}</b>
            <Button
              v-for="ready in READY_SETS.filter((s) => lesson || s === 'home' || s === 'felt')"
              :key="ready"
              severity="secondary"
              :label="t(`print.set.${ready}`)"
              @click="takeSet(ready)"
            />
          </div>
        </section>
        <ChosenSheets
          :model-value="plan.sheets"
          :troubles="troubles"
          @add="gallery = true"
          @update:model-value="(sheets) => put({ sheets })"
        />
        <section class="card" :aria-label="t('print.paper')">
          <h2>{{ t('print.paper') }}</h2>
          <div class="who">
            <SelectButton
              :model-value="setting.paper"
              :options="papers"
              option-label="label"
              option-value="value"
              :allow-empty="false"
              :aria-label="t('print.size')"
              @update:model-value="(paper: PrintChoice['paper']) => set({ paper })"
            />
            <label class="in-row"
              ><Checkbox
                :model-value="setting.perPage === 2"
                binary
                :aria-label="t('print.two')"
                @update:model-value="(two: boolean) => set({ perPage: two ? 2 : 1 })"
              />
              {{ t('print.two') }}</label
            >
            <label class="in-row"
              ><Checkbox
                :model-value="setting.big"
                binary
                :aria-label="t('print.big')"
                @update:model-value="(big: boolean) => set({ big })"
              />
              {{ t('print.big') }}</label
            >
            <label class="in-row"
              ><Checkbox
                :model-value="setting.tactile"
                binary
                :aria-label="t('print.tactile')"
                @update:model-value="(tactile: boolean) => set({ tactile })"
              />
              {{ t('print.tactile') }}</label
            >
          </div>
        </section>
        <KeptSets :now="now" :printed="before" @take="take" @again="openAgain" />
      </form>
    </div>
    <LazySheetGallery v-if="gallery" v-model:open="gallery" :setting="pressSetting" :source="source" @add="add" />
  </div>
</template>

<style scoped>
.press,
.panel,
.panel .card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.press {
  position: sticky;
  top: 16px;
}
.who {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
.who > b {
  flex: 1 1 100%;
  font-size: 0.9rem;
}
.who > .p-button {
  margin: 2px -8px 2px 0;
}
@media (max-width: 1000px) {
  .press {
    position: static;
  }
}
</style>
