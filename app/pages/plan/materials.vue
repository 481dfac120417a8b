<script setup lang="ts">
import { attempt, parseProblem, REPRESENTATION_IDS, REPRESENTATIONS, type RepresentationId } from '../../../core/door'
import {
  cautionsFor,
  cuttingMinutes,
  handsSay,
  MOST_KIT_LEARNERS,
  MOST_KIT_PROBLEMS,
  pieceKind,
  type Kit,
} from '../../../core/kit/index'
import { stockOf, type Stock } from '../../../shared/cupboard'
import type { Lesson } from '../../../shared/lessons'
import { groupsOf, kitsWish, type KitGroup } from '../../utils/kitWish'
import { cutOuts } from '../../utils/sheets'
import { request } from '../../utils/request'

/** How many pieces a lesson or a list of problems needs, what of them there is, what could stand in, what to be careful about. */
const route = useRoute()
const classroom = useClassroom()
const session = useSession()
const { t } = useI18n()
const { title: titleOf } = useNames()
const { kits, trouble: uncounted, count } = useKits()
const { cupboard, trouble: unsaved, state, load, change, setStock } = useCupboard()
const trouble = ref('')
const lessons = shallowRef<readonly Lesson[]>([])
const DAYS = { back: -7, ahead: 60 } as const
/** A lesson by its id, or what was typed. */
const TYPED = 'typed'
const of = ref(typeof route.query.lesson === 'string' ? route.query.lesson : '')
try {
  ;[, lessons.value] = await Promise.all([
    load(),
    request<Lesson[]>(`/api/lessons?from=${today(DAYS.back)}&to=${today(DAYS.ahead)}`),
  ])
  if (of.value && !lessons.value.some((l) => l.id === of.value))
    lessons.value = [...lessons.value, await request<Lesson>(`/api/lessons/${of.value}`)]
} catch (error) {
  trouble.value = (error as Error).message
}
const kept = useLocalStorage('sett.cupboard', {
  material: 'blocks' as RepresentationId,
  typed: '52 - 37\n61 - 25',
  learners: 6,
  sharing: 1,
})
// The next lesson is what one most often counts for.
if (!lessons.value.some((l) => l.id === of.value)) of.value = lessons.value.find((l) => l.day >= today())?.id ?? TYPED
const lesson = computed(() => lessons.value.find((l) => l.id === of.value) ?? null)
const learners = computed(() => Math.min(MOST_KIT_LEARNERS, Math.trunc(Number(kept.value.learners)) || 1))
const sharing = computed(() => Math.max(1, Math.trunc(Number(kept.value.sharing)) || 1))
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
const groups = computed((): readonly KitGroup[] =>
  lesson.value
    ? groupsOf(lesson.value)
    : [{ material: material.value, problems: lines.value.slice(0, MOST_KIT_PROBLEMS), learners: learners.value }],
)
const wish = computed(() => kitsWish(groups.value, cupboard.value, classroom.classroom?.hands ?? {}, sharing.value))
watchDebounced(wish, count, { debounce: 150, immediate: true, deep: true })
const groupOf = (id: RepresentationId) => groups.value.find((g) => g.material === id)

/* --- the choices above --- */
const namesOf = (l: Lesson): string => l.learners.map((id) => classroom.nameOf(id)).join(', ')
const sources = computed(() => [
  ...lessons.value.map((l) => ({ value: l.id, label: `${dayInWords(l.day)}, ${namesOf(l)}` })),
  { value: TYPED, label: t('mat.typed') },
])
const MOST_SHARING = 6
const sharings = computed(() =>
  [...new Set([...Array.from({ length: MOST_SHARING }, (_, i) => i + 1), sharing.value])].map((value) => ({
    value,
    label: t('mat.share', value),
  })),
)
const SPARES = [0, 5, 10, 20, 50]
const spares = computed(() => {
  const now = Math.round(100 * cupboard.value.spare)
  return [...new Set([...SPARES, now])]
    .sort((a, b) => a - b)
    .map((value) => ({ value: value / 100, label: t('mat.spares', { n: value }) }))
})
const withPieces = computed(() =>
  REPRESENTATION_IDS.filter((id) => REPRESENTATIONS[id].out).map((value) => ({ value, label: titleOf(value) })),
)

/* --- what is missing, on paper --- */
const { print: toPaper } = usePrintPlan()
/** What there is too little of, as pieces to be cut out. */
const cutOf = (id: RepresentationId, { items }: Kit) =>
  cutOuts(
    id,
    items.map(({ kind, unit, total }) => ({
      kind,
      unit,
      count: Math.max(0, total - stockOf(cupboard.value, id, kind).have),
    })),
  )
const cuts = computed(() => (kits.value ?? []).flatMap(({ material: id, kit }) => (kit && cutOf(id, kit)) || []))
const printMissing = (): Promise<void> =>
  toPaper(
    cuts.value.map((sheet) => ({ sheet, copies: 1 })),
    { lesson: lesson.value?.id ?? null },
  )
const minutes = computed(() =>
  (kits.value ?? []).reduce((sum, { material: id, kit }) => {
    const missing = (kit?.items ?? []).map((i) => ({
      ...i,
      total: Math.max(0, i.total - stockOf(cupboard.value, id, i.kind).have),
    }))
    return sum + (kit && cutOf(id, kit) ? cuttingMinutes(id, missing) : 0)
  }, 0),
)

/* --- what to be careful about --- */
const counted = computed(() =>
  (kits.value ?? []).flatMap(({ material: id, kit }) => (kit?.items ?? []).map((item) => ({ id, item }))),
)
const cautions = computed(() => {
  const all = counted.value.flatMap(({ id, item }) => {
    const { size, madeOf } = stockOf(cupboard.value, id, item.kind)
    const own = cautionsFor(size ?? pieceKind(id, item.kind)?.size ?? null, madeOf, cupboard.value)
    return own.map((c) => ({ ...c, what: item.name[1] }))
  })
  return [...new Set(all.map((c) => c.says))].map((says) => {
    const same = all.filter((c) => c.says === says)
    return { ...same[0]!, what: [...new Set(same.map((c) => c.what))].join(', ') }
  })
})
const hard = computed(() =>
  groups.value.flatMap(({ material: id }) => {
    const said = handsSay(id, cupboard.value.needs ?? [])
    return said ? [{ id, ...said }] : []
  }),
)
const stockOpen = ref(false)

/* --- several kinds at once, from a file or a spreadsheet --- */
type Changes = Readonly<Record<string, Partial<Stock>>>
/** What the kinds were that were changed together last. */
const replaced = shallowRef<Changes | null>(null)
function setAll(changes: Changes): void {
  const keys = Object.keys(changes)
  replaced.value =
    keys.length < 2
      ? null
      : Object.fromEntries(
          keys.map((key) => {
            const [id, kind] = key.split('/') as [string, string]
            // Where it had no shelf it has none again.
            return [key, { shelf: undefined, ...stockOf(cupboard.value, id, kind) }]
          }),
        )
  setStock(changes)
}
function undo(): void {
  setStock(replaced.value!)
  replaced.value = null
}
const printPage = (): void => window.print()
useHead({ title: () => `${t('frame.materials')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('frame.materials')" :facts="t(`mat.state.${state || 'still'}`)" live>
      <Button severity="secondary" :label="t('mat.stock')" @click="stockOpen = true" />
      <Button severity="secondary" @click="printPage"><IconPrinter /> {{ t('mat.printPage') }}</Button>
      <Button v-if="cuts.length" @click="printMissing"><IconPrinter /> {{ t('mat.printMissing') }}</Button>
    </PageHeader>
    <p v-if="trouble || unsaved || uncounted" class="trouble" role="alert">{{ trouble || unsaved || uncounted }}</p>
    <p v-if="replaced" class="in-row no-print" role="status">
      {{ t('mat.replaced', Object.keys(replaced).length) }}
      <Button severity="secondary" :label="t('mat.undo')" @click="undo" />
    </p>
    <div class="in-row no-print">
      <Select
        v-model="of"
        :options="sources"
        option-label="label"
        option-value="value"
        :filter="sources.length > 10"
        :aria-label="t('mat.for')"
      />
      <Select
        :model-value="sharing"
        :options="sharings"
        option-label="label"
        option-value="value"
        :aria-label="t('mat.sharing')"
        @update:model-value="(n) => (kept.sharing = Number(n))"
      />
      <Select
        :model-value="cupboard.spare"
        :options="spares"
        option-label="label"
        option-value="value"
        :disabled="!session.may('teacher')"
        :aria-label="t('mat.sparesLabel')"
        @update:model-value="(spare) => change({ spare: Number(spare) })"
      />
    </div>
    <div class="with-aside">
      <div class="column" aria-live="polite">
        <form v-if="!lesson" class="card typed no-print" :aria-label="t('mat.typed')" @submit.prevent>
          <label class="field"
            ><span>{{ t('mat.material') }}</span>
            <Select
              :model-value="material"
              :options="withPieces"
              option-label="label"
              option-value="value"
              :aria-label="t('mat.material')"
              @update:model-value="(id) => (kept.material = id as RepresentationId)"
          /></label>
          <label class="field"
            ><span>{{ t('mat.learners') }}</span>
            <InputNumber v-model="kept.learners" :min="1" :max="MOST_KIT_LEARNERS" :aria-label="t('mat.learners')"
          /></label>
          <label class="field wide"
            ><span>{{ t('mat.problems') }}</span>
            <Textarea v-model="kept.typed" class="learner" rows="4" maxlength="8000" :aria-label="t('mat.problems')" />
          </label>
          <p v-if="unread.length" class="trouble" role="alert">
            {{ t('mat.unread', { what: unread.slice(0, 3).join('; ') }) }}
          </p>
        </form>
        <p v-if="kits === null" class="card quiet">{{ t('mat.counting') }}</p>
        <KitCard
          v-for="one in kits ?? []"
          :key="one.material"
          :of="one"
          :learners="groupOf(one.material)?.learners ?? 1"
          :problems="groupOf(one.material)?.problems.length ?? 0"
          :cupboard="cupboard"
          :may-change="session.may('teacher')"
          @set="setAll"
          @packs="(packs) => change({ packs })"
        />
      </div>
      <!-- Once all is counted: cautions that came later would push what stands below them. -->
      <aside v-if="kits !== null" class="column" :aria-label="t('mat.beside')">
        <section v-for="c in cautions" :key="c.says" class="card caution" :class="c.level">
          <h2><IconTriangleAlert /> {{ t(`mat.level.${c.level}`, { what: c.what }) }}</h2>
          <p>{{ c.says }}</p>
          <p class="quiet">{{ t('mat.source', { source: c.source }) }}</p>
        </section>
        <section v-if="hard.length" class="card">
          <h2>{{ t('mat.hard') }}</h2>
          <p v-for="h in hard" :key="h.id">
            {{
              t('mat.hardWith', {
                what: titleOf(h.id),
                why: h.because.map((n) => t(`mat.needs.${n}`).toLowerCase()).join('; '),
                instead: h.instead.map(titleOf).join(', '),
              })
            }}
          </p>
        </section>
        <section v-if="minutes > 0" class="card">
          <h2>{{ t('mat.cutting') }}</h2>
          <p>{{ t('mat.cuttingTime', minutes) }}</p>
        </section>
        <section class="card users">
          <h2>{{ t('mat.who') }}</h2>
          <p>{{ t('mat.whoIs', { n: cupboard.youngest }) }}</p>
          <p v-if="cupboard.mouths">{{ t('mat.mouths') }}</p>
          <p v-if="cupboard.allergies">{{ t('mat.allergies') }}</p>
          <p v-for="n in cupboard.needs ?? []" :key="n">{{ t(`mat.needs.${n}`) }}</p>
          <Button
            v-if="session.may('teacher')"
            as="router-link"
            severity="secondary"
            class="no-print"
            to="/settings/safety"
            :label="t('mat.whoChange')"
          />
        </section>
        <p class="quiet">{{ t('mat.sizes') }}</p>
      </aside>
    </div>
    <LazyStockDialog
      v-if="stockOpen"
      v-model:open="stockOpen"
      :cupboard="cupboard"
      :may-change="session.may('teacher')"
      @set="setAll"
    />
  </div>
</template>

<style scoped>
.column {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.typed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 9rem);
  gap: 12px 16px;
}
.typed .wide,
.typed .trouble {
  grid-column: 1 / -1;
}
.caution {
  display: grid;
  gap: 6px;
}
.caution h2 {
  display: flex;
  align-items: center;
  gap: 8px;
}
.caution.never,
.caution.watch {
  background: var(--clay-wash);
}
.caution.never {
  border-left: 6px solid var(--plum);
}
.users {
  display: grid;
  gap: 6px;
  justify-items: start;
}
</style>
