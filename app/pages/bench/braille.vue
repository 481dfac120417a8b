<script setup lang="ts">
import { attempt, parseProblem, pretty, printProblem } from '../../../core/door'
import {
  brailleLine,
  CODES,
  spatialAddition,
  spatialSubtraction,
  toBrf,
  toUnicode,
  type BrailleCode,
} from '../../../core/braille/index'
import { download } from '../../utils/download'

/** Written lines, problems and columns in braille: seen as dots, copied, and sent to an embosser as pages of 40 by 25. */
const bench = useBench()
const NAMES: Readonly<Record<BrailleCode, string>> = { nemeth: 'Nemeth code', ueb: 'Unified English Braille' }
const code = useLocalStorage<BrailleCode>('sett.braille', 'nemeth')
if (!CODES.includes(code.value)) code.value = 'nemeth'
const fromBench = (): string =>
  [pretty(bench.problem), ...bench.stones.flatMap((s) => s.lines.map((l) => l.text))]
    .filter((l, i, all) => i === 0 || l !== all[i - 1])
    .join('\n')
const typed = ref(fromBench())
const said = ref('')
const MOST_LINES = 200
const lines = computed(() =>
  typed.value
    .split('\n')
    .map((t) => t.trim().replaceAll('*', '×').replace(/ - /g, ' − '))
    .filter((t) => t !== '')
    .slice(0, MOST_LINES)
    .map((text) => ({ text, ...brailleLine(text, code.value) })),
)
const unknown = computed(() => [...new Set(lines.value.flatMap((l) => l.unknown))])
/** The first line in columns, where it is a sum or a difference of whole numbers. */
const columns = computed(() => {
  const first = (lines.value[0]?.text ?? '').replaceAll('−', '-').replace(/\s*=.*$/, '')
  const numbers = first.split(/\s*[+-]\s*/)
  const signs = first.match(/[+-]/g) ?? []
  if (numbers.length < 2 || !numbers.every((n) => /^\d+$/.test(n))) return null
  const rows = signs.every((s) => s === '+')
    ? attempt(() => spatialAddition(numbers))
    : numbers.length === 2
      ? attempt(() => spatialSubtraction(numbers[0]!, numbers[1]!))
      : null
  return rows && 'ok' in rows ? { rows: rows.ok, told: `${first} in columns` } : null
})
const brf = computed(() => toBrf([lines.value.map((l) => l.cells), ...(columns.value ? [columns.value.rows] : [])]))
const pages = computed(() => brf.value.split('\f').length)
async function copy(): Promise<void> {
  const rows = [...lines.value.map((l) => l.cells), ...(columns.value?.rows ?? [])]
  try {
    await navigator.clipboard.writeText(rows.map(toUnicode).join('\n'))
    said.value = 'The cells are copied as text.'
  } catch {
    said.value = 'This browser does not let pages copy. Save the file instead.'
  }
}
function emboss(): void {
  const channel = new BroadcastChannel('sett-embosser')
  channel.postMessage({ name: lines.value[0]?.text ?? 'braille', brf: brf.value })
  channel.close()
  said.value = 'Sent to the embosser, if its page is open.'
}
/** A problem as it is kept may be read back, so that it is set as the bench writes it. */
function tidy(): void {
  typed.value = typed.value
    .split('\n')
    .map((t) => {
      const read = attempt(() => printProblem(parseProblem(t)))
      return 'ok' in read ? pretty(read.ok) : t
    })
    .join('\n')
}
useHead({ title: 'Braille – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Braille</h1>
      <label
        >Code
        <select v-model="code">
          <option v-for="c in CODES" :key="c" :value="c">{{ NAMES[c] }}</option>
        </select></label
      >
      <button type="button" class="stone-button" @click="typed = fromBench()">From the Bench</button>
      <NuxtLink class="stone-button" to="/plan/print/embosser">Embosser</NuxtLink>
      <NuxtLink class="stone-button" to="/plan/print">Sheets to be felt</NuxtLink>
    </header>
    <div class="two">
      <label class="typed"
        >Lines and problems, one a line
        <textarea v-model="typed" rows="9" maxlength="8000" class="learner" spellcheck="false" @change="tidy" />
      </label>
      <section aria-label="In braille">
        <ol class="lines">
          <li v-for="(l, i) in lines" :key="i">
            <span class="learner">{{ l.text }}</span>
            <DotCells :cells="l.cells" :told="`${l.text}: ${l.cells.length} cells`" />
          </li>
        </ol>
        <div v-if="columns" class="columns">
          <h2>In columns</h2>
          <DotCells v-for="(row, i) in columns.rows" :key="i" :cells="row" :told="`${columns.told}, row ${i + 1}`" />
        </div>
        <p v-if="unknown.length" class="trouble" role="alert">
          No cell for {{ unknown.join(' ') }} here: left out. Write it in words.
        </p>
        <p v-if="lines.length === 0" class="quiet">Write a problem, or work one at the Bench.</p>
      </section>
    </div>
    <div class="in-row">
      <button
        type="button"
        class="stone-button main"
        :disabled="lines.length === 0"
        @click="download('sett.brf', brf, 'text/plain')"
      >
        As BRF
      </button>
      <button type="button" class="stone-button" :disabled="lines.length === 0" @click="emboss">To the embosser</button>
      <button type="button" class="stone-button" :disabled="lines.length === 0" @click="copy">Copy the cells</button>
      <span class="quiet"
        >{{ pages }} {{ pages === 1 ? 'page' : 'pages' }} of 40 by 25 cells. Columns are in the Nemeth code.</span
      >
    </div>
    <p role="status">{{ said }}</p>
  </div>
</template>

<style scoped>
header label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.8fr);
  gap: 2rem;
}
.typed {
  display: grid;
  gap: 0.3rem;
  align-content: start;
}
.typed textarea {
  font-size: 1.3rem;
  width: 100%;
}
.lines {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.9rem;
}
.lines li {
  display: grid;
  gap: 0.2rem;
  padding: 0.5rem 0.8rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
}
.columns {
  margin-top: 1rem;
  padding: 0.5rem 0.8rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
