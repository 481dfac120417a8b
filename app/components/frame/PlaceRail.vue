<script setup lang="ts">
import { CalendarDays, LayoutGrid, Map, RotateCcw, Users } from '@lucide/vue'

/** The five places, with Find and Settings at the foot; a bar at the foot of the screen on telephones. */
const props = defineProps<{ narrow: boolean }>()
const { t } = useI18n()
const route = useRoute()
const find = useFind()
const ICONS = { today: CalendarDays, plan: Map, bench: LayoutGrid, learners: Users, practice: RotateCcw } as const
const here = computed(() => placeOf(route.path)?.id)
const currentOf = (id: string): 'true' | undefined => (id === here.value ? 'true' : undefined)
/** On the Bench names are told by tooltips only, and to screen readers. */
const tip = (id: string): string | undefined => (props.narrow ? t(`frame.${id}`) : undefined)
</script>

<template>
  <header class="rail" :class="{ narrow }">
    <NuxtLink class="name" to="/today" :aria-label="t('frame.home')">
      <svg viewBox="0 0 40 34" width="40" height="34" aria-hidden="true">
        <g fill="#f6f1e6">
          <rect x="1" y="3" width="22" height="13" rx="2.5" />
          <rect x="26" y="3" width="13" height="13" rx="2.5" />
          <rect x="1" y="19" width="13" height="13" rx="2.5" />
        </g>
        <rect x="17" y="19" width="22" height="13" rx="2.5" fill="var(--rail-clay)" />
      </svg>
    </NuxtLink>
    <nav :aria-label="t('frame.places')">
      <NuxtLink
        v-for="{ id, to } in PLACES"
        :key="id"
        v-tooltip.right="tip(id)"
        class="item"
        :to="to"
        :aria-current="currentOf(id)"
      >
        <component :is="ICONS[id as keyof typeof ICONS]" /><span>{{ t(`frame.${id}`) }}</span>
      </NuxtLink>
    </nav>
    <span class="gap" />
    <Button v-tooltip.right="tip('find')" unstyled class="item" aria-keyshortcuts="Control+k" @click="find.open()">
      <IconSearch /><span>{{ t('frame.find') }}</span>
    </Button>
    <NuxtLink v-tooltip.right="tip('settings')" class="item" :to="SETTINGS.to" :aria-current="currentOf('settings')">
      <IconSettings /><span>{{ t('frame.settings') }}</span>
    </NuxtLink>
  </header>
</template>

<style scoped>
.rail,
nav {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 4px;
}
.rail {
  min-height: 0;
  padding: 14px 0 12px;
  overflow: hidden auto;
  scrollbar-width: none;
  background: var(--rail);
  color: var(--rail-ink);
}
.name {
  display: grid;
  place-items: center;
  min-width: 44px;
  min-height: 44px;
  margin-bottom: 6px;
}
.item {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 4px;
  width: 76px;
  min-height: 60px;
  padding: 0;
  border: 0;
  border-radius: 12px;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 0.85rem;
  line-height: 1.2;
  text-decoration: none;
  cursor: pointer;
}
.item .lucide {
  width: 22px;
  height: 22px;
  stroke-width: 1.75;
}
.item:hover {
  background: rgb(255 255 255 / 10%);
}
.item[aria-current] {
  background: var(--rail-here);
  color: var(--rail-here-ink);
  font-weight: 700;
}
.item[aria-current] .lucide {
  color: var(--clay);
}
.rail :focus-visible {
  outline-color: var(--focus-on-felt);
  outline-offset: -3px;
}
.item[aria-current]:focus-visible {
  outline-color: var(--focus);
}
.gap {
  flex: 1;
}
.narrow .item {
  width: 52px;
  min-height: 48px;
}
.narrow .item span {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
/* Where the system gives its own colours, the rail has its ground and ink. */
@media (forced-colors: active) {
  .rail {
    background: Canvas;
    color: CanvasText;
    border-right: 1px solid CanvasText;
  }
  .item {
    color: CanvasText;
  }
  .item[aria-current] {
    forced-color-adjust: none;
    background: Highlight;
    color: HighlightText;
  }
}
@media (max-height: 560px) {
  .rail {
    padding-block: 6px;
  }
  .item {
    min-height: 52px;
    gap: 2px;
  }
}
@media (max-width: 700px) {
  .rail {
    padding: 0 4px;
  }
  .rail,
  nav {
    flex-direction: row;
    justify-content: space-around;
  }
  nav {
    flex: 1;
  }
  .name,
  .gap,
  .rail > .item {
    display: none;
  }
  .item,
  .narrow .item {
    width: auto;
    flex: 1;
    max-width: 84px;
    min-height: 56px;
    font-size: 0.8rem;
  }
  .narrow .item span {
    position: static;
    width: auto;
    height: auto;
    clip-path: none;
  }
}
</style>
