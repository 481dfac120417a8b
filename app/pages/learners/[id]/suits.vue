<script setup lang="ts">
import { capital, DEFAULT_CHOICES, REPRESENTATION_IDS, REPRESENTATIONS, type Words } from '../../../../core/door'
import type { Hands } from '../../../../shared/schemas'
import { ACCESS_AT_FIRST } from '../../../composables/useAccess'
import type { Access, KeptLearner } from '../../../../shared/learners'

/** What suits one learner, where it differs from the room: hands, words, letters, materials to put aside; their name and groups. */
definePageMeta({ role: 'teacher' })
const classroom = useClassroom()
const id = String(useRoute().params.id)
const there = computed(() => classroom.everyone.find((l) => l.id === id))
const form = reactive({
  codeName: '',
  groups: '',
  ownHands: false,
  ownWords: false,
  avoid: [] as string[],
  avoidWhy: '',
  letters: 1,
})
const counting = ref<Pick<Hands, 'away' | 'firstFinger' | 'firstHand'>>({
  away: [],
  firstFinger: 'little',
  firstHand: 'left',
})
const access = ref<Access>({ ...ACCESS_AT_FIRST })
const words = ref<Words>({ ...classroom.spoken })
const trouble = ref('')
const said = ref('')
watch(
  there,
  (l) => {
    if (!l) return
    const { hands, words: own, avoid, avoidWhy, letters } = l.choices
    const room = classroom.classroom?.hands ?? DEFAULT_CHOICES
    Object.assign(form, {
      codeName: l.codeName,
      groups: l.groups.join(', '),
      ownHands: hands !== null,
      ownWords: own !== null,
      avoid: [...avoid],
      avoidWhy,
      letters,
    })
    const { away, firstFinger, firstHand } = hands ?? room
    counting.value = { away: [...away], firstFinger, firstHand }
    access.value = { ...l.choices.access }
    words.value = { ...(own ?? classroom.classroom?.words ?? classroom.spoken) }
  },
  { immediate: true },
)
const materials = REPRESENTATION_IDS.map((m) => [m, capital(REPRESENTATIONS[m].title)] as const)
const groupsIn = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((g) => g.trim())
      .filter((g) => g !== ''),
  ),
]
/** What would be kept now, as text, and what was kept last: where they differ, something would be lost. */
const written = (): string => JSON.stringify([form, counting.value, access.value, words.value])
const kept = ref('')
watch(there, () => (kept.value = written()), { immediate: true })
const unsaved = computed(() => there.value !== undefined && written() !== kept.value)
async function keep(archived = there.value?.archived ?? false): Promise<boolean> {
  const l = there.value
  if (!l) return false
  trouble.value = said.value = ''
  const sent = {
    ...l,
    codeName: form.codeName,
    groups: groupsIn(form.groups),
    archived,
    choices: {
      ...l.choices,
      hands: form.ownHands
        ? {
            ...counting.value,
            joints: (l.choices.hands ?? classroom.classroom?.hands ?? DEFAULT_CHOICES).joints,
          }
        : null,
      words: form.ownWords ? words.value : null,
      avoid: form.avoid,
      avoidWhy: form.avoidWhy,
      letters: form.letters,
      access: access.value,
    },
  } as KeptLearner
  try {
    await classroom.keepLearner(sent)
    if (archived && classroom.learnerId === id) classroom.learnerId = null
    said.value =
      archived === l.archived
        ? 'It is kept.'
        : archived
          ? `${sent.codeName} is put away; nothing is lost.`
          : `${sent.codeName} is back.`
    return true
  } catch (error) {
    trouble.value = (error as Error).message
    return false
  }
}
const toggle = (list: string[], value: string): string[] =>
  list.includes(value) ? list.filter((x) => x !== value) : [...list, value]
useHead({ title: () => `What suits ${there.value?.codeName ?? 'a learner'} – Sett` })
</script>

<template>
  <div class="place">
    <p v-if="!there" class="trouble" role="alert">There is no such learner.</p>
    <template v-else>
      <header>
        <h1>What suits {{ there.codeName }}</h1>
        <NuxtLink class="stone-button" to="/learners">All learners</NuxtLink>
        <NuxtLink class="stone-button" :to="`/learners/${id}`">What is kept</NuxtLink>
      </header>
      <form novalidate @submit.prevent="keep()">
        <section>
          <h2>Name and groups</h2>
          <label>Code name <input v-model="form.codeName" type="text" maxlength="24" autocomplete="off" /></label>
          <label
            >Groups, with commas between
            <input v-model="form.groups" type="text" maxlength="330" list="known-groups" autocomplete="off"
          /></label>
          <datalist id="known-groups">
            <option v-for="g in classroom.groups" :key="g" :value="g" />
          </datalist>
          <label
            >Letters for this learner
            <select v-model.number="form.letters">
              <option :value="1">as usual</option>
              <option :value="2">larger</option>
              <option :value="3">largest</option>
            </select></label
          >
        </section>
        <section>
          <h2>Hands</h2>
          <label class="tick"><input v-model="form.ownHands" type="checkbox" /> Other than the room’s</label>
          <FingersForm v-if="form.ownHands" v-model="counting" />
        </section>
        <section>
          <h2>Words</h2>
          <label class="tick"><input v-model="form.ownWords" type="checkbox" /> Other than the room’s</label>
          <WordsForm v-if="form.ownWords" v-model="words" />
        </section>
        <section class="wide">
          <h2>Materials to put aside</h2>
          <p class="quiet">
            They are not offered while {{ there.codeName }} is at the bench, and the shelf says why. You can still
            choose them.
          </p>
          <div class="ticks">
            <label v-for="[m, title] in materials" :key="m" class="tick"
              ><input type="checkbox" :checked="form.avoid.includes(m)" @change="form.avoid = toggle(form.avoid, m)" />
              {{ title }}</label
            >
          </div>
          <label>Why, in a word <input v-model="form.avoidWhy" type="text" maxlength="120" autocomplete="off" /></label>
        </section>
        <section class="wide">
          <h2>Reaching and reading</h2>
          <AccessForm v-model="access" />
          <p>
            <NuxtLink class="stone-button" :to="`/learners/${id}/voice`"
              >Your own voice for {{ there.codeName }}</NuxtLink
            >
          </p>
        </section>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div class="in-row">
          <button type="submit" class="stone-button main">Keep what suits {{ there.codeName }}</button>
          <button type="button" class="stone-button" @click="keep(!there.archived)">
            {{ there.archived ? `Bring ${there.codeName} back` : `Put ${there.codeName} away` }}
          </button>
          <NuxtLink class="stone-button" to="/settings/touch-points">Notches on numerals</NuxtLink>
        </div>
        <p role="status" class="kept-said">{{ said }}</p>
      </form>
      <LeaveGuard :unsaved="unsaved" :keep="() => keep()" :about="there.codeName" />
    </template>
  </div>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
  gap: 1.4rem 2.4rem;
  align-items: start;
}
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.6rem;
  align-content: start;
}
form > :not(section),
.wide {
  grid-column: 1 / -1;
}
label {
  display: grid;
  gap: 0.2rem;
}
.ticks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(11rem, 100%), 1fr));
}
</style>
