<script setup lang="ts">
/** A story, a sentence a line; read aloud with the word lit that is said. */
const { sentences } = defineProps<{ sentences: readonly string[] }>()
const { t } = useI18n()
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
    <div class="in-row">
      <Button severity="secondary" @click="speaking ? stop() : speak(text, { silently: true })">
        <IconSquare v-if="speaking" /><IconVolume2 v-else />
        {{ t(speaking ? 'story.stop' : 'story.read') }}
      </Button>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.story {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.text {
  display: grid;
  gap: 0.5rem;
  font-size: clamp(1.4rem, 2.4vw, 1.9rem);
  line-height: 1.4;
}
.lit {
  background: var(--ink);
  color: var(--sheet);
  border-radius: 3px;
  box-shadow: 0 0 0 3px var(--ink);
}
</style>
