<script setup lang="ts">
/** A story, a sentence a line; read aloud with the word lit that is said. */
const { sentences } = defineProps<{ sentences: readonly string[] }>()
const { lit, speaking, speak, stop } = useVoice()
const text = computed(() => sentences.join(' '))
watch(text, stop)
/** Each line's words, with their numbers through the whole story. */
const lines = computed(() => {
  let at = 0
  return sentences.map((s) => s.split(/\s+/).map((word) => ({ word, at: at++ })))
})
</script>

<template>
  <div class="story">
    <p class="text learner" aria-live="polite">
      <span v-for="(line, i) in lines" :key="i"
        ><template v-for="w in line" :key="w.at"
          ><span :class="{ lit: w.at === lit }">{{ w.word }}</span
          >{{ ' ' }}</template
        ></span
      >
    </p>
    <div class="in-row acts">
      <button type="button" class="stone-button" @click="speaking ? stop() : speak(text, { silently: true })">
        <IconSquare v-if="speaking" /><IconVolume2 v-else />
        {{ speaking ? 'Stop reading' : 'Read it aloud' }}
      </button>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.story {
  display: grid;
  gap: 0.6rem;
  justify-items: start;
}
.text {
  display: grid;
  gap: 0.5rem;
  margin: 0;
  width: 100%;
  padding: 1.2rem 1.4rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  font-size: clamp(1.4rem, 2.4vw, 1.9rem);
  line-height: 1.4;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.lit {
  background: var(--ink);
  color: var(--sheet);
  border-radius: 3px;
  box-shadow: 0 0 0 3px var(--ink);
}
</style>
