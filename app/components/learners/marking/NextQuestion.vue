<script setup lang="ts">
import { FAMILIES, rivalsIn, type Diagnosis, type Family } from '../../../../core/diagnose/index'
import { capital, pretty, withDefaults as withChoices } from '../../../../core/door'
import type { Asked } from '../../../../workers/marking'
import { nameOfBug } from '../../../utils/saidOf'

/** What to ask next: the problem that tells most between what may still be behind the answers, or a set that tells all of it apart. */
const { diagnosis, asked } = defineProps<{ diagnosis: Diagnosis; asked: readonly string[] }>()
const family = defineModel<Family>('family', { required: true })
const most = defineModel<number>('most', { required: true })
const emit = defineEmits<{ add: [problems: readonly string[]]; bench: [problem: string] }>()

const classroom = useClassroom()
const { mark, busy } = useMarking()
const question = shallowRef<Asked | null>(null)
const apart = shallowRef<{
  readonly problems: readonly string[]
  readonly together: readonly (readonly (readonly string[])[])[]
} | null>(null)
const trouble = ref('')
const found = ref(false)
/** Whether only one explanation is left that is worth a question. */
const alone = computed(() => rivalsIn(diagnosis).length < 2)

/** The likelier the more there is to see; a page that says nothing yet has nothing to be told apart. */
async function look(job: 'next' | 'apart'): Promise<void> {
  trouble.value = ''
  question.value = apart.value = null
  const choices = withChoices(classroom.hands ?? undefined)
  const wish = { choices, diagnosis, family: family.value, most: Number(most.value), asked }
  try {
    if (job === 'next') question.value = (await mark({ job: 'next', ...wish })).question
    else apart.value = await mark({ job: 'apart', ...wish })
    found.value = true
  } catch (error) {
    if (!(error instanceof Overtaken)) trouble.value = (error as Error).message
  }
}
watch(
  () => diagnosis,
  () => {
    question.value = apart.value = null
    found.value = false
  },
)
const told = (bits: number): string =>
  bits > 0.9 ? 'It tells a great deal.' : bits > 0.3 ? 'It tells something.' : 'It tells a little.'
</script>

<template>
  <section class="next" aria-label="The next question">
    <h2>Ask next</h2>
    <div class="row">
      <label
        >Kind
        <select v-model="family">
          <option v-for="f in FAMILIES" :key="f" :value="f">{{ capital(f) }}</option>
        </select></label
      >
      <label>Numbers up to <input v-model.number="most" type="number" min="10" max="9999" /></label>
      <button type="button" class="stone-button" :disabled="busy" @click="look('next')">The next question</button>
      <button type="button" class="stone-button" :disabled="busy" @click="look('apart')">
        A set to tell them apart
      </button>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div v-if="question" class="asked" role="status">
      <p class="learner big">{{ pretty(question.problem) }} = ?</p>
      <p>{{ told(question.bits) }}</p>
      <ul>
        <li v-for="a in question.answers" :key="a.answer">
          <b class="learner">{{ pretty(a.answer) }}</b>: {{ a.bugs.map(nameOfBug).join(', or ') }}
        </li>
      </ul>
      <div class="row">
        <button type="button" class="stone-button" @click="emit('add', [question.problem])">Put it on the page</button>
        <button type="button" class="stone-button" @click="emit('bench', question.problem)">
          Work it at the Bench
        </button>
      </div>
    </div>
    <p v-else-if="found && !apart" role="status">
      <template v-if="alone">One explanation stands alone: there is nothing left to tell apart.</template>
      <template v-else
        >No problem of this kind with numbers up to {{ most }} tells more. Try greater numbers, or another
        kind.</template
      >
    </p>
    <div v-if="apart" class="asked" role="status">
      <p v-if="apart.problems.length === 0">No problem of this kind with numbers up to {{ most }} tells them apart.</p>
      <template v-else>
        <p>
          {{ apart.problems.length === 1 ? 'One problem tells' : `${apart.problems.length} problems tell` }} apart all
          that may still be behind these answers:
        </p>
        <p class="learner big">{{ apart.problems.map((p) => pretty(p)).join('  ·  ') }}</p>
        <div class="row">
          <button type="button" class="stone-button" @click="emit('add', apart.problems)">Put them on the page</button>
        </div>
      </template>
      <p v-for="group in apart.together" :key="group.join()">
        Not told apart within these limits: {{ group.map(nameOfBug).join('; or ') }}.
      </p>
    </div>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 0.6rem;
}
h2 {
  margin: 0;
  font-size: 1.1rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: end;
}
.row label {
  display: grid;
  gap: 0.2rem;
  font-weight: 700;
}
input[type='number'] {
  width: 6rem;
}
.asked {
  padding: 0.7rem 0.9rem;
  border-left: 6px solid var(--clay);
  background: var(--paper-2);
  display: grid;
  gap: 0.5rem;
}
.asked p {
  margin: 0;
}
.asked ul {
  margin: 0;
  padding-left: 1.2rem;
}
.big {
  font-size: 1.5rem;
  font-weight: 700;
}
</style>
