<script setup lang="ts">
import { hasMat, type RepresentationId } from '../../../core/door'

/** A material by its picture; written lines alone, which have no mat, are shown as blocks. */
const props = defineProps<{ id: RepresentationId }>()
const shown = computed(() => (hasMat(props.id) ? props.id : 'blocks'))
</script>

<template><MaterialThumb :id="shown" /></template>
