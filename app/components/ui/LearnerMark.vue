<script setup lang="ts">
import { markOf } from '../../../core/door'

/** A learner's own mark. It stands beside the name and never instead of it. */
const props = defineProps<{ name: string }>()
const mark = computed(() => markOf(props.name))
</script>

<template>
  <svg class="mark" :class="`ground-${mark.ground}`" viewBox="0 0 42 42" aria-hidden="true" focusable="false">
    <rect
      v-for="(s, i) in mark.stones"
      :key="i"
      :class="{ other: i === mark.other }"
      :x="s.x"
      :y="s.y"
      :width="s.width"
      height="13"
      rx="2"
    />
  </svg>
</template>

<style scoped>
.mark {
  width: 42px;
  height: 42px;
  flex: none;
  border-radius: 11px;
  background: var(--ground);
}
rect {
  fill: #f2dfb4;
}
.ground-0 {
  --ground: #1a2333;
  --other: #d8743f;
}
.ground-1 {
  --ground: #47672c;
  --other: #ffe08a;
}
.ground-2 {
  --ground: #7a2f62;
  --other: #f1bfe0;
}
.ground-3 {
  --ground: #a8481f;
  --other: #fffdf8;
}
.ground-4 {
  --ground: #465f59;
  --other: #ffe08a;
}
.ground-5 {
  --ground: #2c4f7c;
  --other: #a9d0f5;
}
rect.other {
  fill: var(--other);
}
</style>
