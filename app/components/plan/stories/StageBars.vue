<script setup lang="ts">
import { attempt, exact, pretty, sign, type Exact } from '../../../../core/door'
import {
  barsOf,
  completed,
  firstOf,
  handedOn,
  MADE_FIRST,
  printAmount,
  SITUATIONS,
  toldOf,
  type Amounts,
  type Role,
  type Workable,
} from '../../../../core/story/index'
import { PLACE_NAMES } from '../../../utils/storyNames'

/** The places of the bars are filled with the numbers of the story; then they are drawn at one scale. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [given: string] }>()
const roles = computed(() => SITUATIONS[story.cell.situation].roles)
/** What can stand in a place: the numbers told, what the first step makes, and what is asked. */
const choices = computed(() => {
  const told = toldOf(story.cell).filter((role) => role !== story.missing)
  const made = firstOf(story.cell) ? [{ value: story.roles[handedOn(story.cell)]!, text: MADE_FIRST }] : []
  const numbers = told.map((role) => ({
    value: story.roles[role]!,
    text: pretty(printAmount(role, story.roles[role]!)),
  }))
  const extra =
    story.extra === undefined ? [] : [{ value: story.extra, text: pretty(printAmount('whole', story.extra)) }]
  const all = [...numbers, ...extra].sort((a, b) => parseFloat(a.text) - parseFloat(b.text))
  return [...made, ...all, { value: '?', text: '?' }].filter(
    (c, i, list) => list.findIndex((d) => d.value === c.value) === i,
  )
})
const placed = ref<Partial<Record<Role, string>>>({})
const full = computed(() => roles.value.every((role) => placed.value[role] !== undefined))
/** The bars as they are placed, at one scale; or why they cannot be drawn so. */
const drawn = computed(() => {
  const unknown = roles.value.filter((role) => placed.value[role] === '?')
  if (!full.value) return null
  const [one] = unknown
  if (!one) return { why: 'Something is asked: one place has a question mark.' }
  const known = Object.fromEntries(
    roles.value.flatMap((role) => (placed.value[role] === '?' ? [] : [[role, exact(placed.value[role]!)]])),
  ) as Amounts
  const { situation, wording } = story.cell
  const both = unknown.length > 1 && situation === 'together' && placed.value.whole !== '?'
  if (unknown.length > 1 && !both) return { why: 'Only one place has a question mark.' }
  const cell = { situation, unknown: both ? ('both' as const) : one, ...(wording ? { wording } : {}) }
  const made = attempt((): Amounts => (both ? known : completed(cell, known)))
  const level = situation === 'rise' || situation === 'fall' || situation === 'enough'
  if (!('ok' in made) || Object.values(made.ok).some((a: Exact) => !level && sign(a) <= 0))
    return { why: 'They do not fit like this: a part would be longer than the whole.' }
  return { bars: barsOf({ cell, roles: made.ok, people: story.people }) }
})
const give = (): void => emit('give', roles.value.map((role) => `${role}=${placed.value[role]}`).join(' '))
const id = useId()
</script>

<template>
  <form class="stage" @submit.prevent="give">
    <div v-for="role in roles" :key="role" class="slot" role="radiogroup" :aria-labelledby="`${id}-${role}`">
      <span :id="`${id}-${role}`" class="name">{{ PLACE_NAMES[role] }}</span>
      <label v-for="c in choices" :key="c.value" class="pick learner"
        ><input v-model="placed[role]" type="radio" :name="`${id}-${role}`" :value="c.value" /> {{ c.text }}</label
      >
    </div>
    <p v-if="drawn && 'why' in drawn" role="status">{{ drawn.why }}</p>
    <StoryBars v-else-if="drawn" :bars="drawn.bars" />
    <button type="submit" class="stone-button main" :disabled="!full">Done</button>
  </form>
</template>

<style scoped src="./stage.css"></style>
<style scoped>
.slot {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.4rem;
  align-items: center;
}
.name {
  width: 11rem;
}
</style>
