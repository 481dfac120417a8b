<script setup lang="ts">
import type { MenuItem } from 'primevue/menuitem'
import { Menu, prepareMenu } from '../controls'

/** A menu that opens at the button that calls it. Its script is fetched when somebody first reaches for it. */
defineProps<{ model: MenuItem[]; long?: boolean }>()
const wanted = ref(false)
const menu = ref<{ toggle: (event: Event) => void } | null>(null)

/** Opens or closes it, as soon as it is there. The button is taken from the event at once, since an event forgets it. */
function toggle({ currentTarget }: Event): void {
  const open = (): void => menu.value?.toggle({ currentTarget } as Event)
  if (menu.value) return open()
  watch(menu, open, { once: true, flush: 'post' })
  wanted.value = true
}
/** Where a menu is scrolled, keys bring what they have come to into sight. */
function follow(): void {
  void nextTick(() => document.querySelector('.p-menu-item.p-focus')?.scrollIntoView({ block: 'nearest' }))
}
defineExpose({ toggle, prepare: prepareMenu })
</script>

<template>
  <Menu
    v-if="wanted"
    ref="menu"
    :class="{ 'in-columns': long }"
    :model="model"
    popup
    append-to="#main"
    @keydown="follow"
  />
</template>
