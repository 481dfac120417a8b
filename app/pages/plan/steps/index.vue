<script setup lang="ts">
import { strandOf, type Step } from '../../../../core/course/index'
import type { TellSteps } from '../../../../shared/courses'
import { NO_FILTER, type StepFilter } from '../../../composables/useStones'

/** The room's course as stones: where a learner stands or all of them do, and the step that is chosen with its problems. */
const classroom = useClassroom()
const courses = useCourses()
const session = useSession()
const { t } = useI18n()
const { strand: nameOfStrand } = useNames()
const { all, standing, next, isKnown, stateOf, toldOf, stonesFor, tell, lookAgain, trouble } = useStones()
const { trouble: failed, tried } = useTrouble()
await tried(() => courses.load())

/* --- what is said of steps --- */
const { said, say: saySteps, takeBack } = useSaidOfSteps(tell, lookAgain)
const say = (what: string, told: TellSteps): Promise<void> => tried(() => saySteps(what, told))
const noted = (what: string, knows: boolean): string => t(knows ? 'steps.noted' : 'steps.notedNot', { what })
const sayOfStep = (knows: boolean | null): Promise<void> =>
  say(knows === null ? t('steps.takenBack') : noted(chosen.value.title, knows), [{ step: chosen.value.id, knows }])
const sayOfStrand = (knows: boolean): Promise<void> =>
  say(
    noted(nameOfStrand(chosen.value.strand), knows),
    strandOf(courses.steps, chosen.value.strand).map((s) => ({ step: s.id, knows })),
  )

/* --- the step that is chosen --- */
const route = useRoute()
const chosenId = ref('')
const isWide = useMediaQuery('print, (min-width: 1000px)')
/** Beside the map there is room for the step, and on paper; in narrower windows it opens over it. */
const open = ref(false)
/** A step that the address names, as Find does, also while the map is open. */
watch(
  () => route.query.step,
  (step) => {
    if (typeof step !== 'string') return
    chosenId.value = step
    open.value = true
  },
  { immediate: true },
)
const chosen = computed<Step>(() => courses.stepOf(chosenId.value) ?? next.value ?? courses.steps[0]!)
const had = computed(() => all.value.get(classroom.learnerId ?? '')?.had ?? [])
const tag = computed(() => {
  const state = stateOf(chosen.value)
  const name = classroom.learner?.codeName
  if (!name) return { text: nameOfStrand(chosen.value.strand), kind: '' } as const
  if (state === 'next') return { text: t('steps.nextOf', { name }), kind: 'clay' } as const
  return { text: t(`steps.${state}`), kind: state === 'secure' || state === 'assumed' ? 'moss' : '' } as const
})

/* --- what of the map is seen --- */
const kept = useLocalStorage('sett.map', { size: 1 })
const filter = ref<StepFilter>(NO_FILTER)
const sought = ref('')
const SIZES = [0.85, 1, 1.2, 1.5] as const
const size = computed(() => SIZES.find((s) => s === kept.value.size) ?? 1)
const zoom = (by: number): void =>
  void (kept.value.size = SIZES[Math.min(SIZES.length - 1, Math.max(0, SIZES.indexOf(size.value) + by))]!)
const stones = computed(() => stonesFor(filter.value, sought.value))
const narrowed = computed(
  () => Object.entries(filter.value).filter(([key, v]) => v !== NO_FILTER[key as 'shown']).length,
)
const filtering = ref(false)
const showAll = (): void => {
  filter.value = NO_FILTER
  sought.value = ''
}
const facts = computed(() => {
  const { learner } = classroom
  if (!learner) return t(classroom.learners.length ? 'steps.everyone' : 'steps.choose')
  const name = learner.codeName
  if (!isKnown.value) return t('steps.noStep', { name })
  if (!next.value) return t('steps.allSecure', { name })
  return t('steps.nextIs', { name, step: courses.titleOf(next.value.id) })
})

/* --- the rest --- */
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const more = computed(() => [
  { label: t('steps.byLimits'), command: () => navigateTo('/plan/problems') },
  { label: t('steps.printMap'), command: () => print('map') },
  ...(session.may('teacher') ? [{ label: t('steps.edit'), command: () => navigateTo('/plan/courses') }] : []),
])
/** What of the page goes on paper. */
const paper = ref<'map' | 'problems'>('problems')
async function print(what: 'map' | 'problems'): Promise<void> {
  paper.value = what
  await nextTick()
  window.print()
}
const choose = (id: string): void => void (chosenId.value = id)
const details = computed(() => ({
  step: chosen.value,
  had: had.value,
  told: toldOf(chosen.value, stateOf(chosen.value)),
  said: standing(chosen.value).told?.knows ?? null,
  tag: tag.value,
}))
const acts = { choose, print, say: sayOfStep, sayStrand: sayOfStrand }
useHead({ title: () => `${t('frame.steps')} – Sett` })
</script>

<template>
  <div class="place" :class="`paper-${paper}`">
    <PageHeader :title="t('frame.steps')" :facts="facts">
      <Button
        v-if="classroom.learner"
        as="router-link"
        severity="secondary"
        to="/plan/steps/find"
        :label="t('steps.findOf', { name: classroom.learner.codeName })"
      />
      <Button v-if="session.may('teacher')" as="router-link" to="/plan/lessons/new"
        ><IconPlus /> {{ t('plan.lesson') }}</Button
      >
    </PageHeader>
    <p v-if="failed || trouble" class="trouble" role="alert">{{ failed || trouble }}</p>
    <p v-if="said" class="in-row" role="status">
      {{ said.what }}
      <Button severity="secondary" :label="t('steps.saidUndo')" @click="tried(takeBack)" />
    </p>
    <div class="in-row no-print" role="group" :aria-label="t('steps.map')">
      <Select
        :model-value="courses.course.id"
        :options="courses.all.map((c) => ({ label: c.name, value: c.id }))"
        option-label="label"
        option-value="value"
        :disabled="!session.may('teacher')"
        :aria-label="t('steps.course')"
        @update:model-value="(id) => tried(() => courses.choose(String(id)))"
      />
      <InputText
        v-model="sought"
        type="search"
        maxlength="40"
        class="search"
        :placeholder="t('steps.search')"
        :aria-label="t('steps.search')"
      />
      <Button severity="secondary" :aria-expanded="filtering" @click="filtering = !filtering">
        {{ narrowed ? t('steps.filtered', { n: narrowed }) : t('steps.filter') }} <IconChevronDown />
      </Button>
      <Button severity="secondary" text :aria-label="t('steps.smaller')" :disabled="size === SIZES[0]" @click="zoom(-1)"
        ><IconMinus
      /></Button>
      <Button
        severity="secondary"
        text
        :aria-label="t('steps.larger')"
        :disabled="size === SIZES.at(-1)"
        @click="zoom(1)"
        ><IconPlus
      /></Button>
      <Button
        severity="secondary"
        text
        aria-haspopup="menu"
        :aria-label="t('steps.mapMenu')"
        @click="menu?.toggle($event)"
        ><IconEllipsis
      /></Button>
      <LazyPopMenu ref="menu" :model="more" />
      <span class="grow" />
      <template v-if="classroom.learner">
        <span class="tag moss"><IconCheck /> {{ t('steps.secure') }}</span>
        <span class="tag moss">{{ t('steps.assumed') }}</span>
        <span class="tag clay">{{ t('steps.next') }}</span>
        <span class="tag ready">{{ t('steps.ready') }}</span>
        <span class="tag later">{{ t('steps.later') }}</span>
      </template>
    </div>
    <p v-if="courses.course.about" class="quiet no-print">{{ courses.course.about }}</p>
    <StepFilters v-if="filtering" v-model="filter" class="card no-print" :steps="courses.steps" />
    <div class="with-aside">
      <StepMap :model-value="chosen.id" :stones="stones" :size="size" @update:model-value="choose" @open="open = true">
        <Button severity="secondary" :label="t('steps.clear')" @click="showAll" />
      </StepMap>
      <div v-if="isWide" class="card beside"><StepDetails v-bind="details" v-on="acts" /></div>
      <LazyDrawer v-else v-model:visible="open" position="right" class="step-drawer" :header="t('steps.theStep')">
        <StepDetails v-bind="details" v-on="acts" />
      </LazyDrawer>
    </div>
  </div>
</template>

<style scoped>
.search {
  width: 13rem;
}
.tag.ready {
  background: var(--sheet);
}
.tag.later {
  border: 1px dashed var(--edge);
  background: transparent;
}
@media (min-width: 1000px) {
  /* Beside a long map it stays in sight. */
  .beside {
    position: sticky;
    top: 12px;
    max-height: calc(100vh - 84px);
    overflow: auto;
  }
}
@media print {
  .beside {
    max-height: none;
    overflow: visible;
  }
  .paper-map .beside,
  .paper-problems .map {
    display: none;
  }
}
</style>
