<script setup lang="ts">
/** For hands that shake: a press counts once it has lasted so long, and not again for so long after. Keys and switches are left alone. */
const { hold, again } = defineProps<{ hold: number; again: number }>()
let downAt = 0
let lastAt = -Infinity
useEventListener(window, 'pointerdown', () => (downAt = performance.now()), { capture: true })
useEventListener(
  window,
  'click',
  (event: MouseEvent) => {
    // Clicks that a key or a script makes have no pointer behind them.
    if (!event.isTrusted || event.detail === 0) return
    const now = performance.now()
    if (now - downAt < hold || now - lastAt < again) {
      event.preventDefault()
      event.stopImmediatePropagation()
    } else lastAt = now
  },
  { capture: true },
)
</script>

<template>
  <span hidden />
</template>
