<script setup lang="ts">
import type { LessonTime } from '../../../../core/course/index'
import type { Lesson } from '../../../../shared/lessons'

/** What stands beside a lesson's turns: whether it fits its time, what to say, what to watch for and what comes after, pieces, notes. */
const { time, missing, mayChange } = defineProps<{
  time: LessonTime
  /** How many pieces are missing. */
  missing: number
  mayChange: boolean
}>()
const lesson = defineModel<Lesson>({ required: true })
const classroom = useClassroom()
const { t } = useI18n()
const names = useMistakeNames()
const { afterOf, goesWell, goesBadly } = useLessonParts()
const set = (change: Partial<Lesson>): void => void (lesson.value = { ...lesson.value, ...change })
const after = computed(() => afterOf(lesson.value))

const MINUTE_MS = 60_000
const takes = computed(() => Math.round(time.all / MINUTE_MS))
const fits = computed(() => time.all <= (lesson.value.minutes + 1) * MINUTE_MS)
/** The parts of the time, each as a share of what there is, or of what it takes where that is more. */
const bars = computed(() => {
  const whole = Math.max(time.all, lesson.value.minutes * MINUTE_MS)
  return LESSON_PARTS.map((mode) => {
    const ms = lesson.value.turns.reduce((sum, turn, i) => sum + (turn.mode === mode ? time.each[i]! : 0), 0)
    return { mode, width: `${(100 * ms) / whole}%`, label: `${t(`lesson.part.${mode}`)}: ${minutesText(ms)}` }
  })
})
const paces = computed(() =>
  [...time.paces]
    .flatMap(([id, ms]) =>
      classroom.nameOf(id) ? [t('lesson.pace', { name: classroom.nameOf(id), time: minutesText(ms) })] : [],
    )
    .join(' '),
)
const changing = ref(false)
</script>

<template>
  <aside class="beside" :aria-label="t('lesson.beside')">
    <section class="card no-print" :aria-label="t('lesson.time')">
      <div class="head">
        <h2>{{ t('lesson.takes', { n: takes, of: lesson.minutes }) }}</h2>
        <span class="tag" :class="fits ? 'moss' : 'clay'">{{ t(fits ? 'lesson.fits' : 'lesson.tooLong') }}</span>
      </div>
      <div class="bar" role="img" :aria-label="bars.map((b) => b.label).join('; ')">
        <span v-for="b in bars" :key="b.mode" :class="b.mode" :style="{ width: b.width }" />
      </div>
      <p class="quiet">{{ paces }}</p>
    </section>
    <section class="card" :aria-label="t('lesson.sayAndAsk')">
      <div class="head">
        <h2>{{ t('lesson.sayAndAsk') }}</h2>
        <Button
          v-if="mayChange"
          severity="secondary"
          text
          class="no-print"
          :aria-expanded="changing"
          @click="changing = !changing"
          ><IconPencil /> {{ t(changing ? 'lesson.done' : 'lesson.change') }}</Button
        >
      </div>
      <Textarea
        v-if="changing"
        :model-value="lesson.words"
        rows="8"
        maxlength="4000"
        :aria-label="t('lesson.sayAndAsk')"
        @input="set({ words: ($event.target as HTMLTextAreaElement).value })"
      />
      <p v-else class="words">{{ lesson.words }}</p>
    </section>
    <section v-for="{ step, well, badly, material } in after" :key="step.id" class="card" :aria-label="step.title">
      <h2>{{ step.title }}</h2>
      <dl>
        <template v-if="step.usual.length">
          <dt>{{ t('lesson.watch') }}</dt>
          <dd>{{ step.usual.map(names).join('; ') }}</dd>
        </template>
        <dt>{{ t('lesson.well') }}</dt>
        <dd>{{ goesWell(well) }}</dd>
        <dt>{{ t('lesson.hard') }}</dt>
        <dd>{{ goesBadly(badly, material) }}</dd>
      </dl>
    </section>
    <section class="card no-print" :aria-label="t('lesson.pieces')">
      <h2>{{ t('lesson.pieces') }}</h2>
      <p v-if="missing" class="tag clay"><IconTriangleAlert /> {{ t('today.short', missing) }}</p>
      <div class="in-row">
        <Button
          as="router-link"
          severity="secondary"
          :to="`/plan/materials?lesson=${lesson.id}`"
          :label="t('lesson.count')"
        />
        <Button as="router-link" severity="secondary" :to="`/plan/print?lesson=${lesson.id}`"
          ><IconPrinter /> {{ t('lesson.sheets') }}</Button
        >
      </div>
    </section>
    <section class="card" :aria-label="t('lesson.afterwards')">
      <h2>{{ t('lesson.afterwards') }}</h2>
      <label v-for="id in lesson.learners" :key="id" class="note">
        <b>{{ classroom.nameOf(id) }}</b>
        <Textarea
          rows="2"
          maxlength="1000"
          :model-value="lesson.notes[id] ?? ''"
          :disabled="!mayChange"
          :aria-label="classroom.nameOf(id)"
          @input="set({ notes: { ...lesson.notes, [id]: ($event.target as HTMLTextAreaElement).value } })"
        />
      </label>
    </section>
  </aside>
</template>

<style scoped>
.beside,
.card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.card {
  gap: 10px;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
.bar {
  display: flex;
  gap: 2px;
  height: 12px;
  overflow: hidden;
  border-radius: 6px;
  background: var(--paper-2);
}
.show {
  background: var(--ink-2);
}
.together {
  background: var(--gold);
}
.alone {
  background: var(--moss);
}
.words {
  white-space: pre-line;
}
.tag {
  justify-self: start;
}
textarea {
  width: 100%;
}
dl {
  display: grid;
  grid-template-columns: 6.2rem minmax(0, 1fr);
  gap: 6px 12px;
  margin: 0;
  font-size: 0.95rem;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
.note {
  display: grid;
  gap: 3px;
}
@media print {
  .beside {
    gap: 3mm;
  }
  .card {
    gap: 1mm;
    padding: 0;
    box-shadow: none;
  }
  .note textarea {
    height: 8mm;
    min-height: 0;
    border: 0;
    border-bottom: 1px solid #000;
    border-radius: 0;
    background: none;
  }
}
</style>
