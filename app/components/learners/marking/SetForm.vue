<script setup lang="ts">
import {
  codeOf,
  FAMILIES,
  MOST_IN_SET,
  MOST_SEED,
  problemsIn,
  setOf,
  type Family,
} from '../../../../core/diagnose/index'
import { isListCode, listCode } from '../../../../core/paper/index'
import { attempt, capital, pretty, printProblem } from '../../../../core/door'
import type { Printed } from '../../../../shared/prints'
import { codeInPhoto } from '../../../utils/codeInPhoto'
import { request } from '../../../utils/request'

/** A set of problems with a code: made and printed here, or found again by the code at its foot. */
const family = defineModel<Family>('family', { required: true })
const most = defineModel<number>('most', { required: true })
const emit = defineEmits<{ take: [problems: readonly string[]] }>()

const count = ref(12)
const code = ref('')
const trouble = ref('')
const made = ref<{ readonly code: string; readonly problems: readonly string[] } | null>(null)

function make(): void {
  const wanted = Number(count.value)
  const done = attempt(() => {
    const set = {
      family: family.value,
      most: Number(most.value),
      count: Math.min(MOST_IN_SET, Math.max(1, Math.round(wanted) || 1)),
      seed: crypto.getRandomValues(new Uint32Array(1))[0]! % (MOST_SEED + 1),
    }
    return { code: codeOf(set), problems: problemsIn(set).map(printProblem) }
  })
  trouble.value = 'refused' in done ? done.refused.message : ''
  if ('ok' in done) made.value = done.ok
}
async function find(): Promise<void> {
  trouble.value = ''
  // A printed sheet's problems are kept here by its code; a set made on this page is in its code itself.
  if (isListCode(code.value)) {
    try {
      const { problems } = await request<Printed>(`/api/printed/${listCode(code.value)}`)
      // Stories are marked where they are told.
      if (problems.every((p) => p.startsWith('story '))) {
        await navigateTo(`/plan/stories?page=${listCode(code.value)}`)
        return
      }
      made.value = { code: listCode(code.value), problems }
      emit('take', problems)
    } catch (error) {
      trouble.value = (error as Error).message
    }
    return
  }
  const done = attempt(() => {
    const set = setOf(code.value)
    return { code: codeOf(set), problems: problemsIn(set).map(printProblem) }
  })
  trouble.value = 'refused' in done ? done.refused.message : ''
  if ('ok' in done) {
    made.value = done.ok
    emit('take', done.ok.problems)
  }
}
async function fromPhoto(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const photo = input.files?.[0]
  if (!photo) return
  trouble.value = ''
  try {
    code.value = await codeInPhoto(photo)
    await find()
  } catch (error) {
    trouble.value = (error as Error).message
  }
  input.value = ''
}
const { print: toPaper } = usePrintPlan()
const print = (): Promise<void> =>
  toPaper([{ sheet: { kind: 'problems', layout: 'lines', shown: 'blank' }, copies: 1 }], {
    problems: made.value!.problems.join('\n'),
  })
</script>

<template>
  <section class="set" aria-label="A set of problems">
    <form class="row no-print" novalidate @submit.prevent="find">
      <label
        >Code of a printed set <input v-model="code" type="text" maxlength="14" autocomplete="off" class="code"
      /></label>
      <button type="submit" class="stone-button">Put its problems on the page</button>
      <label class="stone-button photo"
        >From a photo of it
        <input type="file" accept="image/*" capture="environment" class="sr-only" @change="fromPhoto"
      /></label>
    </form>
    <form class="row no-print" novalidate @submit.prevent="make">
      <label
        >Kind
        <select v-model="family">
          <option v-for="f in FAMILIES" :key="f" :value="f">{{ capital(f) }}</option>
        </select></label
      >
      <label>Up to <input v-model.number="most" type="number" min="10" max="9999" /></label>
      <label>How many <input v-model.number="count" type="number" min="1" :max="MOST_IN_SET" /></label>
      <button type="submit" class="stone-button">Make a set</button>
    </form>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <div v-if="made" class="made">
      <ol class="learner" aria-label="Problems of the set">
        <li v-for="p in made.problems" :key="p">{{ pretty(p) }} =</li>
      </ol>
      <p class="foot">
        Set <b>{{ made.code }}</b>
      </p>
      <div class="row no-print">
        <button type="button" class="stone-button" @click="emit('take', made.problems)">Put them on the page</button>
        <button type="button" class="stone-button" @click="print">Print</button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.set {
  display: grid;
  gap: 0.8rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: end;
}
.row label:not(.photo) {
  display: grid;
  gap: 0.2rem;
  font-weight: 700;
}
.code {
  width: 10rem;
}
input[type='number'] {
  width: 6rem;
}
.made ol {
  columns: 12rem;
  font-size: 1.25rem;
  line-height: 2;
  margin: 0;
  padding-left: 2rem;
}
.foot {
  margin: 0.4rem 0;
}
</style>
