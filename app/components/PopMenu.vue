<script setup lang="ts">
import type { MenuItem } from 'primevue/menuitem'

/** A menu that opens at the button that calls it. Its script is fetched when somebody first reaches for it. */
defineProps<{ model: MenuItem[] }>()
const load = () => import('primevue/menu')
const LazyMenu = defineAsyncComponent(load)
const wanted = ref(false)
const menu = ref<{ toggle: (event: Event) => void } | null>(null)

/** Opens or closes it, as soon as it is there. The button is taken from the event at once, since an event forgets it. */
function toggle({ currentTarget }: Event): void {
  const open = (): void => menu.value?.toggle({ currentTarget } as Event)
  if (menu.value) return open()
  watch(menu, open, { once: true, flush: 'post' })
  wanted.value = true
}
defineExpose({ toggle, prepare: () => void load() })
</script>

<template>
  <LazyMenu v-if="wanted" ref="menu" :model="model" popup append-to="#main" />
</template>
