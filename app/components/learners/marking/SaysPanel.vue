<script setup lang="ts">
import { procedureById, type Diagnosis, type Ranked } from '../../../../core/diagnose/index'
import { capitalised, leading, likely, nameOfBug, saidInWords } from '../../../utils/saidOf'

/** What a page of answers says: the likeliest explanation with what speaks for and against it, then the others. */
const { diagnosis, count } = defineProps<{ diagnosis: Diagnosis; count: number }>()
defineEmits<{ show: [ranked: Ranked] }>()

const top = computed(() => leading(diagnosis))
const others = computed(() => diagnosis.ranked.filter((r) => r !== top.value && r.probability >= 0.01).slice(0, 5))
const knowns = computed(() => top.value?.bug.flatMap((id) => procedureById(id) ?? []) ?? [])
const lines = (all: readonly number[]): string => all.map((i) => i + 1).join(', ')
const answered = computed(() => count - diagnosis.blank.length)
const materials = (ids: readonly string[]): string => ids.map(nameOfMaterial).join(', then ')
</script>

<template>
  <section class="says" aria-label="What the answers say">
    <p class="lead" role="status">{{ saidInWords(diagnosis, count) }}</p>
    <article v-if="top" class="top">
      <p class="bar" :aria-label="likely(top.probability)">
        <span class="fill" :style="{ width: `${Math.round(100 * top.probability)}%` }" /><b>{{
          likely(top.probability)
        }}</b>
      </p>
      <dl>
        <dt>Explains</dt>
        <dd>
          {{ top.explains.length }} of {{ diagnosis.wrong.length }} wrong answers<template v-if="top.explains.length">
            (lines {{ lines(top.explains) }})</template
          >
        </dd>
        <template v-if="top.contradicts.length">
          <dt>Speaks against it</dt>
          <dd>
            {{ top.contradicts.length === 1 ? 'Line' : 'Lines' }} {{ lines(top.contradicts) }} would have come out
            otherwise.
          </dd>
        </template>
        <template v-if="top.same.length">
          <dt>Not told apart yet</dt>
          <dd>
            On these problems the same answers come from:
            <ul>
              <li v-for="bug in top.same" :key="bug.join()">{{ nameOfBug(bug) }}</li>
            </ul>
          </dd>
        </template>
        <template v-for="known in knowns" :key="known.id">
          <dt>Looks like</dt>
          <dd class="learner">{{ known.looks }}</dd>
          <dt>Show again</dt>
          <dd>{{ known.show.reteach }} First with {{ materials(known.show.materials) }}.</dd>
          <dt>Source</dt>
          <dd class="quiet">{{ known.source }}</dd>
        </template>
      </dl>
      <button type="button" class="stone-button main" @click="$emit('show', top)">Show where it parts</button>
    </article>
    <p v-if="diagnosis.slips.length" class="slips">
      {{ diagnosis.slips.length === 1 ? 'Line' : 'Lines' }} {{ lines(diagnosis.slips) }}
      {{ diagnosis.slips.length === 1 ? 'looks' : 'look' }} like a slip.
    </p>
    <details v-if="others.length || diagnosis.none.probability >= 0.01">
      <summary>Other explanations</summary>
      <ul class="others">
        <li v-for="r in others" :key="r.bug.join()">
          <span>{{ capitalised(r.bug) }}</span>
          <span class="quiet">{{ likely(r.probability) }}</span>
          <button
            type="button"
            class="stone-button bare"
            :aria-label="`Show ${nameOfBug(r.bug)}`"
            @click="$emit('show', r)"
          >
            Show
          </button>
        </li>
        <li>
          <span>None of these: right but for slips</span><span class="quiet">{{ likely(diagnosis.none.careful) }}</span>
        </li>
        <li>
          <span>None of these: guessed, or in a way not known here</span
          ><span class="quiet">{{ likely(diagnosis.none.other) }}</span>
        </li>
      </ul>
    </details>
    <p class="quiet small">
      {{ answered }} answers were weighed. They say how these answers may have come about, and nothing of the learner
      besides: watch, ask, and decide.
    </p>
  </section>
</template>

<style scoped>
.says {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
.lead {
  margin: 0;
  font-size: 1.25rem;
  font-weight: 700;
  line-height: 1.3;
}
.top {
  display: grid;
  gap: 0.7rem;
  justify-items: start;
}
.bar {
  position: relative;
  margin: 0;
  width: 100%;
  min-height: 2rem;
  border: 1.5px solid var(--edge);
  background: var(--sheet);
  display: flex;
  align-items: center;
}
.fill {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--clay-wash);
  border-right: 4px solid var(--clay);
}
.bar b {
  position: relative;
  padding: 0 0.6rem;
}
dl {
  display: grid;
  grid-template-columns: 8.5rem minmax(0, 1fr);
  gap: 0.35rem 0.8rem;
  margin: 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
dd ul {
  margin: 0.2rem 0 0;
  padding-left: 1.1rem;
}
.slips {
  margin: 0;
}
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  font-weight: 700;
}
.others {
  list-style: none;
  margin: 0;
  padding: 0;
}
.others li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.8rem;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  border-bottom: 1px solid var(--rule);
}
.small {
  font-size: 0.95rem;
}
@media (max-width: 480px) {
  dl {
    grid-template-columns: 1fr;
  }
}
</style>
