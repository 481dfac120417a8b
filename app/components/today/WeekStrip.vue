<script setup lang="ts">
/** The school days of this week with their lessons as dots; one of them is looked at. */
const day = defineModel<string>({ required: true })
const props = defineProps<{ counts: ReadonlyMap<string, number> }>()
const { t } = useI18n()
const days = computed(() => {
  const week = schoolWeekOf(today())
  return (week.includes(today()) ? week : [today(), ...week]).map((d) => ({
    day: d,
    ...shortDay(d),
    lessons: props.counts.get(d) ?? 0,
  }))
})
/** More dots than these are not told apart at a glance. */
const MOST_DOTS = 4
</script>

<template>
  <div class="week" role="group" :aria-label="t('today.week')">
    <Button
      v-for="d in days"
      :key="d.day"
      unstyled
      class="day"
      :aria-pressed="d.day === day"
      :aria-current="d.day === today() ? 'date' : undefined"
      :aria-label="t('today.dayHas', { day: dayInWords(d.day), lessons: t('today.dayLessons', d.lessons) })"
      @click="day = d.day"
    >
      <span>{{ d.name }}</span>
      <b>{{ d.number }}</b>
      <span class="dots"><i v-for="n in Math.min(d.lessons, MOST_DOTS)" :key="n" /></span>
    </Button>
  </div>
</template>

<style scoped>
.week {
  display: flex;
  gap: 6px;
}
.day {
  display: grid;
  justify-items: center;
  width: 62px;
  min-height: 44px;
  padding: 7px 0 8px;
  border: 0;
  border-radius: 12px;
  background: none;
  color: var(--ink-soft);
  font: inherit;
  font-size: 0.85rem;
  cursor: pointer;
}
.day:hover {
  background: var(--paper-2);
}
.day b {
  font-size: 1.2rem;
  color: var(--ink);
}
.day[aria-current] b {
  text-decoration: underline 3px var(--clay);
  text-underline-offset: 4px;
}
.day[aria-pressed='true'] {
  background: var(--day-here);
  color: #e9e2d2;
}
.day[aria-pressed='true'] b {
  color: #fff;
}
.dots {
  display: flex;
  gap: 3px;
  height: 8px;
  align-items: end;
}
.dots i {
  width: 6px;
  height: 6px;
  border-radius: 50%;
  background: var(--clay);
}
.day[aria-pressed='true'] .dots i {
  background: var(--rail-clay);
}
@media (forced-colors: active) {
  .day[aria-pressed='true'] {
    forced-color-adjust: none;
    background: Highlight;
  }
  .day[aria-pressed='true'] :is(span, b) {
    color: HighlightText;
  }
}
@media (max-width: 700px) {
  .week {
    flex-basis: 100%;
    justify-content: space-between;
    gap: 2px;
  }
  .day {
    flex: 1;
    width: auto;
  }
}
</style>
