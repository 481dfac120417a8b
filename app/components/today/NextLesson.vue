<script setup lang="ts">
import { capital, spokenList } from '../../../core/door'
import type { Lesson } from '../../../shared/lessons'

/** The lesson that comes next: what it is about, with a picture of its material, and one button that starts it. */
const props = defineProps<{ lesson: Lesson; missing?: number | undefined }>()
const emit = defineEmits<{ start: [] }>()
const { t } = useI18n()
const { called } = useNames()
const { lineOf } = useLessonLine()
const line = computed(() => lineOf(props.lesson))
const underWay = computed(() => line.value.state === 'under way')
const materials = computed(() => [...new Set(props.lesson.turns.map((turn) => turn.material))])
const when = computed(() => {
  const { at, turns } = props.lesson
  return underWay.value ? t('today.underWay', { at, done: line.value.done, of: turns.length }) : t('today.next', { at })
})
/** How many are shown, worked together and worked alone. */
const parts = computed(() => {
  const of = (mode: string): number => props.lesson.turns.filter((turn) => turn.mode === mode).length
  const said = (['show', 'together', 'alone'] as const).flatMap((mode) => {
    const key = mode === 'show' ? 'shown' : mode
    return of(mode) > 0 ? [t(`today.${key}`, of(mode))] : []
  })
  return `${capital(spokenList(said))}.`
})
</script>

<template>
  <section class="card next" :aria-label="line.names">
    <MaterialPicture :id="materials[0]!" class="picture" />
    <div class="said">
      <p class="when">
        <span class="tag clay">{{ when }}</span>
        <span class="quiet"
          >{{ t('today.minutes', lesson.minutes) }}, {{ t('today.problems', lesson.turns.length) }}</span
        >
        <NuxtLink v-if="missing" :to="`/plan/materials?lesson=${lesson.id}`" class="reach"
          ><span class="tag clay"><IconTriangleAlert /> {{ t('today.short', missing) }}</span></NuxtLink
        >
      </p>
      <h2>{{ line.about }}</h2>
      <p class="quiet">
        {{ t('today.with', { names: line.names, materials: spokenList(materials.map(called)) }) }} {{ parts }}
      </p>
      <div class="in-row">
        <Button aria-keyshortcuts="b" @click="emit('start')">
          <IconPlay /> {{ underWay ? t('today.goOn') : t('today.start') }}
        </Button>
        <Button as="router-link" severity="secondary" :to="`/plan/lessons/${lesson.id}`" :label="t('today.look')" />
        <Button as="router-link" severity="secondary" text :to="`/plan/print?lesson=${lesson.id}`">
          <IconPrinter /> {{ t('today.print') }}
        </Button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  grid-template-columns: 214px minmax(0, 1fr);
  min-height: 256px;
  padding: 0;
  overflow: hidden;
}
.picture {
  height: 100%;
  border-radius: 0;
  object-fit: contain;
}
.said {
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 10px;
  padding: 20px 22px;
}
.when {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
.said h2 {
  font-size: 1.45rem;
  line-height: 1.35;
}
.in-row {
  margin-top: 8px;
}
@media (max-width: 1150px) {
  .next {
    grid-template-columns: 150px minmax(0, 1fr);
  }
}
@media (max-width: 700px) and (max-height: 560px) {
  .picture {
    display: none;
  }
}
@media (max-width: 700px) {
  .picture {
    height: 118px;
  }
  .next {
    grid-template-columns: minmax(0, 1fr);
    min-height: 0;
  }
  .said {
    padding: 14px 16px 16px;
  }
  .said h2 {
    font-size: 1.2rem;
  }
  .in-row > :first-child {
    flex: 1 0 100%;
  }
}
</style>
