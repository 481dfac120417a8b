<script setup lang="ts">
import { capital, isRepresentation, matchOf, packOf, sayMatch } from '../../../core/door'
import { placesOf } from '../../utils/lit'

/** The mat of the material in hand, and where one is wanted a second beside it, worked in step. */
const props = defineProps<{ litPlaces: readonly number[]; newest: boolean; places: number }>()
const emit = defineEmits<{ refuse: [why: string]; say: [text: string]; beside: [] }>()

const bench = useBench()
const { t } = useI18n()
const { title, reason } = useNames()
const setup = computed(() => bench.bench.setup)
const now = computed(() => bench.bench.now)
const beside = computed(() => bench.second)
const besideMoment = computed(() => (setup.value.both ? now.value.second! : now.value))
/** What is lit on the second: the same columns, or where it is worked by hand its own newest. */
const besideLit = computed(() =>
  setup.value.both ? (now.value.second?.stones.last?.acts.flatMap(placesOf) ?? []) : props.litPlaces,
)
const titleOf = (id: string): string => (isRepresentation(id) ? capital(title(id)) : '')
/** What the second one waits for, or what is owed on it; in Alone only what is a matter of setting out. */
const quiet = computed(() => {
  if (!beside.value) return { text: '', lang: undefined }
  if (!setup.value.both)
    return reason(now.value.followers[beside.value]?.why ?? bench.stones.at(-1)?.waiting[beside.value] ?? '')
  const stone = now.value.second?.stones.last
  const atOnce = ['align', 'copy'].includes(stone?.owedKind ?? '')
  return { text: stone && (bench.bench.mode !== 'alone' || atOnce) ? stone.owed : '', lang: undefined }
})
/** What two representations worked by hand have and have not; in Alone Sett keeps quiet until the end. */
const matched = computed(() => {
  const match = matchOf(bench.bench)
  if (!match) return null
  if (bench.bench.mode === 'alone' && !bench.replaying && !bench.result.finished && !match.copied) return null
  return { agree: match.agree, said: sayMatch(match, packOf(setup.value.choices.words)) }
})
</script>

<template>
  <div class="mats" :class="{ two: beside }">
    <MatOf
      :id="setup.representation"
      :moment="now"
      :lit-places="litPlaces"
      :newest="newest"
      :places="places"
      @refuse="(why) => emit('refuse', why)"
      @say="(text) => emit('say', text)"
    />
    <section v-if="beside" class="second" :aria-label="t('beside.label', { title: titleOf(beside) })">
      <div class="bar">
        <button
          type="button"
          class="stone-button choice"
          aria-haspopup="dialog"
          :aria-label="t('beside.choose', { title: titleOf(beside) })"
          @click="emit('beside')"
        >
          {{ titleOf(beside) }}<span class="wedge" aria-hidden="true" />
        </button>
        <span v-if="bench.bench.mode !== 'show'" class="hands" role="group" :aria-label="t('beside.who')">
          <button
            type="button"
            class="stone-button"
            :aria-pressed="!setup.both"
            @click="bench.setBeside(beside, false)"
          >
            {{ t('beside.follows') }}
          </button>
          <button
            type="button"
            class="stone-button"
            :aria-pressed="setup.both !== null"
            @click="bench.setBeside(beside, true)"
          >
            {{ t('beside.byHand') }}
          </button>
        </span>
        <span class="gap" />
        <button type="button" class="stone-button bare" :aria-label="t('beside.away')" @click="bench.setBeside(null)">
          <IconX />
        </button>
      </div>
      <MatOf
        :id="beside"
        :moment="besideMoment"
        :lit-places="besideLit"
        :newest="newest"
        :places="places"
        @refuse="(why) => emit('refuse', why)"
        @say="(text) => emit('say', text)"
      />
      <p v-if="quiet.text" class="note" role="status" :lang="quiet.lang">{{ quiet.text }}</p>
    </section>
    <ul
      v-if="matched"
      class="match"
      :class="{ agree: matched.agree }"
      :aria-label="t('beside.inStep')"
      aria-live="polite"
    >
      <li v-for="line in matched.said.slice(0, 4)" :key="line">
        <span aria-hidden="true">{{ matched.agree ? '✓' : '↻' }}</span> {{ line }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.mats {
  height: 100%;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto;
}
.mats.two {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.second {
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  border-left: 3px solid var(--edge);
}
.bar {
  display: flex;
  gap: 6px;
  padding: 4px 6px;
  background: var(--paper-2);
  align-items: center;
}
.wedge {
  border: 6px solid transparent;
  border-top-color: currentcolor;
  translate: 0 3px;
}
.hands {
  display: flex;
}
.hands .stone-button {
  border-radius: 0;
  margin-left: -1.5px;
  padding: 0.2rem 0.6rem;
}
.gap {
  flex: 1;
}
.note {
  padding: 4px 10px;
  background: var(--paper-2);
  border-left: 6px solid var(--plum);
}
.match {
  grid-column: 1 / -1;
  list-style: none;
  margin: 0;
  padding: 5px 14px;
  background: var(--plum-wash);
  border-left: 6px solid var(--plum);
  color: var(--ink);
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.6rem;
}
.match.agree {
  background: var(--moss-wash);
  border-left-color: var(--moss);
}
@media (max-width: 700px) {
  .mats.two {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) minmax(0, 1fr) auto;
  }
  .second {
    border-left: 0;
    border-top: 3px solid var(--edge);
  }
}
</style>
