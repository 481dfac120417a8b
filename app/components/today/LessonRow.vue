<script setup lang="ts">
import type { Lesson } from '../../../shared/lessons'

/** A lesson in one line: when, for whom, what about, how far it is. */
const props = defineProps<{ lesson: Lesson; withDay?: boolean; missing?: number | undefined }>()
const { t } = useI18n()
const { lineOf } = useLessonLine()
const line = computed(() => lineOf(props.lesson))
</script>

<template>
  <li class="lesson">
    <span class="time">
      <b>{{ lesson.at }}</b>
      <span v-if="withDay" class="quiet">{{ dayInWords(lesson.day) }}</span>
    </span>
    <span class="what">
      <b>{{ line.names }}</b>
      <span class="quiet">{{ line.about }}. {{ t('today.minutes', lesson.minutes) }}</span>
    </span>
    <span v-if="line.state === 'done'" class="tag moss"><IconCheck /> {{ t('today.done') }}</span>
    <span v-else-if="line.state === 'under way'" class="tag clay">{{
      t('today.underWayShort', { done: line.done, of: lesson.turns.length })
    }}</span>
    <NuxtLink
      v-if="missing && line.state !== 'done'"
      :to="`/plan/materials?lesson=${lesson.id}`"
      class="reach"
      :aria-label="`${t('today.shortOf', { names: line.names })}: ${missing}`"
      ><span class="tag clay"><IconTriangleAlert /> {{ t('today.short', missing) }}</span></NuxtLink
    >
    <Button
      as="router-link"
      severity="secondary"
      :to="`/plan/lessons/${lesson.id}`"
      :label="t('today.open')"
      :aria-label="t('today.openOf', { names: line.names })"
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
