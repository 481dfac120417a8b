<script setup lang="ts">
/** How far an arrow goes, over its middle. */
defineProps<{ sign: string; text: string; x: number; y: number }>()
</script>

<template>
  <g class="arrow-text">
    <text v-if="!text.includes('/')" :x="x" :y="y - 10" text-anchor="middle">{{ sign }}{{ text }}</text>
    <template v-else>
      <text :x="x - 22" :y="y - 16" text-anchor="middle">{{ sign }}</text>
      <StackedText :text="text" :x="x + 6" :y="y - 26" :size="17" />
    </template>
  </g>
</template>

<style scoped>
.arrow-text text {
  font: 700 24px var(--learner);
  fill: currentcolor;
}
</style>
