<script setup lang="ts">
import { HAND_NEEDS, type HandNeed } from '../../../core/kit/index'

/** Who uses the pieces: set once for the class, and looked at wherever pieces are counted. Changes save themselves. */
definePageMeta({ role: 'teacher' })
const { t } = useI18n()
const { cupboard, trouble, state, load, change } = useCupboard()
const { trouble: failed, tried } = useTrouble()
await tried(load)
const needs = computed({
  get: () => [...(cupboard.value.needs ?? [])],
  set: (all: HandNeed[]) => change({ needs: all }),
})
useHead({ title: () => `${t('frame.safety')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('safety.title')" :facts="t(`safety.state.${state || 'still'}`)" live />
    <p v-if="failed || trouble" class="trouble" role="alert">{{ failed || trouble }}</p>
    <section class="card group">
      <h2>{{ t('safety.who') }}</h2>
      <label class="in-row"
        ><span>{{ t('safety.youngest') }}</span>
        <InputNumber
          :model-value="cupboard.youngest"
          :min="1"
          :max="99"
          :aria-label="t('safety.youngest')"
          @update:model-value="(n) => n && change({ youngest: n })"
      /></label>
      <label class="in-row"
        ><Checkbox
          :model-value="cupboard.mouths"
          binary
          :aria-label="t('safety.mouths')"
          @update:model-value="(mouths) => change({ mouths })"
        />
        {{ t('safety.mouths') }}</label
      >
      <label class="in-row"
        ><Checkbox
          :model-value="cupboard.allergies"
          binary
          :aria-label="t('safety.allergies')"
          @update:model-value="(allergies) => change({ allergies })"
        />
        {{ t('safety.allergies') }}</label
      >
    </section>
    <section class="card group">
      <h2>{{ t('safety.hands') }}</h2>
      <label v-for="n in HAND_NEEDS" :key="n" class="in-row"
        ><Checkbox v-model="needs" :value="n" :aria-label="t(`safety.needs.${n}`)" />
        {{ t(`safety.needs.${n}`) }}</label
      >
    </section>
    <p class="quiet">{{ t('safety.rules') }}</p>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  gap: 8px;
  max-width: 46rem;
}
.group .in-row {
  min-height: 44px;
}
</style>
