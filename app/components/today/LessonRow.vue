<script setup lang="ts">
import { spokenList } from '../../../core/door'
import { stateOf, type Lesson } from '../../../shared/lessons'

/** A lesson in one line: when, for whom, what about, how far it is. */
const props = defineProps<{ lesson: Lesson; withDay?: boolean }>()
defineSlots<{ default(): unknown }>()
const { t } = useI18n()
const { titleOf } = useCourses()
const classroom = useClassroom()
const names = computed(() => spokenList(props.lesson.learners.map(classroom.nameOf)))
const about = computed(() => [...new Set(props.lesson.turns.map((turn) => titleOf(turn.step)))].join('; '))
const state = computed(() => stateOf(props.lesson))
const done = computed(() => props.lesson.turns.filter((turn) => turn.done).length)
</script>

<template>
  <li class="lesson">
    <span class="time">
      <b>{{ lesson.at }}</b>
      <span v-if="withDay" class="quiet">{{ dayInWords(lesson.day) }}</span>
    </span>
    <span class="what">
      <b>{{ names }}</b>
      <span class="quiet">{{ about }}. {{ t('today.minutes', lesson.minutes) }}</span>
    </span>
    <span v-if="state === 'done'" class="tag moss"><IconCheck /> {{ t('today.done') }}</span>
    <span v-else-if="state === 'under way'" class="tag clay">{{
      t('today.underWayShort', { done, of: lesson.turns.length })
    }}</span>
    <slot />
    <Button
      as="router-link"
      severity="secondary"
      :to="`/plan/lessons/${lesson.id}`"
      :label="t('today.open')"
      :aria-label="t('today.openOf', { names })"
    />
  </li>
</template>

<style scoped>
.lesson {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.lesson:first-child {
  border: 0;
}
.time {
  display: grid;
  width: 9.5rem;
}
.time:not(:has(.quiet)) {
  width: 52px;
}
.what {
  display: grid;
  flex: 1 1 14rem;
}
</style>
