<script setup lang="ts">
import { adviseWays, board, MOST_PANELS } from '../../../core/course/index'
import {
  attempt,
  heldBy,
  parseProblem,
  pretty,
  printExact,
  printProblem,
  type RepresentationId,
  type WayId,
  withDefaults as choicesWith,
} from '../../../core/door'

/** The same problem by up to four ways side by side, each complete, the answers compared. */
interface Chosen {
  representation: RepresentationId
  way?: WayId
}
const classroom = useClassroom()
const route = useRoute()
const asked = ref(typeof route.query.problem === 'string' ? route.query.problem : '52 - 37')
const text = ref(pretty(asked.value))
const trouble = ref('')
const choices = computed(() => choicesWith({ words: classroom.words, ...classroom.hands }))

/** The ways that fit best, on different materials; then whatever else can hold the problem. */
function firstChoice(problem: string): Chosen[] {
  const read = parseProblem(problem)
  const found: Chosen[] = []
  for (const { representation, way } of adviseWays(read, choices.value, { losesTrack: false }))
    if (!found.some((c) => c.representation === representation)) found.push({ representation, way })
  for (const representation of heldBy(read, choices.value))
    if (!found.some((c) => c.representation === representation)) found.push({ representation })
  return found.slice(0, MOST_PANELS)
}
const chosen = ref<Chosen[]>([])
function ask(): void {
  const read = attempt(() => firstChoice(printProblem(parseProblem(text.value))))
  if ('refused' in read) {
    trouble.value = read.refused.message
    return
  }
  trouble.value = ''
  asked.value = printProblem(parseProblem(text.value))
  chosen.value = read.ok
}
ask()

const laid = computed(() => {
  const made = attempt(() => board(asked.value, chosen.value, choices.value))
  return 'ok' in made ? made.ok : { panels: [], agree: false }
})
const change = (i: number, to: Chosen): void => void (chosen.value = chosen.value.map((c, j) => (j === i ? to : c)))
const NUMBERS = ['', 'One way says', 'Both ways say', 'All three ways say', 'All four ways say']
useHead({ title: 'Several ways on one board – Sett' })
</script>

<template>
  <div class="board">
    <h1 class="sr-only">Several ways on one board</h1>
    <form class="ask" novalidate @submit.prevent="ask">
      <NuxtLink class="stone-button" to="/bench">Bench</NuxtLink>
      <label class="sr-only" for="board-problem">Problem</label>
      <InputText
        id="board-problem"
        v-model="text"
        class="learner"
        autocomplete="off"
        :aria-invalid="trouble !== ''"
        :aria-describedby="trouble ? 'board-trouble' : undefined"
      />
      <button type="submit" class="stone-button main">Start</button>
      <p v-if="trouble" id="board-trouble" class="trouble" role="alert">{{ trouble }}</p>
      <p v-else-if="laid.panels.length > 0" class="said learner" :class="{ agree: laid.agree }" role="status">
        <span aria-hidden="true">{{ laid.agree ? '✓' : '↻' }}</span>
        {{
          laid.agree ? `${NUMBERS[laid.panels.length]} ${printExact(laid.panels[0]!.reads)}.` : 'The ways do not agree.'
        }}
      </p>
      <p v-else class="said" role="status">No material here holds this problem.</p>
    </form>
    <div class="panels">
      <WayPanel
        v-for="(panel, i) in laid.panels"
        :key="`${i}${panel.representation}${asked}`"
        :panel="panel"
        :number="i + 1"
        @material="(representation) => change(i, { representation })"
        @way="(way) => change(i, { representation: panel.representation, way })"
      />
    </div>
  </div>
</template>

<style scoped>
.board {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  padding: 9px 14px;
  border-bottom: 1.5px solid var(--edge);
}
.ask :deep(#board-problem) {
  width: 14rem;
  font-size: 1.4rem;
  font-weight: 700;
  padding-top: 0;
  padding-bottom: 0;
}
.said {
  margin-left: auto;
  font-size: 1.4rem;
  padding: 0.2rem 0.9rem;
  border-left: 6px solid var(--plum);
  background: var(--plum-wash);
}
.said.agree {
  border-left-color: var(--moss);
  background: var(--moss-wash);
}
.trouble {
  flex: 1;
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
.panels {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  grid-auto-rows: minmax(0, 1fr);
  gap: 10px;
  padding: 10px;
  min-height: 0;
}
@media (max-width: 700px) {
  .panels {
    grid-template-columns: minmax(0, 1fr);
    grid-auto-rows: 340px;
    overflow: auto;
  }
}
</style>
