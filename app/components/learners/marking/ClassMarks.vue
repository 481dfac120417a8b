<script setup lang="ts">
import type { ClassTable, Diagnosis } from '../../../../core/diagnose/index'
import { pretty } from '../../../../core/door'
import { marksAsCsv } from '../../../utils/answersTable'
import { leading, likely, nameOfBug } from '../../../utils/saidOf'

/** A class marked: how each answer stands, who shares a way of working, and all of it as a file. */
const { table, said } = defineProps<{ table: ClassTable; said: readonly Diagnosis[] }>()
defineEmits<{ open: [learner: number] }>()

type By = 'name' | 'wrong' | 'way'
const by = ref<By>('way')
const hardest = ref(false)
/** So many learners are drawn at once: a school's table would keep the page waiting. */
const ROWS = 40
const rows = ref(ROWS)

const state = (learner: number, problem: number): 'right' | 'explained' | 'wrong' | 'blank' => {
  const d = said[learner]!
  if (d.blank.includes(problem)) return 'blank'
  if (!d.wrong.includes(problem)) return 'right'
  return leading(d)?.explains.includes(problem) ? 'explained' : 'wrong'
}
const SIGN = { right: '·', explained: '◆', wrong: '○', blank: '' } as const
const STANDS = { right: 'right', explained: 'wrong, as the procedure has it', wrong: 'wrong', blank: 'blank' } as const
const wayOf = (learner: number): string => {
  const top = leading(said[learner]!)
  return top ? nameOfBug(top.bug) : ''
}
/** Where no procedure is seen: whether there was anything to see it in. */
function plainly(learner: number): string {
  const { blank, wrong } = said[learner]!
  if (blank.length === table.problems.length) return 'nothing answered'
  return wrong.length === 0 ? 'all right' : 'no procedure seen'
}
const learners = computed(() => {
  const all = table.learners.map((_, i) => i)
  const byName = (a: number, b: number): number => table.learners[a]!.name.localeCompare(table.learners[b]!.name)
  if (by.value === 'name') return all.sort(byName)
  if (by.value === 'wrong') return all.sort((a, b) => said[b]!.wrong.length - said[a]!.wrong.length || byName(a, b))
  return all.sort((a, b) => wayOf(b).localeCompare(wayOf(a)) || byName(a, b))
})
const wrongs = computed(() => table.problems.map((_, p) => said.filter((d) => d.wrong.includes(p)).length))
const problems = computed(() => {
  const all = table.problems.map((_, i) => i)
  return hardest.value ? all.sort((a, b) => wrongs.value[b]! - wrongs.value[a]!) : all
})
/** Groups for tomorrow: who shares a procedure. */
const groups = computed(() => {
  const found = new Map<string, number[]>()
  for (const i of said.keys()) if (wayOf(i)) found.set(wayOf(i), [...(found.get(wayOf(i)) ?? []), i])
  return [...found].sort((a, b) => b[1].length - a[1].length)
})
const asFile = (): void => download('sett-marks.csv', marksAsCsv(table, said), 'text/csv')
const print = (): void => window.print()
</script>

<template>
  <section class="class" aria-label="The class">
    <div class="row no-print">
      <label
        >Learners by
        <select v-model="by">
          <option value="way">way of working</option>
          <option value="wrong">most wrong first</option>
          <option value="name">name</option>
        </select></label
      >
      <label><input v-model="hardest" type="checkbox" /> Hardest problems first</label>
      <span class="gap" />
      <button type="button" class="stone-button" @click="asFile">As CSV</button>
      <button type="button" class="stone-button" @click="print">Print</button>
    </div>
    <div class="scroll">
      <table aria-label="Answers of the class">
        <thead>
          <tr>
            <th scope="col">Learner</th>
            <th v-for="p in problems" :key="p" scope="col" class="problem">
              <span class="learner">{{ pretty(table.problems[p]!) }}</span><span class="quiet"
                >{{ wrongs[p] }} wrong</span
              >
            </th>
            <th scope="col">Answers like these come from</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in learners.slice(0, rows)" :key="l">
            <th scope="row">
              <button type="button" class="stone-button bare" @click="$emit('open', l)">
                {{ table.learners[l]!.name }}
              </button>
            </th>
            <td v-for="p in problems" :key="p" :class="['cell', state(l, p)]">
              <span aria-hidden="true">{{ SIGN[state(l, p)] }}</span>
              <span class="learner">{{ state(l, p) === 'right' ? '' : pretty(table.learners[l]!.answers[p]!) }}</span>
              <span class="sr-only">{{ STANDS[state(l, p)] }}</span>
            </td>
            <td class="way">
              <template v-if="wayOf(l)"
                >{{ wayOf(l) }} <span class="quiet">({{ likely(leading(said[l]!)!.probability) }})</span></template
              >
              <span v-else class="quiet">{{ plainly(l) }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button v-if="rows < learners.length" type="button" class="stone-button" @click="rows += ROWS">
      Show more of the {{ learners.length }} learners
    </button>
    <p class="quiet">◆ wrong as the procedure has it · ○ wrong otherwise · a dot: right · empty: blank</p>
    <section v-if="groups.length" aria-label="Groups">
      <h2>Groups for tomorrow</h2>
      <ul>
        <li v-for="[way, who] in groups" :key="way">
          <b>{{ who.map((i) => table.learners[i]!.name).join(', ') }}</b>: {{ way }}
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.class {
  display: grid;
  gap: 0.8rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: center;
}
.gap {
  flex: 1;
}
.scroll {
  overflow: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  border: 1px solid var(--rule);
  padding: 0.2rem 0.5rem;
  text-align: left;
}
.problem {
  min-width: 5.5rem;
  vertical-align: bottom;
}
.problem > span {
  display: block;
}
.problem .quiet {
  font-weight: 400;
  font-size: 0.9rem;
}
.cell {
  text-align: center;
  white-space: nowrap;
}
.explained {
  background: var(--clay-wash);
  border: 2px solid var(--clay);
}
.wrong {
  background: var(--plum-wash);
}
.way {
  min-width: 16rem;
}
h2 {
  font-size: 1.1rem;
  margin: 0;
}
@media print {
  .scroll {
    overflow: visible;
  }
}
</style>
