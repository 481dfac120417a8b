<script setup lang="ts">
import {
  askedAs,
  askIdOf,
  MOVING_ON,
  saidAs,
  sayIdOf,
  STRANDS,
  type CourseStep,
  type Strand,
} from '../../../../core/course/index'
import {
  capital,
  packOf,
  wayById,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  type RepresentationId,
  WAY_IDS,
  type WayId,
} from '../../../../core/door'
import { cellId, CELLS } from '../../../../core/story/index'
import { formOf, limitsOf, type LimitsForm } from '../../../utils/limitsForm'

/** One step of a school's course, to be changed in every part. */
const { others } = defineProps<{ others: readonly CourseStep[] }>()
const step = defineModel<CourseStep>({ required: true })
const classroom = useClassroom()
const pack = computed(() => packOf(classroom.words))
const set = (change: Partial<CourseStep>): void => void (step.value = { ...step.value, ...change })

/** The limits as a form has them; what goes with other operations is kept while this step is open. */
const form = ref<LimitsForm>(formOf(step.value.limits))
function setForm(now: LimitsForm): void {
  form.value = now
  // A sample of other limits would mislead.
  set({ limits: limitsOf(now), sample: undefined })
}
const lines = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((l) => l.trim().slice(0, 200))
    .filter((l) => l !== '')
    .slice(0, 12)
const said = computed(() => step.value.say.map((t) => saidAs(t, pack.value)).join('\n'))
const asked = computed(() => step.value.ask.map((t) => askedAs(t, pack.value)).join('\n'))
const materials = REPRESENTATION_IDS.map((id) => [id, REPRESENTATIONS[id].title] as const)
const ways = computed(() => WAY_IDS.map((id) => [id, wayById(id).title] as const))
const steps = computed(() => others.map((s) => [s.id, s.title] as const))
const mistakes = shallowRef<readonly (readonly [string, string])[]>([])
void import('../../../../core/diagnose/index').then(
  ({ CATALOGUE }) => (mistakes.value = CATALOGUE.map((k) => [k.id, k.name] as const)),
  () => undefined,
)
const { kindName } = useStoryNames()
const kinds = CELLS.map((c) => [cellId(c), kindName(c)] as const)
const moveOn = computed(() => step.value.moveOn ?? { share: MOVING_ON.share, sessions: MOVING_ON.sessions })
const inside = (n: number, least: number, most: number): number => Math.min(most, Math.max(least, n || least))
</script>

<template>
  <form class="step-form" aria-label="The step" @submit.prevent>
    <label class="wide"
      >Title
      <input
        :value="step.title"
        type="text"
        maxlength="80"
        @change="set({ title: ($event.target as HTMLInputElement).value.trim() || step.title, short: undefined })"
    /></label>
    <label
      >Strand
      <select :value="step.strand" @change="set({ strand: ($event.target as HTMLSelectElement).value as Strand })">
        <option v-for="s in STRANDS" :key="s" :value="s">{{ capital(s) }}</option>
      </select></label
    >
    <fieldset class="part">
      <legend>Its problems</legend>
      <LimitsFields :model-value="form" @update:model-value="setForm" />
    </fieldset>
    <ListField
      label="Rests on"
      :options="steps"
      :model-value="step.restsOn"
      @update:model-value="(restsOn) => set({ restsOn })"
    />
    <ListField
      label="Shown with, the most concrete first"
      :options="materials"
      :model-value="step.materials"
      @update:model-value="(list) => set({ materials: list as RepresentationId[] })"
    />
    <ListField
      label="Ways, the usual one first"
      :options="ways"
      :model-value="step.ways"
      @update:model-value="(list) => set({ ways: list as WayId[] })"
    />
    <label class="wide"
      >What to say, a line each
      <textarea
        :value="said"
        rows="3"
        @change="set({ say: lines(($event.target as HTMLTextAreaElement).value).map((l) => sayIdOf(l, pack)) })"
      />
    </label>
    <label class="wide"
      >What to ask before a move, a line each
      <textarea
        :value="asked"
        rows="2"
        @change="set({ ask: lines(($event.target as HTMLTextAreaElement).value).map((l) => askIdOf(l, pack)) })"
      />
    </label>
    <ListField
      label="Watch for"
      :options="mistakes"
      :model-value="step.usual"
      @update:model-value="(usual) => set({ usual })"
    />
    <ListField
      label="Told as stories of these kinds"
      :options="kinds"
      :model-value="step.stories ?? []"
      @update:model-value="(stories) => set({ stories })"
    />
    <fieldset class="part move">
      <legend>Move on after</legend>
      <label
        ><input
          :value="moveOn.sessions"
          type="number"
          min="1"
          max="10"
          @change="
            set({
              moveOn: {
                ...moveOn,
                sessions: inside(Math.round(Number(($event.target as HTMLInputElement).value)), 1, 10),
              },
            })
          "
        />
        days running</label
      >
      <label
        >with
        <input
          :value="Math.round(100 * moveOn.share)"
          type="number"
          min="50"
          max="100"
          @change="
            set({
              moveOn: {
                ...moveOn,
                share: inside(Math.round(Number(($event.target as HTMLInputElement).value)), 50, 100) / 100,
              },
            })
          "
        />
        of 100 right without help</label
      >
    </fieldset>
    <label class="wide"
      >Statements of curricula that it serves, a line each
      <textarea
        :value="step.serves.join('\n')"
        rows="2"
        @change="set({ serves: lines(($event.target as HTMLTextAreaElement).value).map((l) => l.slice(0, 120)) })"
      />
    </label>
  </form>
</template>

<style scoped>
.step-form {
  display: grid;
  gap: 0.9rem;
}
label {
  display: grid;
  gap: 0.2rem;
  justify-items: start;
}
.wide :is(input, textarea) {
  width: 100%;
}
.part {
  margin: 0;
  padding: 0.6rem 0.8rem;
  border: 1.5px solid var(--rule);
}
legend {
  font-weight: 700;
}
.move {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1.2rem;
}
.move label {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
}
.move input {
  width: 4.5rem;
}
</style>
