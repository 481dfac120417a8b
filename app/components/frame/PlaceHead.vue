<script setup lang="ts">
/** Above a page: the tabs of its place, who it is for where that matters, and on telephones Find and Settings. */
const { t } = useI18n()
const route = useRoute()
const session = useSession()
const find = useFind()
const place = computed(() => placeOf(route.path))
const tabs = computed(() => (place.value?.tabs ?? []).filter(({ role }) => !role || session.may(role)))
const here = computed(() => place.value && tabOf(place.value, route.path)?.id)
const picker = ref<{ open: () => void } | null>(null)
useKeys({ l: () => picker.value?.open(), '/': () => find.open() })
</script>

<template>
  <section class="place-head no-print" :aria-label="t('frame.above')">
    <nav v-if="tabs.length" :aria-label="t('frame.tabsOf', { place: t(`frame.${place!.id}`) })">
      <NuxtLink v-for="tab in tabs" :key="tab.id" :to="tab.to" :aria-current="tab.id === here ? 'true' : undefined">{{
        t(`frame.${tab.id}`)
      }}</NuxtLink>
    </nav>
    <span class="gap" />
    <LearnerPicker v-if="isForLearner(route.path)" ref="picker" />
    <span class="on-telephones">
      <Button severity="secondary" text :aria-label="t('frame.find')" @click="find.open()"><IconSearch /></Button>
      <NuxtLink :to="SETTINGS.to" :aria-label="t('frame.settings')"><IconSettings /></NuxtLink>
    </span>
  </section>
</template>

<style scoped>
.place-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 12px;
  padding: 0 clamp(12px, 2.5vw, 32px);
  border-bottom: 1px solid var(--line);
}
.place-head:not(:has(nav, .learner-picker)) {
  border: 0;
}
nav {
  display: flex;
  gap: 4px;
  min-width: 0;
  overflow-x: auto;
  scrollbar-width: none;
}
nav a {
  display: flex;
  align-items: center;
  justify-content: center;
  min-width: 48px;
  min-height: 52px;
  padding: 3px 14px 0;
  border-bottom: 3px solid transparent;
  color: var(--ink-soft);
  font-weight: 700;
  text-decoration: none;
  white-space: nowrap;
}
nav a:hover {
  color: var(--ink);
}
nav a[aria-current] {
  border-color: var(--clay);
  color: var(--ink);
}
nav a:focus-visible {
  outline-offset: -4px;
}
.gap {
  flex: 1;
}
.on-telephones {
  display: none;
  align-items: center;
}
.on-telephones a {
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
}
@media (max-width: 700px) {
  nav {
    order: 3;
    flex-basis: 100%;
  }
  nav a {
    min-height: 46px;
    padding-inline: 10px;
  }
  .on-telephones {
    display: flex;
  }
  .place-head:not(:has(nav, .learner-picker)) {
    position: absolute;
    right: 0;
    top: 14px;
    z-index: 2;
  }
}
</style>
