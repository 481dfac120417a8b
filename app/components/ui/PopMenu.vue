<script setup lang="ts">
import type { MenuItem } from 'primevue/menuitem'

/** A menu that opens at the button that calls it. */
defineProps<{ model: MenuItem[]; long?: boolean }>()
const menu = ref<{ toggle: (event: Event) => void } | null>(null)
const toggle = (event: Event): void => menu.value?.toggle(event)
/** Where a menu is scrolled, keys bring what they have come to into sight. */
function follow(): void {
  void nextTick(() => document.querySelector('.p-menu-item.p-focus')?.scrollIntoView({ block: 'nearest' }))
}
defineExpose({ toggle })
</script>

<template>
  <Menu ref="menu" :class="{ 'in-columns': long }" :model="model" popup append-to="#main" @keydown="follow" />
</template>
