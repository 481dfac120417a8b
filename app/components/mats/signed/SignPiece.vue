<script setup lang="ts">
/** A plus counter is a cross, a minus counter a bar: told apart by their shape alone. A zero pair is both in one ring. */
defineProps<{ sign: 'plus' | 'minus' | 'pair' }>()
const CROSS = 'M15 5H25V15H35V25H25V35H15V25H5V15H15Z'
const BAR = 'M4 14H36V26H4Z'
</script>

<template>
  <svg viewBox="0 0 40 40" class="sign-piece" :class="sign" aria-hidden="true">
    <circle v-if="sign === 'pair'" cx="20" cy="20" r="18.6" />
    <g v-if="sign === 'pair'" transform="translate(20 20) scale(0.62)">
      <path transform="translate(-20 -35)" :d="CROSS" />
      <path transform="translate(-20 -3)" :d="BAR" />
    </g>
    <path v-else :d="sign === 'plus' ? CROSS : BAR" />
  </svg>
</template>

<style scoped>
.sign-piece {
  display: block;
  width: 100%;
  height: 100%;
  overflow: visible;
}
path {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 2.4;
  stroke-linejoin: round;
}
.minus path {
  fill: var(--piece-line);
  stroke: var(--piece);
}
.pair g path:last-child {
  fill: var(--piece-line);
  stroke: var(--piece);
}
circle {
  fill: none;
  stroke: var(--on-felt);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
</style>
