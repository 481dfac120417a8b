<script setup lang="ts">
import {
  attempt,
  isRepresentation,
  packOf,
  parseNumeral,
  parseProblem,
  pretty,
  printExact,
  representationsFor,
  valueOf,
} from '../../core/door'
import {
  barsOf,
  CELLS,
  cellsFor,
  misleads,
  SCENES,
  tellStory,
  understood,
  type Cell,
  type SituationId,
  type Understood,
} from '../../core/story/index'
import { askedName, cellId, SITUATION_NAMES } from '../utils/storyNames'

/** Stories: a problem told as something that happens, in every situation that fits; its bars, its sentence, and what an answer to it says. */
const bench = useBench()
const classroom = useClassroom()
const kept = useLocalStorage('sett.stories', {
  problem: '15 - 8',
  cell: 'compare/lesser/more',
  scene: '',
  seed: 1,
  inWords: false,
})
const asked = useRoute().query.problem
if (typeof asked === 'string') kept.value.problem = asked
const read = computed(() => attempt(() => parseProblem(String(kept.value.problem))))
const fitting = computed(() => {
  const of = read.value
  if (!('ok' in of)) return []
  const cells = attempt(() => cellsFor(of.ok))
  return 'ok' in cells ? cells.ok : []
})
const groups = computed(() =>
  (Object.keys(SITUATION_NAMES) as SituationId[]).flatMap((situation) => {
    const cells = fitting.value.filter((c) => c.situation === situation)
    return cells.length ? [{ situation, cells }] : []
  }),
)
const cell = computed<Cell | undefined>(
  () => fitting.value.find((c) => cellId(c) === kept.value.cell) ?? fitting.value[0] ?? undefined,
)
const story = computed(() => {
  const of = cell.value
  if (!of) return null
  const scene = SCENES.find((s) => s.id === kept.value.scene)
  const wish = {
    problem: kept.value.problem,
    cell: of,
    seed: Number(kept.value.seed) || 1,
    ...(kept.value.inWords ? { words: packOf(classroom.words) } : {}),
  }
  const told = attempt(() => tellStory({ ...wish, ...(scene ? { scene } : {}) }))
  // A scene that cannot hold the amounts gives way to one that can.
  const other = 'ok' in told ? told : attempt(() => tellStory(wish))
  return 'ok' in other ? { ...other.ok, gaveWay: 'refused' in told ? told.refused.reason : '' } : null
})
const trouble = computed(() => {
  if ('refused' in read.value) return read.value.refused.message
  return story.value ? '' : 'No story of two numbers fits it. Try 15 - 8, 8 + 7, 6 × 4 or 24 ÷ 6.'
})
const another = (): void => void (kept.value.seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000)

const own = ref(false)

/* --- stages: each is looked at when it is wanted --- */
const showing = ref<{ bars: boolean; sentence: boolean }>({ bars: false, sentence: false })
const given = ref('')
const said = ref('')
const SAYS: Readonly<Record<Understood, string>> = {
  right: 'That is it.',
  'by the word': 'That goes by the word. Who has more of it, and what is asked? Look at the bars.',
  'told already': 'That number is told already. What is asked?',
  'worked otherwise': 'These are the right numbers, worked another way. Look at the bars.',
  otherwise: 'Not yet. Look at the bars, and work it again.',
}
watch(story, () => (said.value = given.value = ''))
function check(): void {
  const now = story.value
  if (!now) return
  const number = attempt(() => valueOf(parseNumeral(given.value.trim().replace('−', '-'))))
  if ('refused' in number) {
    said.value = 'Write a number.'
    return
  }
  const found = understood(now, number.ok)
  said.value = SAYS[found]
  if (found === 'right')
    said.value = `${SAYS.right} ${pretty(now.problem ?? now.sentence)}${now.answer === null ? '' : ` = ${printExact(now.answer)}`}`
  else if (found !== 'otherwise') showing.value = { ...showing.value, bars: true }
}
async function work(problem: string): Promise<void> {
  const offer = representationsFor(problem).find((o) => o.fits)
  const refused = bench.ask(problem, offer && isRepresentation(offer.representation) ? { mode: 'alone' } : {})
  if (refused) said.value = refused.message
  else await navigateTo('/bench')
}
useHead({ title: 'Stories – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Stories</h1>
      <div class="in-row" role="group" aria-label="Whose story">
        <button type="button" class="stone-button" :aria-pressed="!own" @click="own = false">Told by Sett</button>
        <button type="button" class="stone-button" :aria-pressed="own" @click="own = true">One of my own</button>
      </div>
    </header>
    <OwnStory v-if="own" @work="work" />
    <div v-else class="two">
      <form class="for" aria-label="Which story" @submit.prevent>
        <label
          >Told from <input v-model="kept.problem" class="learner" type="text" maxlength="60" autocomplete="off"
        /></label>
        <fieldset v-for="g in groups" :key="g.situation">
          <legend>{{ SITUATION_NAMES[g.situation] }}</legend>
          <label v-for="c in g.cells" :key="cellId(c)" class="tick">
            <input v-model="kept.cell" type="radio" name="cell" :value="cellId(c)" :checked="cell === c" />
            <span>{{ askedName(c) }}<span v-if="misleads(c)" class="quiet"> · its words mislead</span></span>
          </label>
        </fieldset>
        <p class="quiet">{{ fitting.length }} of {{ CELLS.length }} kinds of story are worked so.</p>
      </form>
      <section class="told" aria-label="The story">
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <template v-if="story">
          <p class="text learner" aria-live="polite">
            <span v-for="s in story.sentences" :key="s">{{ s }}</span>
          </p>
          <div class="in-row">
            <button type="button" class="stone-button main" @click="another">Another</button>
            <label
              >Scene
              <select v-model="kept.scene">
                <option value="">any that fits</option>
                <option v-for="s in SCENES" :key="s.id" :value="s.id">{{ s.title }}</option>
              </select></label
            >
            <label class="tick"><input v-model="kept.inWords" type="checkbox" /> Numbers in words</label>
          </div>
          <p v-if="story.gaveWay" class="quiet">{{ story.gaveWay }} Told in another scene.</p>
          <div class="in-row">
            <button
              type="button"
              class="stone-button"
              :aria-pressed="showing.bars"
              @click="showing.bars = !showing.bars"
            >
              Bars
            </button>
            <button
              type="button"
              class="stone-button"
              :aria-pressed="showing.sentence"
              @click="showing.sentence = !showing.sentence"
            >
              Number sentence
            </button>
            <button v-if="story.problem" type="button" class="stone-button" @click="work(story.problem)">
              Work it at the Bench
            </button>
          </div>
          <StoryBars v-if="showing.bars" :bars="barsOf(story)" />
          <p v-if="showing.sentence" class="sentence learner">
            {{ pretty(story.sentence) }}
            <span v-if="story.problem" class="quiet">so {{ pretty(story.problem) }}</span>
          </p>
          <form class="in-row" aria-label="The answer" novalidate @submit.prevent="check">
            <label
              >Answer
              <input
                v-model="given"
                class="learner short"
                type="text"
                inputmode="decimal"
                maxlength="12"
                autocomplete="off"
            /></label>
            <span>{{ story.unit }}</span>
            <button type="submit" class="stone-button">Check</button>
            <span role="status">{{ said }}</span>
          </form>
        </template>
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 21rem) minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
}
.for,
.told {
  display: grid;
  gap: 0.8rem;
  min-width: 0;
}
.for > label {
  display: grid;
  gap: 0.2rem;
}
.for > label input {
  font-size: 1.3rem;
}
fieldset {
  margin: 0;
  padding: 0.3rem 0 0;
  border: 0;
  border-top: 1.5px solid var(--rule);
  min-width: 0;
}
legend {
  float: left;
  width: 100%;
  font-weight: 700;
}
.tick {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
  clear: both;
}
p {
  margin: 0;
}
input[type='radio'] {
  accent-color: var(--clay);
  width: 22px;
  height: 22px;
  flex: none;
}
.text {
  display: grid;
  gap: 0.5rem;
  padding: 1.2rem 1.4rem;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  font-size: clamp(1.4rem, 2.6vw, 2rem);
  line-height: 1.4;
}
.sentence {
  font-size: 1.8rem;
}
.sentence .quiet {
  font-size: 1.3rem;
  margin-left: 1rem;
}
.short {
  width: 7rem;
  font-size: 1.4rem;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .told {
    order: -1;
  }
}
</style>
