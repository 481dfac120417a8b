<script setup lang="ts">
import { askedAs, MOVING_ON, saidAs, setProblems, type Step } from '../../../../core/course/index'
import { cellId, cellsFor } from '../../../../core/story/index'
import { attempt, packOf, pretty, type RepresentationId } from '../../../../core/door'

/** One step: problems for just it, what comes before it, how it is shown and said, what to watch for, when to move on. */
const { step, had, told, said, tag } = defineProps<{
  step: Step
  /** What the learner at the bench has had lately. */
  had: readonly string[]
  told: string
  /** Whether somebody said that the learner knows it, or does not know it yet. */
  said: boolean | null
  /** How the step stands, in a word or two, with the colour that goes with it. */
  tag: { readonly text: string; readonly kind: 'moss' | 'clay' | '' }
}>()
const emit = defineEmits<{
  choose: [step: string]
  print: [what: 'problems' | 'map']
  /** Whether the learner knows this step; null takes back what was said. */
  say: [knows: boolean | null]
  sayStrand: [knows: boolean]
}>()
const session = useSession()
const classroom = useClassroom()
const courses = useCourses()
const { t } = useI18n()
const { kindName } = useStoryNames()
const { workThrough } = useSetToWork()
const pack = computed(() => packOf(classroom.words))
const trouble = ref('')
const seed = ref(1)
const COUNT = 8
const SOME = 4
/** So many problems are shown at once; all of them go to the Bench or on paper. */
const SHOWN = 4
const setOf = (without: readonly string[]): readonly string[] => {
  const found = attempt(() => setProblems({ step, count: COUNT, seed: seed.value, hardestLast: true, without }))
  return 'ok' in found ? found.ok : []
}
/** What has not been had lately; where too few are left, some that have been come again. */
const fresh = computed(() => setOf(had))
const problems = computed(() => [...fresh.value, ...setOf(fresh.value)].slice(0, COUNT))
const again = computed(() => problems.value.length - fresh.value.length)
const work = async (material?: RepresentationId): Promise<void> =>
  void (trouble.value = await workThrough(problems.value, material ? { material } : {}))
/** Kinds of story in which a problem of this step can be told: those that the step asks for, or else some that fit. */
const stories = computed(() => {
  const [problem] = problems.value
  if (problem === undefined) return []
  const fit = attempt(() => cellsFor(problem))
  const cells = 'ok' in fit ? fit.ok.filter((c) => !step.stories?.length || step.stories.includes(cellId(c))) : []
  return cells
    .slice(0, step.stories?.length ? cells.length : SOME)
    .map((c) => ({ id: cellId(c), problem, name: kindName(c) }))
})
const moveOn = computed(() => step.moveOn ?? MOVING_ON)
const { strand: nameOfStrand } = useNames()
const strandName = computed(() => nameOfStrand(step.strand))
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const more = computed(() => [
  { label: t('steps.setMore'), command: () => navigateTo(`/plan/problems?step=${step.id}`) },
  { label: t('steps.print'), command: () => emit('print', 'problems') },
  ...(classroom.learner && session.may('teacher')
    ? [
        { separator: true },
        { label: t('steps.knowsAll', { strand: strandName.value }), command: () => emit('sayStrand', true) },
        { label: t('steps.knowsNone', { strand: strandName.value }), command: () => emit('sayStrand', false) },
      ]
    : []),
])
/** What somebody said that the learner knows; pressed once more it is taken back. */
const SAID = [
  { value: true, key: 'steps.known' },
  { value: false, key: 'steps.notYet' },
] as const
</script>

<template>
  <section class="details" :aria-label="t('steps.theStep')">
    <div class="top">
      <span class="tag" :class="tag.kind">{{ tag.text }}</span>
      <Button severity="secondary" text aria-haspopup="menu" :aria-label="t('steps.more')" @click="menu?.toggle($event)"
        ><IconEllipsis
      /></Button>
      <LazyPopMenu ref="menu" :model="more" />
    </div>
    <div>
      <h2>{{ step.title }}</h2>
      <p class="quiet">
        {{ classroom.learner ? t('steps.of', { name: classroom.learner.codeName, told }) : strandName }}
      </p>
    </div>
    <ol class="plain learner problems" :aria-label="t('steps.problems')">
      <li v-for="(p, i) in problems" :key="p" :class="{ later: i >= SHOWN }">{{ pretty(p) }}</li>
    </ol>
    <p v-if="again > 0 && had.length" class="quiet">
      {{ again === problems.length ? t('steps.allHad') : t('steps.someHad', again) }}
    </p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div class="in-row no-print">
      <Button :disabled="problems.length === 0" @click="work()"><IconPlay /> {{ t('steps.work') }}</Button>
      <Button severity="secondary" :label="t('steps.others')" @click="seed++" />
    </div>
    <div
      v-if="classroom.learner && session.may('teacher')"
      class="in-row no-print"
      role="group"
      :aria-label="t('steps.knows')"
    >
      <Button
        v-for="{ value, key } in SAID"
        :key="key"
        severity="secondary"
        :text="said !== value"
        :aria-pressed="said === value"
        @click="emit('say', said === value ? null : value)"
        ><IconCheck v-if="said === value" /> {{ t(key) }}</Button
      >
    </div>
    <dl>
      <dt>{{ t('steps.before') }}</dt>
      <dd>
        <template v-if="step.restsOn.length === 0">{{ t('steps.nothingBefore') }}</template>
        <Button
          v-for="id in step.restsOn"
          :key="id"
          severity="secondary"
          text
          class="link"
          :label="courses.stepOf(id)?.title ?? id"
          @click="emit('choose', id)"
        />
      </dd>
      <dt>{{ t('steps.shownWith') }}</dt>
      <dd class="materials">
        <Button v-for="m in step.materials" :key="m" severity="secondary" class="material" @click="work(m)">
          <MaterialPicture :id="m" />
          <span>{{ nameOfMaterial(m) }}</span>
        </Button>
      </dd>
      <dt>{{ t('steps.say') }}</dt>
      <dd>
        <ul class="plain">
          <li v-for="line in step.say" :key="line">“{{ saidAs(line, pack) }}”</li>
        </ul>
      </dd>
      <dt>{{ t('steps.ask') }}</dt>
      <dd>
        <ul class="plain">
          <li v-for="line in step.ask" :key="line">“{{ askedAs(line, pack) }}”</li>
        </ul>
      </dd>
      <template v-if="step.usual.length">
        <dt>{{ t('steps.watch') }}</dt>
        <dd class="mistakes">
          <LazyMistakePicture v-for="id in step.usual" :id="id" :key="id" :problems="problems" />
        </dd>
      </template>
      <dt>{{ t('steps.moveOn') }}</dt>
      <dd>
        {{ t('steps.moveOnAfter', { share: Math.round(10 * moveOn.share), days: moveOn.sessions }) }}
        <span class="quiet">({{ t(step.moveOn ? 'steps.own' : 'steps.common') }})</span>
      </dd>
      <template v-if="stories.length">
        <dt>{{ t('steps.stories') }}</dt>
        <dd>
          <NuxtLink
            v-for="s in stories"
            :key="s.id"
            class="reach"
            :to="{ path: '/plan/stories', query: { problem: s.problem, cell: s.id } }"
            >{{ s.name }}</NuxtLink
          >
        </dd>
      </template>
      <template v-if="step.serves.length">
        <dt>{{ t('steps.serves') }}</dt>
        <dd class="quiet">{{ step.serves.join('; ') }}</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.details {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.top {
  display: flex;
  align-items: center;
  justify-content: space-between;
  width: 100%;
  margin: -8px -10px -4px 0;
}
.in-row {
  gap: 8px;
}
h2 {
  font-size: 1.4rem;
  line-height: 1.3;
}
.problems {
  width: 100%;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 16px;
  padding: 12px 16px;
  border: 1px solid var(--line);
  border-radius: 10px;
  font-size: 1.3rem;
}
.problems .later {
  display: none;
}
dl {
  width: 100%;
  display: grid;
  grid-template-columns: 6.4rem minmax(0, 1fr);
  gap: 10px 12px;
  margin: 0;
  font-size: 0.95rem;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
.link {
  min-height: 44px;
  margin: -9px -12px;
  padding: 4px 12px;
  white-space: normal;
  font-weight: 400;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.materials {
  grid-column: 1 / -1;
  gap: 8px;
}
.material {
  display: grid;
  justify-items: center;
  gap: 4px;
  width: 104px;
  padding: 6px;
  font-size: 0.85rem;
  line-height: 1.2;
  white-space: normal;
}
.material :deep(svg) {
  width: 90px;
  border-radius: 7px;
}
.mistakes {
  display: grid;
  gap: 10px;
}
@media print {
  .problems .later {
    display: list-item;
  }
}
</style>
