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
  toldOf,
  type OwnPlan,
  type Role,
} from '../../../../core/story/index'
import { askedName, SITUATION_NAMES } from '../../../utils/storyNames'

/** A story that a teacher types: its numbers are found, and the teacher says which situation it is and what each number is. */
const emit = defineEmits<{ work: [problem: string]; stages: [plan: OwnPlan] }>()
const kept = useLocalStorage('sett.own-story', {
  text: 'Wren has 15 tokens. That is 8 more than Pip has. How many tokens does Pip have?',
  cell: 'compare/lesser/more',
  marks: {} as Partial<Record<Role, number>>,
})
const cell = computed(() => CELLS.find((c) => cellId(c) === kept.value.cell) ?? CELLS[0]!)
const numbers = computed(() => numbersFound(String(kept.value.text)))
const told = computed(() => rolesOf(cell.value).filter(([role]) => toldOf(cell.value).includes(role)))
const marks = computed(() => (kept.value.marks && typeof kept.value.marks === 'object' ? kept.value.marks : {}))
const mark = (role: Role, at: string): void => {
  const { [role]: _, ...rest } = marks.value
  kept.value.marks = at === '' ? rest : { ...rest, [role]: Number(at) }
}
const checked = computed(() => attempt(() => ownStory({ text: kept.value.text, cell: cell.value, marks: marks.value })))
const own = computed(() => ('ok' in checked.value ? checked.value.ok : null))
const why = computed(() => ('refused' in checked.value ? checked.value.refused.message : ''))
const plan = computed((): OwnPlan => ({ cell: cellId(cell.value), text: kept.value.text, marks: { ...marks.value } }))
const quoted = (words: readonly { readonly text: string }[]): string =>
  [...new Set(words.map((w) => `“${w.text}”`))].join(', ')
</script>

<template>
  <div class="own">
    <label class="typed"
      >The story <textarea v-model="kept.text" class="learner" rows="4" :maxlength="MOST_STORY" />
    </label>
    <p role="status">
      {{
        numbers.length === 0
          ? 'No number is found in it yet, in figures or in words.'
          : `${numbers.length} ${numbers.length === 1 ? 'number is' : 'numbers are'} found.`
      }}
    </p>
    <label
      >What is told
      <select v-model="kept.cell">
        <optgroup v-for="(name, situation) in SITUATION_NAMES" :key="situation" :label="name">
          <option
            v-for="c in CELLS.filter((k) => k.situation === situation && !k.after)"
            :key="cellId(c)"
            :value="cellId(c)"
          >
            {{ askedName(c) }}
          </option>
        </optgroup>
      </select></label
    >
    <fieldset v-if="numbers.length">
      <legend>Which number is</legend>
      <label v-for="[role, name] in told" :key="role"
        >{{ name }}
        <select :value="marks[role] ?? ''" @change="mark(role, ($event.target as HTMLSelectElement).value)">
          <option value="">Choose …</option>
          <option v-for="(n, i) in numbers" :key="i" :value="i">{{ n.text }} {{ n.unit }}</option>
        </select></label
      >
    </fieldset>
    <p v-if="why" class="quiet">{{ why }}</p>
    <template v-if="own">
      <StoryBars :bars="barsOf({ cell: own.cell, roles: own.roles, people: [{ name: 'one' }, { name: 'other' }] })" />
      <p class="sentence learner">
        {{ pretty(own.sentence) }}
        <span v-if="own.problem" class="quiet"
          >so {{ pretty(own.problem)
          }}<template v-if="own.answer"> = {{ pretty(printAmount(own.cell.unknown, own.answer)) }}</template></span
        >
      </p>
      <p v-if="own.misleading.length">{{ quoted(own.misleading) }} would mislead whoever listens to the words alone.</p>
      <p v-if="own.extra.length">{{ quoted(own.extra) }} {{ own.extra.length === 1 ? 'is' : 'are' }} not needed.</p>
      <p v-if="own.problem" class="acts">
        <button type="button" class="stone-button main" @click="emit('stages', plan)">Work it in stages</button>
        <button type="button" class="stone-button" @click="emit('work', own.problem)">Work it at the Bench</button>
      </p>
    </template>
  </div>
</template>

<style scoped>
.own,
.typed {
  display: grid;
  gap: 0.6rem;
}
textarea {
  width: 100%;
  font-size: 1.4rem;
  line-height: 1.4;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.2rem;
}
legend {
  padding: 0;
  font-weight: 700;
}
label:not(.typed) {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
  flex-wrap: wrap;
}
p {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.sentence {
  font-size: 1.6rem;
}
.sentence .quiet {
  font-size: 1.3rem;
  margin-left: 1rem;
}
</style>
