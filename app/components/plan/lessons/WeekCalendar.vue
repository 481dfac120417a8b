<script setup lang="ts">
import { daysFrom } from '../../../../shared/days'
import type { Lesson } from '../../../../shared/lessons'

/** The lessons of a school week, day by day; lessons at its weekend have a day of their own. */
const { lessons, mayPlan } = defineProps<{ lessons: readonly Lesson[]; mayPlan: boolean }>()
/** A day of the week that is shown. */
const day = defineModel<string>({ required: true })
const { t } = useI18n()
const { lineOf } = useLessonLine()
const WEEK = 7
const days = computed(() => {
  const week = schoolWeekOf(day.value)
  const weekend = [daysFrom(week[0]!, WEEK - 2), daysFrom(week[0]!, WEEK - 1)]
  const taken = weekend.filter((d) => lessons.some((l) => l.day === d))
  return [...week, ...taken].map((d) => ({
    day: d,
    ...shortDay(d),
    lessons: lessons
      .filter((l) => l.day === d)
      .sort((a, b) => a.at.localeCompare(b.at))
      .map((lesson) => ({ lesson, line: lineOf(lesson) })),
  }))
})
const go = (weeks: number): void => void (day.value = daysFrom(schoolWeekOf(day.value)[0]!, weeks * WEEK))
const span = computed(() => t('lessons.weekOf', { day: dayInWords(days.value[0]!.day) }))
</script>

<template>
  <section class="card" :aria-label="span">
    <header class="in-row">
      <h2>{{ span }}</h2>
      <span class="grow" />
      <Button severity="secondary" text :aria-label="t('lessons.weekBefore')" @click="go(-1)"><IconArrowLeft /></Button>
      <Button severity="secondary" text :label="t('lessons.thisWeek')" @click="day = today()" />
      <Button severity="secondary" text :aria-label="t('lessons.weekAfter')" @click="go(1)"><IconArrowRight /></Button>
    </header>
    <ol class="plain days">
      <li v-for="d in days" :key="d.day" :class="{ now: d.day === today() }">
        <p class="head">
          <span>{{ d.name }}</span> <b>{{ d.number }}</b>
        </p>
        <NuxtLink
          v-for="{ lesson, line } in d.lessons"
          :key="lesson.id"
          class="lesson"
          :class="line.state.replace(' ', '-')"
          :to="`/plan/lessons/${lesson.id}`"
          :aria-label="`${dayInWords(d.day)}, ${lesson.at}, ${line.names}`"
        >
          <b>{{ lesson.at }} {{ line.names }}</b>
          <span>{{ line.about }}</span>
          <IconCheck v-if="line.state === 'done'" />
        </NuxtLink>
        <Button
          v-if="mayPlan && d.day >= today()"
          as="router-link"
          severity="secondary"
          text
          :to="`/plan/lessons/new?day=${d.day}`"
          :aria-label="t('lessons.planOn', { day: dayInWords(d.day) })"
          ><IconPlus
        /></Button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.days {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 9.5rem), 1fr));
  gap: 10px;
  margin-top: 10px;
}
.days li {
  display: grid;
  align-content: start;
  gap: 8px;
  min-height: 9rem;
  padding: 8px;
  border: 1px solid var(--line);
  border-radius: 10px;
}
.days .now {
  border: 2px solid var(--clay);
}
.head {
  color: var(--ink-soft);
}
.head b {
  color: var(--ink);
}
.lesson {
  display: grid;
  gap: 2px;
  padding: 8px 10px;
  border-radius: 8px;
  background: var(--clay-wash);
  font-size: 0.9rem;
  line-height: 1.3;
  text-decoration: none;
}
.lesson.done {
  background: var(--moss-wash);
}
.lesson.under-way {
  border-left: 4px solid var(--clay);
}
[data-theme='contrast'] .lesson {
  border: 1px solid var(--ink);
}
.lesson:hover {
  text-decoration: underline;
}
</style>
