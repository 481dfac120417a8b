<script setup lang="ts">
import { attempt, isRepresentation, packOf, parseProblem, pretty, representationsFor } from '../../../core/door'
import {
  barsOfSteps,
  cellId,
  cellsFor,
  kindOf,
  leftOut,
  LENGTHS,
  readAsked,
  tellStory,
  type Cell,
  type Length,
  type OwnPlan,
  type Scene,
  type StoryWork,
  type ToldPlan,
} from '../../../core/story/index'
import { readingGrade } from '../../utils/readingLevel'

/** Stories: a problem told as something that happens, in every situation that fits it; worked stage by stage; and a teacher’s own. */
const router = useRouter()
const bench = useBench()
const classroom = useClassroom()
const desk = useStoryDesk()
const scenes = useStoryScenes()
const money = useMoney()
const kept = useLocalStorage(
  'sett.stories',
  {
    problem: '15 - 8',
    cell: 'compare/lesser/more',
    scene: '',
    seed: 1,
    inWords: false,
    length: 'plain' as Length,
    extra: false,
    missing: false,
    mode: 'together' as StoryWork['mode'],
  },
  { mergeDefaults: true },
)
const asked = useRoute().query.problem
if (typeof asked === 'string') kept.value.problem = asked
const askedCell = useRoute().query.cell
if (typeof askedCell === 'string') kept.value.cell = askedCell
const openedId = useRoute().query.trial
const opened = useOpenedStory(typeof openedId === 'string' ? openedId : null)
await Promise.all([scenes.load(), opened.load()])

/** Money as the class writes it, where it has a large unit. */
const allScenes = computed(() => {
  const { hundred, large, small } = money.currency.value
  return scenes.scenes.value.map((s): Scene =>
    kindOf(s) === 'money' && hundred ? { ...s, thing: { ...s.thing, money: { large, small, hundred } } } : s,
  )
})
const read = computed(() => attempt(() => readAsked(String(kept.value.problem))))
const fitting = computed(() => ('ok' in read.value ? cellsFor(String(kept.value.problem), allScenes.value) : []))
const cell = computed<Cell | undefined>(
  () =>
    fitting.value.find((c) => cellId(c) === kept.value.cell) ??
    // Where a fraction is typed, a part of a whole is meant first.
    (/\d\/\d/.test(kept.value.problem) ? fitting.value.find((c) => c.situation === 'part') : undefined) ??
    fitting.value[0],
)
const told = computed(() => {
  const of = cell.value
  if (!of) return null
  const scene = allScenes.value.find((s) => s.id === kept.value.scene)
  const seed = Number(kept.value.seed) || 1
  const wish = {
    problem: kept.value.problem,
    cell: of,
    seed,
    scenes: allScenes.value,
    people: scenes.people.value,
    length: LENGTHS.find((l) => l === kept.value.length) ?? ('plain' as const),
    extra: kept.value.extra === true,
    ...(kept.value.inWords ? { words: packOf(classroom.words) } : {}),
  }
  const first = attempt(() => tellStory({ ...wish, ...(scene ? { scene } : {}) }))
  // A scene that cannot hold the amounts gives way to one that can.
  const other = 'ok' in first ? first : attempt(() => tellStory(wish))
  if (!('ok' in other)) return null
  const left = leftOut(of, other.ok.scene)
  const missing = kept.value.missing ? left[seed % left.length] : undefined
  const story = missing ? tellStory({ ...wish, scene: other.ok.scene, missing }) : other.ok
  return {
    story,
    canMiss: left.length > 0,
    gaveWay: 'refused' in first ? first.refused.reason : '',
    plan: {
      cell: cellId(of),
      amounts: story.roles,
      ...(story.before ? { before: story.before } : {}),
      scene: story.scene,
      people: story.people,
      seed,
      length: wish.length,
      extra: wish.extra,
      ...(missing ? { missing } : {}),
    } satisfies ToldPlan,
  }
})
const story = computed(() => told.value?.story ?? null)
const grade = computed(() => (story.value ? readingGrade(story.value.sentences) : 0))
const trouble = computed(() => {
  if ('refused' in read.value) return read.value.refused.message
  return story.value ? '' : 'No story fits it. Try 15 - 8, 8 + 7, 6 × 4 or 24 ÷ 6.'
})
const another = (): void => void (kept.value.seed = crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000)

const pageCode = useRoute().query.page
const tab = ref<'sett' | 'own' | 'page' | 'scenes'>(typeof pageCode === 'string' ? 'page' : 'sett')
const TABS = { sett: 'Told by Sett', own: 'One of my own', page: 'Mark a page', scenes: 'Scenes and people' } as const
/** Whoever comes for another story or for a page sees that; the one on the desk stays there. */
const aside = ref(Boolean(asked || pageCode))
const onDesk = computed(() => (aside.value ? null : desk.story.value))
const showing = ref<{ bars: boolean; sentence: boolean }>({ bars: false, sentence: false })
const MODES = { show: 'Show', together: 'Together', alone: 'Alone' } as const
const LENGTH_NAMES: Readonly<Record<Length, string>> = {
  short: 'as short as can be',
  plain: 'plain',
  joined: 'two in one',
}
const said = ref('')
const begin = (plan: ToldPlan | OwnPlan): void => {
  aside.value = false
  desk.begin(plan, kept.value.mode in MODES ? kept.value.mode : 'together')
  // When the page is loaded again, the story on the desk is what is wanted.
  void router.replace({ query: {} })
}
async function work(problem: string, material?: string): Promise<void> {
  const offer = representationsFor(problem).find((o) => o.fits)
  const on = material && isRepresentation(material) ? material : offer?.representation
  const refused = bench.ask(problem, {
    mode: 'alone',
    ...(on && isRepresentation(on) ? { material: on } : {}),
  })
  if (refused) said.value = refused.message
  else await navigateTo('/bench')
}
/** The problem as the Bench reads it; null where it has none. */
const benchProblem = computed(() => {
  const problem = story.value?.problem
  return problem && 'ok' in attempt(() => parseProblem(problem)) ? problem : null
})
useHead({ title: 'Stories – Sett' })
</script>

<template>
  <div class="place">
    <header>
      <h1>Stories</h1>
      <div v-if="!onDesk && !opened.id" class="in-row" role="group" aria-label="Whose story">
        <button
          v-for="(name, id) in TABS"
          :key="id"
          type="button"
          class="stone-button"
          :aria-pressed="tab === id"
          @click="tab = id"
        >
          {{ name }}
        </button>
        <button v-if="desk.story.value" type="button" class="stone-button" @click="aside = false">
          Go on with the story on the desk
        </button>
        <button v-else-if="desk.away.value.length" type="button" class="stone-button" @click="desk.bringBack()">
          Bring back the story put away
        </button>
      </div>
    </header>
    <LazyWorkedStory v-if="opened.id" :opened="opened" />
    <LazyStoryDesk v-else-if="onDesk" :desk="desk" :story="onDesk" @work="work" />
    <LazyStoryPage v-else-if="tab === 'page'" :code="typeof pageCode === 'string' ? pageCode : ''" />
    <LazySceneForm v-else-if="tab === 'scenes'" :scenes="scenes" />
    <OwnStory v-else-if="tab === 'own'" @work="work" @stages="begin" />
    <div v-else class="two">
      <StoryChooser v-model:problem="kept.problem" v-model:cell="kept.cell" :fitting="fitting" :chosen="cell" />
      <section class="told" aria-label="The story">
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <template v-if="story && told">
          <StoryWords :sentences="story.sentences">
            <button type="button" class="stone-button" @click="another">Another</button>
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
            <button v-if="benchProblem" type="button" class="stone-button" @click="work(benchProblem)">
              Work it at the Bench
            </button>
          </StoryWords>
          <template v-if="showing.bars">
            <StoryBars v-for="(bars, i) in barsOfSteps(story)" :key="i" :bars="bars" />
          </template>
          <p v-if="showing.sentence" class="sentence learner">
            {{ pretty(story.sentence) }}
            <span v-if="story.steps.length" class="quiet"
              >so {{ story.steps.map((s) => pretty(s)).join(', then ') }}</span
            >
          </p>
          <p v-if="told.gaveWay" class="quiet">{{ told.gaveWay }} Told in another scene.</p>
          <form class="work in-row" aria-label="Work the story" @submit.prevent="begin(told.plan)">
            <fieldset class="in-row">
              <legend class="sr-only">How it is worked</legend>
              <label v-for="(name, id) in MODES" :key="id" class="tick"
                ><input v-model="kept.mode" type="radio" name="mode" :value="id" /> {{ name }}</label
              >
            </fieldset>
            <button type="submit" class="stone-button main">Work it in stages</button>
          </form>
          <div class="in-row how">
            <label
              >Scene
              <select v-model="kept.scene">
                <option value="">any that fits</option>
                <option v-for="s in allScenes" :key="s.id" :value="s.id">{{ s.title }}</option>
              </select></label
            >
            <label
              >Sentences
              <select v-model="kept.length">
                <option v-for="l in LENGTHS" :key="l" :value="l">{{ LENGTH_NAMES[l] }}</option>
              </select></label
            >
            <label class="tick"><input v-model="kept.inWords" type="checkbox" /> Numbers in words</label>
            <label class="tick"><input v-model="kept.extra" type="checkbox" /> A number that is not needed</label>
            <label class="tick"
              ><input v-model="kept.missing" type="checkbox" :disabled="!told.canMiss" /> A number is missing</label
            >
          </div>
          <p class="quiet">
            Reads like grade {{ Math.max(0, Math.round(grade * 10) / 10) }} by Flesch and Kincaid’s formula.
          </p>
          <p v-if="said" role="status">{{ said }}</p>
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
.told {
  display: grid;
  gap: 0.8rem;
  min-width: 0;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
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
.work {
  padding: 0.6rem 0;
  border-block: 1.5px solid var(--rule);
}
.how {
  gap: 0.4rem 1.2rem;
}
.sentence {
  font-size: 1.8rem;
}
.sentence .quiet {
  font-size: 1.3rem;
  margin-left: 1rem;
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
