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
import { BAR_PLACES } from '../../../utils/barPlaces'

/** The numbers of the story are carried to their places in the drawing, or chosen and put there; then the bars are drawn at one scale. */
const { story } = defineProps<{ story: Workable }>()
const emit = defineEmits<{ give: [given: string] }>()
const { t } = useI18n()
const { placeName } = useStoryNames()
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
const textOf = (value: string | undefined): string => choices.value.find((c) => c.value === value)?.text ?? ''
const placed = ref<Partial<Record<Role, string>>>({})
/** The number that is chosen, or carried now. */
const held = ref<string | null>(null)
const area = ref<HTMLElement | null>(null)
const { dragging, justDragged } = useDragging(area, {
  grip: '.number',
  carried: '.carried',
  start({ number }) {
    held.value = number!
    return true
  },
  end(x, y) {
    const place = underPoint(area.value!, x, y).find((d) => d.place)?.place
    if (place && held.value !== null) placed.value[place as Role] = held.value
    held.value = null
  },
})
const choose = (value: string): void => {
  if (!justDragged()) held.value = held.value === value ? null : value
}
/** A number that is chosen goes there; where none is, what stands there is taken away again. */
function press(role: Role): void {
  if (held.value === null) placed.value = { ...placed.value, [role]: undefined }
  else placed.value[role] = held.value
  held.value = null
}
const full = computed(() => roles.value.every((role) => placed.value[role] !== undefined))
/** The bars as they are placed, at one scale; or why they cannot be drawn so. */
const drawn = computed(() => {
  const unknown = roles.value.filter((role) => placed.value[role] === '?')
  if (!full.value) return null
  const [one] = unknown
  if (!one) return { why: t('story.noQuestion') }
  const known = Object.fromEntries(
    roles.value.flatMap((role) => (placed.value[role] === '?' ? [] : [[role, exact(placed.value[role]!)]])),
  ) as Amounts
  const { situation, wording } = story.cell
  const both = unknown.length > 1 && situation === 'together' && placed.value.whole !== '?'
  if (unknown.length > 1 && !both) return { why: t('story.oneQuestion') }
  const cell = { situation, unknown: both ? ('both' as const) : one, ...(wording ? { wording } : {}) }
  const made = attempt((): Amounts => (both ? known : completed(cell, known)))
  const level = situation === 'rise' || situation === 'fall' || situation === 'enough'
  if (!('ok' in made) || Object.values(made.ok).some((a: Exact) => !level && sign(a) <= 0))
    return { why: t('story.noFit') }
  return { bars: barsOf({ cell, roles: made.ok, people: story.people }) }
})
const give = (): void => emit('give', roles.value.map((role) => `${role}=${placed.value[role]}`).join(' '))
</script>

<template>
  <form ref="area" class="stage" @submit.prevent="give">
    <p class="quiet">{{ t('story.drag') }}</p>
    <div class="in-row learner" role="group" :aria-label="t('story.numbers')">
      <Button
        v-for="c in choices"
        :key="c.value"
        severity="secondary"
        class="number"
        :class="{ held: held === c.value }"
        :aria-pressed="held === c.value"
        :label="c.text"
        :data-number="c.value"
        @click="choose(c.value)"
      />
    </div>
    <div class="drawing learner" role="group" :aria-label="t('story.places')">
      <div v-for="(row, i) in BAR_PLACES[story.cell.situation]" :key="i" class="row">
        <Button
          v-for="role in row"
          :key="role"
          severity="secondary"
          class="at"
          :class="{ filled: placed[role] !== undefined }"
          :data-place="role"
          :aria-label="
            placed[role] === undefined
              ? t('story.placeEmpty', { place: placeName(role) })
              : t('story.placeIs', { place: placeName(role), n: textOf(placed[role]) })
          "
          @click="press(role)"
        >
          <small>{{ placeName(role) }}</small>
          <b>{{ textOf(placed[role]) }}</b>
        </Button>
      </div>
    </div>
    <span v-if="dragging" class="carried learner" aria-hidden="true">{{ textOf(held ?? '') }}</span>
    <p v-if="drawn && 'why' in drawn" role="status">{{ drawn.why }}</p>
    <StoryBars v-else-if="drawn" :bars="drawn.bars" />
    <Button type="submit" :label="t('story.check')" :disabled="!full" />
  </form>
</template>

<style scoped src="./stage.css"></style>
<style scoped>
form {
  position: relative;
}
.number {
  min-width: 56px;
  min-height: 52px;
  font-family: var(--learner);
  font-size: 1.4rem;
  touch-action: none;
  cursor: grab;
}
.number.held {
  outline: 3px solid var(--clay);
  outline-offset: 2px;
}
.drawing {
  display: grid;
  gap: 8px;
  width: 100%;
  max-width: 38rem;
}
.row {
  display: flex;
}
.at {
  display: grid;
  flex: 1;
  gap: 0;
  justify-items: center;
  min-height: 68px;
  border: 2px dashed var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
}
.at + .at {
  border-left: 0;
}
.at.filled {
  border-style: solid;
  border-color: var(--ink-2);
  background: var(--paper-2);
}
.at small {
  font-family: var(--ui);
  font-weight: 400;
  color: var(--ink-soft);
}
.at b {
  min-height: 1.9rem;
  font-family: var(--learner);
  font-size: 1.4rem;
  line-height: 1.9rem;
}
.carried {
  position: absolute;
  z-index: 2;
  top: 0;
  left: 0;
  min-width: 52px;
  padding: 8px 14px;
  transform: translate(-50%, -50%);
  border-radius: 10px;
  background: var(--clay);
  color: var(--on-clay);
  font-size: 1.4rem;
  font-weight: 700;
  text-align: center;
  pointer-events: none;
}
</style>
