<script setup lang="ts">
/** One block drawn from its place: size, outline and grid tell which it is; colour does not. */
defineProps<{ place: number; unit: number }>()
</script>

<template>
  <span class="block" :class="`place-${place}`" :style="{ '--u': `${unit}px` }" aria-hidden="true" />
</template>

<style scoped>
.block {
  display: block;
  position: relative;
  background-color: var(--piece);
  border: max(1.5px, calc(var(--u) * 0.07)) solid var(--piece-line);
  border-radius: calc(var(--u) * 0.12);
  --cut: max(1px, calc(var(--u) * 0.05));
  --soft: color-mix(in srgb, var(--piece-line) 55%, var(--piece));
  --across: linear-gradient(to bottom, transparent calc(var(--u) - var(--cut)), var(--soft) 0);
  --down: linear-gradient(to right, transparent calc(var(--u) - var(--cut)), var(--soft) 0);
}
.place-0 {
  width: var(--u);
  height: var(--u);
  box-shadow: inset calc(var(--u) * -0.12) calc(var(--u) * -0.12) 0
    color-mix(in srgb, var(--piece-line) 22%, var(--piece));
}
.place-1 {
  width: var(--u);
  height: calc(var(--u) * 10);
  background-image: var(--across);
  background-size: 100% 10%;
  background-clip: padding-box;
  box-shadow: inset calc(var(--u) * -0.14) 0 0 color-mix(in srgb, var(--piece-line) 18%, var(--piece));
}
.place-2,
.place-3 {
  width: calc(var(--u) * 10);
  height: calc(var(--u) * 10);
  background-image: var(--across), var(--down);
  background-size: 10% 10%;
}
.place-3 {
  margin-top: calc(var(--u) * 2);
}
.place-3::before,
.place-3::after {
  content: '';
  position: absolute;
  background: color-mix(in srgb, var(--piece-line) 24%, var(--piece));
  border: max(1.5px, calc(var(--u) * 0.07)) solid var(--piece-line);
}
.place-3::before {
  left: -2px;
  right: -2px;
  bottom: 100%;
  height: calc(var(--u) * 2);
  transform: skewX(-45deg);
  transform-origin: bottom;
}
.place-3::after {
  left: 100%;
  top: -2px;
  bottom: -2px;
  width: calc(var(--u) * 2);
  transform: skewY(-45deg);
  transform-origin: left;
}
</style>
