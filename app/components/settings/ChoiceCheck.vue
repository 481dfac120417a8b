<script setup lang="ts">
/** One choice that is on or off. */
defineProps<{ checked: boolean }>()
const emit = defineEmits<{ set: [on: boolean] }>()
</script>

<template>
  <label class="check"
    ><input type="checkbox" :checked="checked" @change="(e) => emit('set', (e.target as HTMLInputElement).checked)" />
    <slot
  /></label>
</template>
