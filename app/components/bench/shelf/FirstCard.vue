<script setup lang="ts">
import { capital } from '../../../../core/door'
import type { ShelfId } from './thumbs'

/** The card of a material that comes out for the first time; it stands beside the mat until it is put away. */
defineProps<{ id: ShelfId }>()
const { t } = useI18n()
const { title } = useNames()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <section class="first" :aria-label="t('help.how', { title: title(id) })">
    <header>
      <h2>{{ t('help.byHand', { title: capital(title(id)) }) }}</h2>
      <button type="button" class="stone-button" @click="emit('close')">{{ t('help.gotIt') }}</button>
    </header>
    <HandCard :id="id" />
    <p class="quiet">{{ t('help.again') }}</p>
  </section>
</template>

<style scoped>
.first {
  background: var(--sheet);
  border-bottom: 3px solid var(--clay);
  padding: 10px 14px;
  container: card / inline-size;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
  gap: 0.6rem;
}
h2 {
  font-size: 1.1rem;
}
</style>
