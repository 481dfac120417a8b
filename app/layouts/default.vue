<script setup lang="ts">
const classroom = useClassroom()
const { t } = useI18n()
useBenchLanguage()
const presenting = usePresenting()
const { access } = useAccess()
const { wanted, stands } = useNotice()
const { wanted: findWanted, open: openFind } = useFind()
const SwitchScanner = defineAsyncComponent(() => import('../components/access/SwitchScanner.vue'))
const SteadyTouch = defineAsyncComponent(() => import('../components/access/SteadyTouch.vue'))
const FindBox = defineAsyncComponent(() => import('../components/frame/FindBox.vue'))
const route = useRoute()
const atBench = computed(() => route.path === '/bench')
/** The start and signing in stand by themselves, and so does the Bench of somebody who has one thing at a time. */
const framed = computed(
  () =>
    classroom.classroom !== null &&
    placeOf(route.path) !== undefined &&
    !presenting.value &&
    !(atBench.value && access.value.single),
)
/** A learner who works with switches is not led away from the Bench by them. */
const learnerWorks = computed(() => atBench.value && classroom.learner !== null)
/** The switch box is pressed by hands, whoever is at the bench. */
const scans = computed(() => access.value.switches > 0 && route.path !== '/settings/switch-box')

useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey || !framed.value) return
  event.preventDefault()
  openFind()
})
</script>

<template>
  <div class="frame" :class="{ framed, 'at-bench': atBench }">
    <a class="skip" href="#main">{{ t('frame.skip') }}</a>
    <PlaceRail v-if="framed" :narrow="atBench" :data-scan="learnerWorks ? 'never' : 'last'" />
    <div class="paper">
      <PlaceHead v-if="framed && !atBench" data-scan="last" />
      <main id="main" tabindex="-1"><slot /></main>
    </div>
    <SwitchScanner v-if="scans" :access="access" />
    <SteadyTouch v-if="access.hold > 0 || access.again > 0" :hold="access.hold" :again="access.again" />
    <FindBox v-if="findWanted" v-model:open="findWanted" />
    <LazyToast v-if="wanted" position="top-center" @vue:mounted="stands" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr);
  height: 100%;
}
.frame.framed {
  grid-template-columns: 92px minmax(0, 1fr);
}
.frame.framed.at-bench {
  grid-template-columns: 64px minmax(0, 1fr);
}
.paper {
  position: relative;
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  min-width: 0;
  min-height: 0;
}
main {
  grid-row: 2;
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
/* On telephones the places stand in a bar at the foot. */
@media (max-width: 700px) {
  .frame.framed,
  .frame.framed.at-bench {
    grid-template: minmax(0, 1fr) auto / minmax(0, 1fr);
  }
  .frame.framed > .rail {
    grid-row: 2;
  }
  .frame.framed > .paper {
    grid-row: 1;
  }
}
</style>
