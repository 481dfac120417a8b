<script setup lang="ts">
/** The keypad of the column sheet: digits and the marks. */
defineProps<{ onTop: boolean }>()
const { t } = useI18n()
const emit = defineEmits<{ digit: [n: number]; strike: []; small: [] }>()
</script>

<template>
  <div class="pad" role="group" :aria-label="t('sheet.pad')">
    <button
      v-for="n in [1, 2, 3, 4, 5, 6, 7, 8, 9, 0]"
      :key="n"
      type="button"
      class="stone-button"
      @mousedown.prevent
      @click="emit('digit', n)"
    >
      {{ n }}
    </button>
    <button
      type="button"
      class="stone-button"
      :disabled="!onTop"
      :aria-label="t('sheet.strike')"
      @mousedown.prevent
      @click="emit('strike')"
    >
      <s>5</s>
    </button>
    <button
      type="button"
      class="stone-button"
      :disabled="!onTop"
      :aria-label="t('sheet.small')"
      @mousedown.prevent
      @click="emit('small')"
    >
      <small>1</small><span class="box" />
    </button>
  </div>
</template>

<style scoped>
.pad {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  justify-content: center;
  font-family: var(--learner);
  max-width: 330px;
}
.pad .stone-button {
  padding: 0;
  width: 48px;
  font-size: 1.15rem;
}
.box {
  width: 0.7em;
  height: 1em;
  border: 1.5px dashed currentColor;
}
s {
  text-decoration-thickness: 2px;
  text-decoration-color: var(--clay);
}
</style>
