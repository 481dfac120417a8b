<script setup lang="ts">
import { attempt, pretty } from '../../../../core/door'
import {
  barsOf,
  cellId,
  CELLS,
  MOST_STORY,
  numbersFound,
  ownStory,
  rolesOf,
  printAmount,
  SITUATIONS,
  toldOf,
  type OwnPlan,
  type Role,
  type SituationId,
} from '../../../../core/story/index'

/** A story that a teacher types: its numbers are found, and the teacher says which situation it is and what each number is. */
const emit = defineEmits<{ work: [problem: string]; stages: [plan: OwnPlan] }>()
const { t } = useI18n()
const { kindName, situationName } = useStoryNames()
const kept = useLocalStorage('sett.own-story', {
  text: 'Wren has 15 tokens. That is 8 more than Pip has. How many tokens does Pip have?',
  cell: 'compare/lesser/more',
  marks: {} as Partial<Record<Role, number>>,
})
const cell = computed(() => CELLS.find((c) => cellId(c) === kept.value.cell) ?? CELLS[0]!)
const kinds = (Object.keys(SITUATIONS) as SituationId[]).map((id) => ({
  name: situationName(id),
  items: CELLS.filter((c) => c.situation === id && !c.after).map((c) => ({ id: cellId(c), label: kindName(c) })),
}))
const numbers = computed(() => numbersFound(String(kept.value.text)))
const choices = computed(() => numbers.value.map(({ text }, value) => ({ value, text })))
const told = computed(() => rolesOf(cell.value).filter(([role]) => toldOf(cell.value).includes(role)))
const marks = computed(() => (kept.value.marks && typeof kept.value.marks === 'object' ? kept.value.marks : {}))
const mark = (role: Role, at: number | null): void => {
  const { [role]: _, ...rest } = marks.value
  kept.value.marks = at === null ? rest : { ...rest, [role]: at }
}
const checked = computed(() => attempt(() => ownStory({ text: kept.value.text, cell: cell.value, marks: marks.value })))
const own = computed(() => ('ok' in checked.value ? checked.value.ok : null))
const why = computed(() => ('refused' in checked.value ? checked.value.refused.message : ''))
const plan = computed((): OwnPlan => ({ cell: cellId(cell.value), text: kept.value.text, marks: { ...marks.value } }))
const quoted = (words: readonly { readonly text: string }[]): string =>
  [...new Set(words.map((w) => `“${w.text}”`))].join(', ')
const work = computed(() => {
  const { problem, answer, cell } = own.value ?? {}
  if (!problem) return ''
  const shown = pretty(problem)
  return answer ? t('own.equals', { problem: shown, answer: pretty(printAmount(cell!.unknown, answer)) }) : shown
})
const id = useId()
</script>

<template>
  <div class="with-aside">
    <form class="card own" @submit.prevent>
      <div class="field">
        <label :for="`${id}-text`">{{ t('own.text') }}</label>
        <Textarea :id="`${id}-text`" v-model="kept.text" class="learner text" rows="5" :maxlength="MOST_STORY" />
      </div>
      <p role="status" class="quiet">{{ t('own.found', numbers.length) }}</p>
      <div class="field">
        <label :for="`${id}-kind`">{{ t('own.kind') }}</label>
        <Select
          v-model="kept.cell"
          :label-id="`${id}-kind`"
          :options="kinds"
          option-label="label"
          option-value="id"
          option-group-label="name"
          option-group-children="items"
          filter
          :aria-label="t('own.kind')"
        />
      </div>
      <div v-if="numbers.length" class="in-row" role="group" :aria-label="t('own.which')">
        <div v-for="[role, name] in told" :key="role" class="field">
          <label :for="`${id}-${role}`">{{ name }}</label>
          <Select
            :label-id="`${id}-${role}`"
            :model-value="marks[role] ?? null"
            :options="choices"
            option-label="text"
            option-value="value"
            :placeholder="t('own.choose')"
            show-clear
            :aria-label="name"
            @update:model-value="(at: number | null) => mark(role, at)"
          />
        </div>
      </div>
      <p v-if="why" class="quiet">{{ why }}</p>
    </form>
    <section v-if="own" class="card own" :aria-label="t('own.makes')">
      <h2>{{ t('own.makes') }}</h2>
      <StoryBars :bars="barsOf({ cell: own.cell, roles: own.roles, people: [{ name: 'one' }, { name: 'other' }] })" />
      <p class="sentence learner">{{ pretty(own.sentence) }}</p>
      <p v-if="work" class="learner">{{ t('story.so', { work }) }}</p>
      <p v-if="own.misleading.length">
        {{ t('own.misleads', { words: quoted(own.misleading) }, own.misleading.length) }}
      </p>
      <p v-if="own.extra.length">{{ t('own.extra', { words: quoted(own.extra) }, own.extra.length) }}</p>
      <div v-if="own.problem" class="in-row">
        <Button @click="emit('stages', plan)"><IconPlay /> {{ t('story.inStages') }}</Button>
        <Button severity="secondary" :label="t('story.atBench')" @click="emit('work', own.problem)" />
      </div>
    </section>
  </div>
</template>

<style scoped>
.own {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.text {
  font-size: 1.4rem;
  line-height: 1.4;
}
.sentence {
  font-size: 1.6rem;
}
</style>
