<script setup lang="ts">
import { attempt, parseProblem, REPRESENTATION_IDS, REPRESENTATIONS, type RepresentationId } from '../../../core/door'
import {
  cuttingMinutes,
  HAND_NEEDS,
  handsSay,
  MOST_KIT_LEARNERS,
  MOST_KIT_PROBLEMS,
  type HandNeed,
  type KitItem,
} from '../../../core/kit/index'
import { CUPBOARD_AT_FIRST, stockOf, type Cupboard } from '../../../shared/cupboard'
import type { Lesson } from '../../../shared/lessons'
import { cutOuts } from '../../utils/sheets'
import { groupsOf, kitsWish, type KitGroup } from '../../utils/kitWish'
import { request, type ServerRefusal } from '../../utils/request'

/** The cupboard: how many pieces a lesson or a list of problems needs, what of them is there, what could stand in, what to be careful about. */
const route = useRoute()
const classroom = useClassroom()
const session = useSession()
const { kits, trouble: uncounted, count } = useKits()
const trouble = ref('')
const status = ref('')
const cupboard = shallowRef<Cupboard>(CUPBOARD_AT_FIRST)
const lessons = shallowRef<readonly Lesson[]>([])
const kept = useLocalStorage('sett.cupboard', {
  material: 'blocks' as RepresentationId,
  typed: '52 - 37\n61 - 25',
  learners: 6,
  sharing: 1,
  needs: [] as HandNeed[],
})
/** A lesson by its id, or what was typed. */
const of = ref(typeof route.query.lesson === 'string' ? route.query.lesson : 'typed')
try {
  const from = today(-7)
  const to = today(60)
  ;[cupboard.value, lessons.value] = await Promise.all([
    request<Cupboard>('/api/cupboard'),
    request<Lesson[]>(`/api/lessons?from=${from}&to=${to}`),
  ])
  if (of.value !== 'typed' && !lessons.value.some((l) => l.id === of.value))
    lessons.value = [...lessons.value, await request<Lesson>(`/api/lessons/${of.value}`)]
} catch (error) {
  trouble.value = (error as Error).message
  of.value = 'typed'
}
const lesson = computed(() => lessons.value.find((l) => l.id === of.value) ?? null)
const learners = computed(() => Math.trunc(Number(kept.value.learners) || 1))
const sharing = computed(() => Math.max(1, Math.trunc(Number(kept.value.sharing) || 1)))
const material = computed<RepresentationId>(() =>
  REPRESENTATION_IDS.includes(kept.value.material) ? kept.value.material : 'blocks',
)
const lines = computed(() =>
  String(kept.value.typed)
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== ''),
)
const unread = computed(() =>
  lesson.value ? [] : lines.value.filter((l) => 'refused' in attempt(() => parseProblem(l))),
)
/** Problems by the material that they are worked with, each with its way; and how many of those who come work with it. */
const groups = computed((): readonly KitGroup[] => {
  if (!lesson.value)
    return [{ material: material.value, problems: lines.value.slice(0, MOST_KIT_PROBLEMS), learners: learners.value }]
  return groupsOf(lesson.value)
})
const wish = computed(() => kitsWish(groups.value, cupboard.value, classroom.classroom?.hands ?? {}, sharing.value))
watchDebounced(wish, count, { debounce: 150, immediate: true, deep: true })

/** As the server had it last. */
let known: Cupboard = cupboard.value
/** What was changed here, put into what somebody else has changed in the meantime. */
function merged(there: Cupboard): Cupboard {
  const mine = cupboard.value
  const stock = Object.entries(mine.stock).filter(([key, s]) => JSON.stringify(s) !== JSON.stringify(known.stock[key]))
  const own = (['spare', 'youngest', 'mouths', 'allergies', 'packs'] as const).filter(
    (key) => JSON.stringify(mine[key]) !== JSON.stringify(known[key]),
  )
  return {
    ...there,
    ...Object.fromEntries(own.map((key) => [key, mine[key]])),
    stock: { ...there.stock, ...Object.fromEntries(stock) },
  }
}
const put = (body: Cupboard): Promise<Cupboard> => request<Cupboard>('/api/cupboard', { method: 'PUT', body })

let keeping: Promise<void> = Promise.resolve()
/** Keeps what stands now, after what is being kept. */
const keep = (): Promise<void> =>
  (keeping = keeping.then(async () => {
    try {
      const now = cupboard.value
      const saved = await put(now).catch(async (error: ServerRefusal) => {
        if (error.status !== 409) throw error
        return put(merged(await request<Cupboard>('/api/cupboard')))
      })
      cupboard.value = cupboard.value === now ? saved : { ...merged(saved), version: saved.version }
      known = saved
      trouble.value = ''
      status.value = 'Kept.'
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }))
const keepSoon = useDebounceFn(keep, 500)
function change(by: Partial<Cupboard>): void {
  cupboard.value = { ...cupboard.value, ...by }
  status.value = 'Not kept yet …'
  void keepSoon()
}
const inside = (text: string, most: number): number => Math.min(most, Math.max(0, Math.trunc(Number(text) || 0)))
function setStock(id: string, kind: string, by: Partial<Cupboard['stock'][string]>): void {
  change({ stock: { ...cupboard.value.stock, [`${id}/${kind}`]: { ...stockOf(cupboard.value, id, kind), ...by } } })
}
/** A need as it is said. */
const NEEDS: Readonly<Record<HandNeed, string>> = {
  'small pieces': 'Small pieces are hard to grasp',
  'fingers one by one': 'Fingers do not move one by one',
  pencil: 'A pencil is hard to hold',
  sight: 'Drawn and written marks are hard to see',
}
const toggle = (need: HandNeed): void =>
  void (kept.value.needs = needs.value.includes(need) ? needs.value.filter((n) => n !== need) : [...needs.value, need])
const needs = computed(() =>
  Array.isArray(kept.value.needs) ? kept.value.needs.filter((n) => HAND_NEEDS.includes(n)) : [],
)
const withPieces = REPRESENTATION_IDS.filter((id) => REPRESENTATIONS[id].out)
const namesOf = (l: Lesson): string => l.learners.map((id) => classroom.nameOf(id)).join(', ')
function learnersWith(id: RepresentationId): string {
  const many = groups.value.find((g) => g.material === id)?.learners ?? 1
  return many === 1 ? '1 learner' : `${many} learners`
}
const print = (): void => window.print()
const { print: toPaper } = usePrintPlan()
/** What there is too little of, as pieces to be cut out. */
const cut = (id: RepresentationId, items: readonly KitItem[]) =>
  cutOuts(
    id,
    items.map(({ kind, unit, total }) => ({
      kind,
      unit,
      count: Math.max(0, total - stockOf(cupboard.value, id, kind).have),
    })),
  )
useHead({ title: 'Cupboard – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Cupboard</h1>
      <p class="quiet" role="status">{{ status }}</p>
      <button type="button" class="stone-button no-print" @click="print">Print</button>
    </header>
    <p v-if="trouble || uncounted" class="trouble" role="alert">{{ trouble || uncounted }}</p>
    <div class="two">
      <form class="for no-print" aria-label="For what" @submit.prevent>
        <label
          >Pieces for
          <select v-model="of">
            <option value="typed">problems that I type</option>
            <option v-for="l in lessons" :key="l.id" :value="l.id">{{ dayInWords(l.day) }}, {{ namesOf(l) }}</option>
          </select></label
        >
        <template v-if="!lesson">
          <label
            >Worked with
            <select v-model="kept.material">
              <option v-for="id in withPieces" :key="id" :value="id">{{ REPRESENTATIONS[id].title }}</option>
            </select></label
          >
          <label
            >Problems, a line each <textarea v-model="kept.typed" class="learner" rows="6" maxlength="8000" />
          </label>
          <p v-if="unread.length" class="trouble" role="alert">Not read: {{ unread.slice(0, 3).join('; ') }}</p>
          <label
            >Learners <input v-model.number="kept.learners" type="number" min="1" :max="MOST_KIT_LEARNERS"
          /></label>
        </template>
        <label>Sharing a set <input v-model.number="kept.sharing" type="number" min="1" max="30" /></label>
        <fieldset :disabled="!session.may('teacher')">
          <label
            >To spare, of 100
            <input
              type="number"
              min="0"
              max="100"
              :value="Math.round(100 * cupboard.spare)"
              @change="change({ spare: inside(($event.target as HTMLInputElement).value, 100) / 100 })"
          /></label>
          <label
            >The youngest is
            <input
              type="number"
              min="1"
              max="99"
              :value="cupboard.youngest"
              @change="change({ youngest: Math.max(1, inside(($event.target as HTMLInputElement).value, 99)) })"
          /></label>
          <label class="tick"
            ><input
              type="checkbox"
              :checked="cupboard.mouths"
              @change="change({ mouths: ($event.target as HTMLInputElement).checked })"
            />
            Somebody puts things into the mouth</label
          >
          <label class="tick"
            ><input
              type="checkbox"
              :checked="cupboard.allergies"
              @change="change({ allergies: ($event.target as HTMLInputElement).checked })"
            />
            Somebody has food allergies</label
          >
        </fieldset>
        <fieldset>
          <legend>For whose hands</legend>
          <label v-for="n in HAND_NEEDS" :key="n" class="tick"
            ><input type="checkbox" :checked="needs.includes(n)" @change="toggle(n)" /> {{ NEEDS[n] }}</label
          >
        </fieldset>
      </form>
      <div class="kits" aria-live="polite">
        <p v-if="kits === null" class="quiet">Counting …</p>
        <section
          v-for="{ material: id, kit, refused, instead } in kits ?? []"
          :key="id"
          :aria-label="REPRESENTATIONS[id].title"
        >
          <h2>
            {{ REPRESENTATIONS[id].title }}
            <span v-if="kit?.items.length" class="quiet">
              · {{ kit.sets }} {{ kit.sets === 1 ? 'set' : 'sets' }} for {{ learnersWith(id) }}</span
            >
          </h2>
          <p v-if="refused" class="trouble" role="alert">{{ refused }}</p>
          <p v-if="handsSay(id, needs)" class="hands">
            Hard here:
            {{
              handsSay(id, needs)!
                .because.map((n) => NEEDS[n].toLowerCase())
                .join('; ')
            }}. Instead:
            {{
              handsSay(id, needs)!
                .instead.map((m) => REPRESENTATIONS[m].title)
                .join(', ')
            }}.
          </p>
          <p v-if="kit && kit.items.length === 0 && kit.cannot.length === 0" class="quiet">
            Nothing to count out: it needs no pieces.
          </p>
          <p v-for="c in kit?.cannot ?? []" :key="c.problem" class="quiet">{{ c.problem }}: {{ c.why }}</p>
          <KitTable
            v-if="kit?.items.length"
            :material="id"
            :items="kit.items"
            :cupboard="cupboard"
            :may-change="session.may('teacher')"
            @set="(kind, by) => setStock(id, kind, by)"
          />
          <PackList
            v-if="kit?.items.length"
            :material="id"
            :items="kit.items"
            :wanted="kit.packs"
            :packs="cupboard.packs ?? []"
            :may-change="session.may('teacher')"
            @change="(packs) => change({ packs: [...packs] })"
          />
          <p v-if="kit && cut(id, kit.items)" class="no-print">
            <button
              type="button"
              class="stone-button"
              @click="toPaper([{ sheet: cut(id, kit.items)!, copies: 1 }], { lesson: lesson?.id ?? null })"
            >
              Print what is short, to cut out
            </button>
          </p>
          <p v-if="instead.length" class="quiet">
            Or with
            {{
              instead
                .slice(0, 6)
                .map((m) => `${REPRESENTATIONS[m.representation].title}${m.pieces ? ' (enough are there)' : ''}`)
                .join(', ')
            }}.
          </p>
          <p v-if="kit?.items.length && cuttingMinutes(id, kit.items)" class="quiet">
            Cut out of card by an adult, all of them take about {{ cuttingMinutes(id, kit.items) }} minutes.
          </p>
        </section>
        <ShelfList :cupboard="cupboard" />
        <p class="quiet">Local rules come first. Sizes are those of usual pieces; measure yours where in doubt.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
h2 {
  margin: 0 0 0.4rem;
  font-size: 1.15rem;
}
p {
  margin: 0.2rem 0;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 19rem) minmax(0, 1fr);
  gap: 1.6rem;
  align-items: start;
}
.for,
.for fieldset {
  display: grid;
  gap: 0.6rem;
  min-width: 0;
}
.for fieldset {
  margin: 0;
  padding: 0.6rem 0 0;
  border: 0;
  border-top: 1.5px solid var(--rule);
}
.for legend {
  float: left;
  font-weight: 700;
}
.for label:not(.tick) {
  display: grid;
  gap: 0.2rem;
}
.for :is(select, textarea) {
  width: 100%;
}
.for input[type='number'] {
  width: 6rem;
}
.kits {
  display: grid;
  gap: 1.2rem;
}
.hands {
  padding-left: 0.6rem;
  border-left: 6px solid var(--plum);
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .two {
    display: block;
  }
}
</style>
