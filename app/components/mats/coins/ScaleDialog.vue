<script setup lang="ts">
import { CARD_EDGE } from '../../../composables/useTrueScale'

/** One measure of this screen, so that coins are as large as they are: a card is held to it, and the bar drawn as long. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const props = defineProps<{ perMm: number }>()
const emit = defineEmits<{ measured: [cardPixels: number] }>()
const length = ref(Math.round(props.perMm * CARD_EDGE))
function keep(): void {
  emit('measured', length.value)
  open.value = false
}
</script>

<template>
  <Dialog v-model:visible="open" modal header="How large is this screen?" :style="{ width: '46rem', maxWidth: '96vw' }">
    <p>Hold a bank card flat to the screen, and make the bar just as long. It is kept for this device.</p>
    <div class="room">
      <span class="card" :style="{ width: `${length}px` }" />
    </div>
    <label class="length"
      >Length of the bar
      <input v-model.number="length" type="range" min="200" max="1200" step="1" />
    </label>
    <div class="row">
      <button type="button" class="stone-button" @click="length -= 1">1 shorter</button>
      <button type="button" class="stone-button" @click="length += 1">1 longer</button>
      <button type="button" class="stone-button main" @click="keep">It is as long as the card</button>
    </div>
  </Dialog>
</template>

<style scoped>
.room {
  overflow-x: auto;
  padding: 1rem 0;
}
.card {
  display: block;
  height: 5rem;
  border: 3px solid var(--ink);
  border-radius: 10px;
  background: var(--paper-2);
}
.length {
  display: grid;
  gap: 0.3rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
  padding-top: 14px;
}
</style>
