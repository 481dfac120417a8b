<script setup lang="ts">
import { PAPERS, type PrintSetting } from '../../../../core/paper/index'
import { withDefaults as withChoices } from '../../../../core/door'
import type { Lesson } from '../../../../shared/lessons'
import type { PrintChoice, PrintSet } from '../../../../shared/prints'
import { downloadBytes } from '../../../utils/download'
import { storiesFrom, storyLine } from '../../../../core/story/index'
import { request } from '../../../utils/request'

/** Paper: which sheets, for whom and how many, seen as they will be printed and made into one file. */
const classroom = useClassroom()
const session = useSession()
const route = useRoute()
const { plan, put, replace, bringBack, donePrinting } = usePrintPlan()
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
  if (asked) planFor(lessons.value.find((l) => l.id === asked)!)
} catch (error) {
  trouble.value = (error as Error).message
  put({ lesson: null })
}
// What came with the address is taken up once: loaded again, the page stays as it was left.
onMounted(() => void (Object.keys(route.query).length > 0 && useRouter().replace('/plan/print')))
const lesson = computed(() => lessons.value.find((l) => l.id === plan.value.lesson) ?? null)

/** What a lesson is usually printed with: its own page, each learner's problems, their answers, the first of it step by step. */
function planFor(of: Lesson): void {
  replace({
    lesson: of.id,
    learners: of.learners,
    sheets: [
      { sheet: { kind: 'lesson' }, copies: 1 },
      { sheet: { kind: 'problems', layout: 'squares', shown: 'blank' }, copies: 1 },
      { sheet: { kind: 'problems', layout: 'squares', shown: 'key' }, copies: 1 },
      { sheet: { kind: 'steps', material: of.turns[0]!.material, all: false }, copies: 1 },
    ],
  })
}
function choose(id: string): void {
  const of = lessons.value.find((l) => l.id === id)
  put(of ? { lesson: of.id, learners: of.learners } : { lesson: null })
}
const who = computed(() => (lesson.value ? lesson.value.learners : classroom.learners.map((l) => l.id)))
const chosen = computed(() => plan.value.learners.filter((id) => who.value.includes(id)))
const toggle = (id: string): void =>
  put({ learners: chosen.value.includes(id) ? chosen.value.filter((l) => l !== id) : [...chosen.value, id] })
const setting = computed(() => plan.value.setting)
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
    trouble.value = `${(error as Error).message} The file is made, but Marking will not find its problems by their code.`
  }
  try {
    return await pdf(lesson.value ? `Lesson ${lesson.value.day}` : 'Sheets')
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
  status.value = `A file of ${count.value} ${count.value === 1 ? 'page' : 'pages'} is made. Print it at 100 %, and measure the bar at the foot.`
}
async function open(): Promise<void> {
  // Opened at the key, or the browser would take it for something that nobody asked for.
  const tab = window.open('', '_blank')
  if (!tab) {
    status.value = 'The browser did not open a window. Make the PDF, and print that.'
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
useHead({ title: 'Paper – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Paper</h1>
      <p class="quiet" role="status">{{ status }}</p>
      <button v-if="plan.before" type="button" class="stone-button bare" @click="bringBack">
        Bring back the sheets before
      </button>
    </header>
    <p v-if="trouble || press" class="trouble" role="alert">{{ trouble || press }}</p>
    <div class="two">
      <form class="for" aria-label="What is printed" @submit.prevent>
        <label
          >Problems of
          <select :value="plan.lesson ?? ''" @change="choose(($event.target as HTMLSelectElement).value)">
            <option value="">what I type</option>
            <option v-for="l in lessons" :key="l.id" :value="l.id">
              {{ dayInWords(l.day) }}, {{ l.learners.map((id) => classroom.nameOf(id)).join(', ') }}
            </option>
          </select></label
        >
        <label v-if="!lesson"
          >A line each
          <textarea
            class="learner"
            rows="4"
            maxlength="8000"
            :value="plan.problems"
            @input="put({ problems: ($event.target as HTMLTextAreaElement).value })"
          />
        </label>
        <p v-if="lesson">
          <button type="button" class="stone-button" @click="planFor(lesson)">The usual sheets for a lesson</button>
        </p>
        <p v-if="lines.length" class="trouble" role="alert">Not read: {{ lines.slice(0, 3).join('; ') }}</p>
        <fieldset v-if="who.length">
          <legend>For</legend>
          <div class="who">
            <label v-for="id in who" :key="id" class="tick"
              ><input type="checkbox" :checked="chosen.includes(id)" @change="toggle(id)" />
              {{ classroom.nameOf(id) || 'somebody' }}</label
            >
          </div>
        </fieldset>
        <ChosenSheets
          :model-value="plan.sheets"
          :troubles="troubles"
          @update:model-value="(sheets) => put({ sheets })"
        />
        <fieldset>
          <legend>Paper</legend>
          <div class="who">
            <label
              >Size
              <select
                :value="setting.paper"
                @change="set({ paper: ($event.target as HTMLSelectElement).value as PrintChoice['paper'] })"
              >
                <option v-for="p in PAPERS" :key="p" :value="p">{{ p }}</option>
              </select></label
            >
            <label class="tick"
              ><input
                type="checkbox"
                :checked="setting.perPage === 2"
                @change="set({ perPage: setting.perPage === 2 ? 1 : 2 })"
              />
              Two to a page</label
            >
            <label class="tick"
              ><input type="checkbox" :checked="setting.big" @change="set({ big: !setting.big })" /> Large print</label
            >
            <label class="tick"
              ><input type="checkbox" :checked="setting.tactile" @change="set({ tactile: !setting.tactile })" /> To be
              felt, with braille</label
            >
          </div>
        </fieldset>
        <KeptSets :now="now" @take="take" />
      </form>
      <section class="press" aria-label="As it will be printed">
        <div class="in-row">
          <button
            v-if="busy !== 'writing'"
            type="button"
            class="stone-button main"
            :disabled="count === 0 || busy !== ''"
            @click="save"
          >
            Make the PDF
          </button>
          <button v-else type="button" class="stone-button" @click="stop">Stop</button>
          <button type="button" class="stone-button" :disabled="count === 0 || busy !== ''" @click="open">
            Open it to print
          </button>
          <span role="status" class="quiet">
            <template v-if="busy === 'writing'"
              >Page {{ progress?.done ?? 0 }} of {{ progress?.of ?? count }} …</template
            >
            <template v-else-if="busy === 'laying'">Laying it out …</template>
            <template v-else>{{ count === 1 ? '1 page' : `${count} pages` }}</template>
          </span>
        </div>
        <p v-for="n in laid?.notes ?? []" :key="n" class="quiet">{{ n }}</p>
        <p v-if="setting.tactile && count > 0 && (laid?.notes.length ?? 0) === 0" class="quiet">
          Checked: black on white, no line under 0.75 mm, nothing nearer than 5 mm.
        </p>
        <p v-if="count === 0 && busy === ''" class="quiet">Nothing to print yet. Choose a sheet at the left.</p>
        <PagePreview v-if="laid" :pages="pages" :laid="laid.pages" @more="more" @drawing="drawing" />
      </section>
    </div>
  </div>
</template>

<style scoped>
p {
  margin: 0.2rem 0;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 25rem) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
.for,
.press {
  display: grid;
  gap: 0.8rem;
  min-width: 0;
}
.for > label {
  display: grid;
  gap: 0.2rem;
}
.for > label > * {
  width: 100%;
}
fieldset {
  margin: 0;
  padding: 0.5rem 0 0;
  border: 0;
  border-top: 1.5px solid var(--rule);
  min-width: 0;
}
legend {
  float: left;
  width: 100%;
  font-weight: 700;
}
.who {
  clear: both;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1rem;
}
.who label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
