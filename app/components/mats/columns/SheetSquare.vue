<script setup lang="ts">
/** One square of the sheet: a button where one may write, plain paper elsewhere. */
defineProps<{ writable: boolean; label: string }>()
</script>

<template>
  <button v-if="writable" type="button" class="square" :aria-label="label"><slot /></button>
  <span v-else><slot /></span>
</template>
