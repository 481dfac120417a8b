<script setup lang="ts">
import {
  capital,
  DEFAULT_CHOICES,
  FINGERS,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  type Words,
} from '../../../../core/door'
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
  away: [] as string[],
  firstFinger: 'little',
  firstHand: 'left',
  ownWords: false,
  avoid: [] as string[],
  avoidWhy: '',
  letters: 1,
})
const access = ref<Access>({ ...ACCESS_AT_FIRST })
const words = ref<Words>({ ...classroom.words })
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
      away: [...(hands ?? room).away],
      firstFinger: (hands ?? room).firstFinger,
      firstHand: (hands ?? room).firstHand,
      ownWords: own !== null,
      avoid: [...avoid],
      avoidWhy,
      letters,
    })
    access.value = { ...l.choices.access }
    words.value = { ...(own ?? classroom.classroom?.words ?? classroom.words) }
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
async function keep(archived = there.value?.archived ?? false): Promise<void> {
  const l = there.value
  if (!l) return
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
            away: form.away,
            firstFinger: form.firstFinger,
            firstHand: form.firstHand,
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
  } catch (error) {
    trouble.value = (error as Error).message
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
        <NuxtLink class="stone-button" :to="`/learner/${id}`">What is kept</NuxtLink>
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
          <template v-if="form.ownHands">
            <div class="fingers" role="group" aria-label="Fingers counted on">
              <button
                v-for="f in FINGERS"
                :key="f"
                type="button"
                class="stone-button"
                :aria-pressed="!form.away.includes(f)"
                :aria-label="f.replace('-', ' ')"
                @click="form.away = toggle(form.away, f)"
              >
                {{ f.split('-')[1] }}
              </button>
            </div>
            <label
              >Which finger is one
              <select v-model="form.firstFinger">
                <option value="little">the little finger</option>
                <option value="thumb">the thumb</option>
                <option value="index">the index finger</option>
              </select></label
            >
            <label
              >Which hand starts
              <select v-model="form.firstHand">
                <option value="left">the left</option>
                <option value="right">the right</option>
              </select></label
            >
          </template>
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
        </section>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div class="in-row">
          <button type="submit" class="stone-button main">Keep what suits {{ there.codeName }}</button>
          <button type="button" class="stone-button" @click="keep(!there.archived)">
            {{ there.archived ? `Bring ${there.codeName} back` : `Put ${there.codeName} away` }}
          </button>
          <NuxtLink class="stone-button" to="/notches">Notches on numerals</NuxtLink>
        </div>
        <p role="status" class="kept-said">{{ said }}</p>
      </form>
    </template>
  </div>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(20rem, 1fr));
  gap: 1.4rem 2.4rem;
  align-items: start;
}
section {
  display: grid;
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
.tick {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
.ticks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
}
.fingers {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 4px;
}
</style>
