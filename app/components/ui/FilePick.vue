<script setup lang="ts">
/** A button by which a file of this computer is chosen; the same file can be chosen again once it is mended. */
defineProps<{ label: string; accept: string }>()
const emit = defineEmits<{ pick: [file: File] }>()
const { files, open, reset, onChange } = useFileDialog({ multiple: false })
onChange(() => {
  const file = files.value?.[0]
  if (file) emit('pick', file)
  reset()
})
</script>

<template>
  <Button type="button" severity="secondary" :label="label" @click="open({ accept })" />
</template>
