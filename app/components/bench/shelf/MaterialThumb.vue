<script setup lang="ts">
import { THUMBS, type ShelfId } from './thumbs'

/** A small drawing of one material’s mat. */
const props = defineProps<{ id: ShelfId }>()
const thumb = computed(() => THUMBS[props.id])
</script>

<template>
  <svg class="thumb" :class="thumb.ground" viewBox="0 0 96 64" aria-hidden="true" focusable="false">
    <path v-if="thumb.line" class="line" :d="thumb.line" />
    <path v-if="thumb.fill" class="fill" :d="thumb.fill" />
    <path v-if="thumb.thin" class="thin" :d="thumb.thin" />
    <text v-for="([x, y, said], i) in thumb.text" :key="i" :x="x" :y="y" text-anchor="middle">{{ said }}</text>
  </svg>
</template>

<style scoped>
.thumb {
  display: block;
  width: 100%;
  height: auto;
  border-radius: 3px;
}
.felt {
  background: var(--felt);
  --mark: var(--piece);
  --cut: var(--felt-2);
}
.paper {
  background: var(--sheet);
  outline: 1.5px solid var(--edge);
  outline-offset: -1.5px;
  --mark: var(--ink);
  --cut: var(--edge);
}
.fill {
  fill: var(--mark);
}
.line {
  fill: none;
  stroke: var(--mark);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.thin {
  fill: none;
  stroke: var(--cut);
  stroke-width: 1.5;
}
.felt .line + .thin {
  stroke: var(--mark);
}
text {
  fill: var(--mark);
  font: 700 17px var(--learner);
}
</style>
