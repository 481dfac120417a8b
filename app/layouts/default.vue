<script setup lang="ts">
const classroom = useClassroom()
const { t } = useI18n()
useBenchLanguage()
const presenting = usePresenting()
const { wanted, stands } = useNotice()
const { access } = useAccess()
const SwitchScanner = defineAsyncComponent(() => import('../components/access/SwitchScanner.vue'))
const SteadyTouch = defineAsyncComponent(() => import('../components/access/SteadyTouch.vue'))
/** The switch box is pressed by hands, whoever is at the bench. */
const route = useRoute()
const scans = computed(() => access.value.switches > 0 && route.path !== '/switch-box')
</script>

<template>
  <div class="frame" :class="{ presenting }">
    <a class="skip" href="#main">{{ t('places.skip') }}</a>
    <header v-if="!presenting">
      <NuxtLink class="name" to="/" :aria-label="t('places.start')">
        <svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
          <g fill="currentColor">
            <rect x="2" y="5" width="17" height="10" rx="1.5" />
            <rect x="21" y="5" width="9" height="10" rx="1.5" />
            <rect x="2" y="17" width="9" height="10" rx="1.5" />
          </g>
          <rect x="13" y="17" width="17" height="10" rx="1.5" fill="var(--clay)" />
        </svg>
        Sett
      </NuxtLink>
      <nav v-if="classroom.classroom" :aria-label="t('places.label')">
        <NuxtLink to="/today">{{ t('places.today') }}</NuxtLink>
        <NuxtLink to="/courses">{{ t('places.courses') }}</NuxtLink>
        <NuxtLink to="/cupboard">{{ t('places.cupboard') }}</NuxtLink>
        <NuxtLink to="/paper">{{ t('places.paper') }}</NuxtLink>
        <NuxtLink to="/bench">{{ t('places.bench') }}</NuxtLink>
        <NuxtLink to="/daybook">{{ t('places.daybook') }}</NuxtLink>
        <NuxtLink to="/learners">{{ t('places.learners') }}</NuxtLink>
        <NuxtLink to="/rehearse">{{ t('places.rehearse') }}</NuxtLink>
        <NuxtLink to="/marking">{{ t('places.marking') }}</NuxtLink>
      </nav>
      <span class="gap" />
      <ClassMenu v-if="classroom.classroom" />
    </header>
    <main id="main" tabindex="-1"><slot /></main>
    <SwitchScanner v-if="scans" :access="access" />
    <SteadyTouch v-if="access.hold > 0 || access.again > 0" :hold="access.hold" :again="access.again" />
    <Toast v-if="wanted" position="top-center" @vue:mounted="stands" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: 52px minmax(0, 1fr);
  height: 100%;
}
.frame.presenting {
  grid-template-rows: minmax(0, 1fr);
}
header {
  display: flex;
  align-items: center;
  gap: 1.25rem;
  padding: 0 1rem;
  border-bottom: 1.5px solid var(--edge);
}
.name {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
  min-width: 44px;
  justify-content: center;
  font-weight: 700;
  font-size: 1.2rem;
  text-decoration: none;
}
nav {
  display: flex;
  height: 100%;
  min-width: 0;
  overflow-x: auto;
  scrollbar-width: none;
}
nav a {
  display: flex;
  align-items: center;
  padding: 0 0.9rem;
  text-decoration: none;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
}
nav a:hover {
  background: var(--paper-2);
}
nav a.router-link-active {
  border-bottom-color: var(--clay);
  font-weight: 700;
}
.gap {
  flex: 1;
}
main {
  min-height: 0;
  overflow: auto;
}
main:focus {
  outline: none;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 1rem;
  top: 0.5rem;
  z-index: 20;
  background: var(--sheet);
  padding: 0.5rem 1rem;
}
@media (max-width: 600px) {
  header {
    gap: 0.3rem;
    padding: 0 0.5rem;
  }
  .name {
    font-size: 0;
    gap: 0;
  }
  nav a {
    padding: 0 0.55rem;
  }
}
@media (max-width: 430px) {
  header {
    gap: 0;
    padding: 0 0.2rem;
  }
  nav a {
    padding: 0 0.36rem;
    font-size: 0.95rem;
  }
}
</style>
