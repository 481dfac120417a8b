<script setup lang="ts">
import type { Finger } from '../../../../core/door'
import { risingOrder } from '../../../../core/representation/fingers/order'
import type { Drawing, DrawingSays } from './drawing'
import type { FingerLook } from './TwoHands.vue'

/** Raised fingers, in the order in which this class raises them. */
const props = defineProps<Drawing>()
const emit = defineEmits<DrawingSays>()

const order = computed(() => risingOrder(props.setup.choices))
const up = computed(() => props.state.out + Math.abs(props.state.counted))
const rank = (finger: Finger): number => order.value.indexOf(finger)
function look(finger: Finger): FingerLook {
  const r = rank(finger)
  const isUp = r >= 0 && r < up.value
  return {
    up: isUp,
    missing: r < 0,
    now: props.newest && r >= 0 && r === up.value - 1,
    banded: isUp && props.state.counted === 0 && r >= props.first,
  }
}
const tap = (finger: Finger): void => (rank(finger) < up.value ? emit('less') : emit('more'))
</script>

<template>
  <TwoHands :look="look" :movable="movable" :label="`Hands: ${described}`" @tap="tap" />
</template>
