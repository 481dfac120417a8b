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
/** The places of the site, each with all pages that belong to it; its first is where its link leads. */
const PLACES = [
  ['today', ['/today', '/lesson']],
  ['courses', ['/courses', '/course', '/problems']],
  ['cupboard', ['/cupboard']],
  ['paper', ['/paper', '/embosser']],
  ['bench', ['/bench', '/board', '/missing', '/spinner', '/stall', '/chains', '/braille', '/stories', '/notches']],
  ['daybook', ['/daybook']],
  ['learners', ['/learners', '/learner', '/progress', '/timeline', '/report', '/note']],
  ['rehearse', ['/rehearse', '/facts']],
  ['marking', ['/marking']],
] as const
const isHere = (paths: readonly string[]): boolean =>
  paths.some((p) => route.path === p || route.path.startsWith(`${p}/`))
/** A learner who works with switches is not led away from the Bench by them. */
const learnerWorks = computed(() => route.path === '/bench' && classroom.learner !== null)
const scans = computed(() => access.value.switches > 0 && route.path !== '/switch-box')
</script>

<template>
  <div class="frame" :class="{ presenting }">
    <a class="skip" href="#main">{{ t('places.skip') }}</a>
    <header v-if="!presenting" :data-scan="learnerWorks ? 'never' : 'last'">
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
        <NuxtLink
          v-for="[place, paths] in PLACES"
          :key="place"
          :to="paths[0]!"
          :class="{ here: isHere(paths) }"
          :aria-current="isHere(paths) ? 'true' : undefined"
          >{{ t(`places.${place}`) }}</NuxtLink
        >
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
nav a.here {
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
/* In a narrow window the places stand in rows: none is out of sight. */
@media (max-width: 1100px) {
  nav a {
    padding-inline: 0.45rem;
  }
}
@media (max-width: 900px) {
  .frame {
    grid-template-rows: auto minmax(0, 1fr);
  }
  header {
    flex-wrap: wrap;
    row-gap: 0;
    padding-block: 2px;
  }
  nav {
    order: 3;
    flex-basis: 100%;
    flex-wrap: wrap;
    height: auto;
    overflow: visible;
  }
  nav a {
    min-height: 44px;
    padding-inline: 0.7rem;
  }
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
