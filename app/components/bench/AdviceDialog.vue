<script setup lang="ts">
import { type Advice, adviseWays } from '../../../core/course/index'
import { capital, pretty, REPRESENTATIONS, wayById } from '../../../core/door'

/** Which way fits this problem and this learner: an ordered list with its reasons. The teacher decides. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const bench = useBench()
const losesTrack = useLocalStorage('sett.loses-track', false)
const advice = computed(() =>
  adviseWays(bench.bench.setup.problem, bench.bench.setup.choices, { losesTrack: losesTrack.value }),
)
function work(a: Advice): void {
  bench.ask(bench.problem, { material: a.representation, way: a.way })
  open.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    lang="en"
    modal
    :header="`Which way suits ${pretty(bench.problem)}?`"
    :style="{ width: '40rem', maxWidth: '94vw' }"
  >
    <label class="track"><input v-model="losesTrack" type="checkbox" /> The learner loses track on the way</label>
    <p v-if="advice.length === 0" class="quiet">
      This one is counted in steps or shown on the hands, so there is no other way to choose.
    </p>
    <ol class="advice">
      <li v-for="a in advice" :key="a.representation + a.way">
        <div>
          <strong>{{ capital(REPRESENTATIONS[a.representation].title) }}</strong>, {{ wayById(a.way).title }}
          <p>{{ pretty(a.why) }}</p>
        </div>
        <button
          type="button"
          class="stone-button"
          :aria-label="`Work it with ${REPRESENTATIONS[a.representation].called}, ${wayById(a.way).title}`"
          @click="work(a)"
        >
          Work it this way
        </button>
      </li>
    </ol>
    <p class="quiet">This is common practice. Any other way is just as welcome.</p>
  </Dialog>
</template>

<style scoped>
.track {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 44px;
}
.track input {
  width: 22px;
  height: 22px;
}
.advice {
  list-style: none;
  counter-reset: place;
  margin: 0 0 0.6rem;
  padding: 0;
}
.advice li {
  counter-increment: place;
  display: grid;
  grid-template-columns: 2rem 1fr auto;
  gap: 0.8rem;
  align-items: center;
  padding: 0.55rem 0;
  border-top: 1.5px solid var(--rule);
}
.advice li::before {
  content: counter(place);
  font: 700 1.3rem var(--learner);
  text-align: center;
}
</style>
