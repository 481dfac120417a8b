<script setup lang="ts">
import { fieldOf, type SignField, SIGN_FIELDS } from '../../../core/door'

/**
 * Which way plus and minus go: four fields that fill themselves from what the class has worked. Only once all four stand does the card
 * say what they have in common.
 */
const bench = useBench()
const kept = useLocalStorage<Partial<Record<SignField, string>>>('sett.sign-card', {})
const FIELDS: Readonly<Record<SignField, { readonly title: string; readonly up: boolean }>> = {
  'add-plus': { title: 'add a plus', up: true },
  'add-minus': { title: 'add a minus', up: false },
  'take-plus': { title: 'take away a plus', up: false },
  'take-minus': { title: 'take away a minus', up: true },
}
watch(
  () => bench.stones,
  (stones) => {
    for (const { acts, lines, step } of stones) {
      const act = acts.at(-1)
      const field = act && fieldOf(act)
      const line = lines.findLast((l) => l.equation)?.text
      if (field && line && step === 'planned' && acts.length === 1) kept.value = { ...kept.value, [field]: line }
    }
  },
  { immediate: true },
)
const all = computed(() => SIGN_FIELDS.every((f) => kept.value[f]))
const fields = computed(() => SIGN_FIELDS.map((id) => ({ id, ...FIELDS[id], line: kept.value[id] ?? '' })))
</script>

<template>
  <section class="sign-card" aria-label="Up or down">
    <header>
      <h2>Up or down?</h2>
      <button v-if="fields.some((f) => f.line)" type="button" class="stone-button bare" @click="kept = {}">
        Begin anew
      </button>
    </header>
    <dl>
      <div v-for="f in fields" :key="f.id" :class="{ filled: f.line }">
        <dt>{{ f.title }}</dt>
        <dd class="learner">
          <template v-if="f.line"
            ><span class="way" aria-hidden="true">{{ f.up ? '↑' : '↓' }}</span
            ><span class="sr-only">{{ f.up ? 'goes up' : 'goes down' }}</span> <MathLine :line="f.line" /></template
          ><span v-else class="quiet">not worked yet</span>
        </dd>
      </div>
    </dl>
    <p v-if="all" class="learner rule">Taking away a minus is adding a plus. Taking away a plus is adding a minus.</p>
  </section>
</template>

<style scoped>
.sign-card {
  border-bottom: 1.5px solid var(--edge);
  background: var(--paper-2);
  padding: 6px 10px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 44px;
}
h2 {
  font-size: 1.05rem;
  margin: 0;
}
dl {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
  margin: 0;
}
dl > div {
  border: 1.5px dashed var(--edge);
  border-radius: 4px;
  padding: 2px 8px 4px;
  min-height: 52px;
}
dl > .filled {
  border-style: solid;
  background: var(--sheet);
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
  font-size: 1.1rem;
}
.way {
  font-weight: 700;
}
.rule {
  margin: 6px 0 0;
  font-weight: 700;
}
</style>
