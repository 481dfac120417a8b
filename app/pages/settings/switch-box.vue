<script setup lang="ts">
/** A stand-in for a box with two switches: it presses them for any other window of Sett in this browser. */
const channel = new BroadcastChannel('sett-switch')
const held = reactive({ choose: false, step: false })
function set(which: 'choose' | 'step', down: boolean): void {
  if (held[which] === down) return
  held[which] = down
  channel.postMessage({ which, down })
}
onBeforeUnmount(() => channel.close())
const KEYS = { choose: 'Choose', step: 'Step' } as const
useHead({ title: 'Switch box – Sett' })
</script>

<template>
  <div class="place">
    <h1>Switch box</h1>
    <p>
      It stands in for two switches: one for choosing, one for stepping. Open Sett in another window of this browser,
      with a learner who works with switches at the bench.
    </p>
    <div class="box">
      <button
        v-for="(label, which) in KEYS"
        :key="which"
        type="button"
        :class="{ held: held[which] }"
        @pointerdown="set(which, true)"
        @pointerup="set(which, false)"
        @pointerleave="set(which, false)"
        @keydown.space.prevent="set(which, true)"
        @keyup.space="set(which, false)"
        @blur="set(which, false)"
      >
        {{ label }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.box {
  display: flex;
  flex-wrap: wrap;
  gap: 2rem;
  justify-content: center;
  padding: 2rem;
  background: var(--paper-2);
}
.box button {
  width: 220px;
  height: 220px;
  border-radius: 50%;
  border: 10px solid var(--ink);
  background: var(--clay);
  color: #fff;
  font-size: 1.8rem;
  font-weight: 700;
  cursor: pointer;
}
.box button:last-child {
  background: var(--moss);
  border-style: double;
}
.box .held {
  transform: translateY(6px);
}
</style>
