<script setup lang="ts">
import { attempt, capital } from '../../../../core/door'
import { cellById, tellStory, type Person, type Scene } from '../../../../core/story/index'
import { personInStorySchema, sceneSchema } from '../../../../shared/scenes'
import type { StoryScenes } from '../../../composables/useStoryScenes'

/** Scenes and people that a class adds to its stories. */
const { scenes } = defineProps<{ scenes: StoryScenes }>()
const session = useSession()
const mayChange = computed(() => session.may('teacher'))

/* --- a scene --- */
const blank = () => ({
  title: '',
  one: '',
  many: '',
  unit: '',
  kindOne: '',
  kindTwo: '',
  where: '',
  comes: '',
  goes: '',
  holderOne: '',
  holderMany: '',
  within: 'in' as 'in' | 'on',
  rows: false,
  most: 100,
})
const form = reactive(blank())
const said = ref('')
/** “puts in” is said of somebody, “put in” is asked; the first word loses its s. */
const asked = (doing: string): string => {
  const [first = '', ...rest] = doing.trim().split(/\s+/)
  const plain = /(?:sh|ch|ss|x|o)es$/.test(first)
    ? first.slice(0, -2)
    : /ies$/.test(first)
      ? `${first.slice(0, -3)}y`
      : first.replace(/s$/, '')
  return [plain, ...rest].join(' ')
}
const FIELDS: Readonly<Record<string, string>> = {
  title: 'the name of the scene',
  thing: 'the thing, or its kinds',
  where: 'the place',
  comes: 'what is done when some come',
  goes: 'what is done when some go',
  holder: 'what holds it',
}
const built = computed(() => {
  const measured = form.unit.trim() !== ''
  const stuff = form.one.trim()
  const noun = measured ? `${form.unit.trim()} of ${stuff}` : stuff
  const made = {
    id: `own-${
      form.title
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '')
        .slice(0, 50) || 'scene'
    }`,
    title: form.title,
    thing: {
      one: noun,
      many: measured ? noun : form.many,
      kinds: [form.kindOne, form.kindTwo],
      ...(measured ? { measure: { unit: form.unit.trim(), stuff } } : {}),
      most: Number(form.most),
    },
    where: form.where,
    comes: [form.comes, asked(form.comes)],
    goes: [form.goes, asked(form.goes)],
    holder: [form.holderOne, form.holderMany, form.within],
    rows: form.rows && !measured,
  }
  return sceneSchema.safeParse(made)
})
/** Two stories in the scene as it is typed, so that its words can be heard. */
const tried = computed(() => {
  const scene = built.value.data as Scene | undefined
  if (!scene) return []
  return [
    ['take-from/result', '15 - 8'],
    ['groups/product', '4 * 6'],
  ].flatMap(([id, problem]) => {
    const told = attempt(() => tellStory({ problem: problem!, cell: cellById(id!)!, scene, seed: 1 }))
    return 'ok' in told ? [told.ok.text] : []
  })
})
async function add(): Promise<void> {
  if (!built.value.success) {
    const issue = built.value.error.issues[0]!
    said.value = `${issue.message} Look at ${FIELDS[String(issue.path[0])] ?? 'what is typed'}.`
    return
  }
  const scene = built.value.data
  if (scenes.scenes.value.some((s) => s.id === scene.id)) {
    said.value = 'There is a scene of that name already. Give it another.'
    return
  }
  if (await scenes.keep({ scenes: [...scenes.own.value.scenes, scene] })) {
    said.value = `${scene.title} is added.`
    Object.assign(form, blank())
  }
}
async function takeOut(id: string): Promise<void> {
  const gone = scenes.own.value.scenes.find((s) => s.id === id)
  if (await scenes.keep({ scenes: scenes.own.value.scenes.filter((s) => s.id !== id) })) {
    said.value = `${gone?.title ?? 'It'} is taken out.`
    lastGone.value = gone ?? null
  }
}
const lastGone = shallowRef<StoryScenes['own']['value']['scenes'][number] | null>(null)
async function bringBack(): Promise<void> {
  const back = lastGone.value
  if (back && (await scenes.keep({ scenes: [...scenes.own.value.scenes, back] }))) {
    said.value = `${back.title} is back.`
    lastGone.value = null
  }
}

/* --- people --- */
const name = ref('')
const pronoun = ref<'' | 'she' | 'he' | 'they'>('')
const people = computed(() => scenes.own.value.people as readonly Person[])
async function addPerson(): Promise<void> {
  const person = personInStorySchema.safeParse({
    name: name.value,
    ...(pronoun.value ? { pronoun: pronoun.value } : {}),
  })
  if (!person.success) {
    said.value = person.error.issues[0]!.message
    return
  }
  if (people.value.some((p) => p.name === person.data.name)) {
    said.value = `${person.data.name} is there already.`
    return
  }
  if (await scenes.keep({ people: [...scenes.own.value.people, person.data] })) {
    said.value = `${person.data.name} is added.`
    name.value = ''
  }
}
const takePerson = (gone: string): Promise<boolean> =>
  scenes.keep({ people: scenes.own.value.people.filter((p) => p.name !== gone) })
</script>

<template>
  <div class="scenes">
    <p v-if="scenes.trouble.value" class="trouble" role="alert">{{ scenes.trouble.value }}</p>
    <section aria-labelledby="own-people">
      <h2 id="own-people">Who is in the stories</h2>
      <p class="quiet">
        {{
          people.length > 1
            ? 'These are told of.'
            : 'Until there are two of your own, Sett tells of Wren, Pip, Fen, Ash, Teal and Moth.'
        }}
        Use code names, or nobody’s name.
      </p>
      <ul v-if="people.length" class="list">
        <li v-for="p in people" :key="p.name">
          {{ p.name }}<span v-if="p.pronoun" class="quiet"> ({{ p.pronoun }})</span>
          <button
            v-if="mayChange"
            type="button"
            class="stone-button bare"
            :aria-label="`Take out ${p.name}`"
            @click="takePerson(p.name)"
          >
            <IconX />
          </button>
        </li>
      </ul>
      <form v-if="mayChange" class="row" novalidate aria-label="Add somebody" @submit.prevent="addPerson">
        <label>Name <input v-model="name" type="text" maxlength="24" autocomplete="off" /></label>
        <label
          >Named again as
          <select v-model="pronoun">
            <option value="">the name</option>
            <option value="she">she</option>
            <option value="he">he</option>
            <option value="they">they</option>
          </select></label
        >
        <button type="submit" class="stone-button">Add</button>
      </form>
    </section>
    <section aria-labelledby="own-scenes">
      <h2 id="own-scenes">Scenes of your own</h2>
      <ul v-if="scenes.own.value.scenes.length" class="list">
        <li v-for="s in scenes.own.value.scenes" :key="s.id">
          {{ s.title }} <span class="quiet">({{ s.thing.many }}, up to {{ s.thing.most }})</span>
          <button
            v-if="mayChange"
            type="button"
            class="stone-button bare"
            :aria-label="`Take out ${s.title}`"
            @click="takeOut(s.id)"
          >
            <IconX />
          </button>
        </li>
      </ul>
      <p v-else class="quiet">None yet.</p>
      <form v-if="mayChange" class="grid" novalidate aria-label="Add a scene" @submit.prevent="add">
        <label
          >Name of the scene <input v-model="form.title" type="text" maxlength="60" placeholder="Bells on the door"
        /></label>
        <label
          >One of it, or what is measured <input v-model="form.one" type="text" maxlength="30" placeholder="bell"
        /></label>
        <label
          >Several of it
          <input v-model="form.many" type="text" maxlength="30" placeholder="bells" :disabled="form.unit.trim() !== ''"
        /></label>
        <label>Unit, if it is measured <input v-model="form.unit" type="text" maxlength="12" placeholder="cm" /></label>
        <label>One kind <input v-model="form.kindOne" type="text" maxlength="30" placeholder="brass" /></label>
        <label>Another kind <input v-model="form.kindTwo" type="text" maxlength="30" placeholder="wooden" /></label>
        <label>Where it is <input v-model="form.where" type="text" maxlength="40" placeholder="on the door" /></label>
        <label
          >What one does when some come <input v-model="form.comes" type="text" maxlength="30" placeholder="hangs up"
        /></label>
        <label
          >What one does when some go <input v-model="form.goes" type="text" maxlength="30" placeholder="takes off"
        /></label>
        <label
          >What holds several: one <input v-model="form.holderOne" type="text" maxlength="30" placeholder="hook"
        /></label>
        <label>and several <input v-model="form.holderMany" type="text" maxlength="30" placeholder="hooks" /></label>
        <label
          >They are
          <select v-model="form.within">
            <option value="in">in it</option>
            <option value="on">on it</option>
          </select></label
        >
        <label>The most there can be <input v-model.number="form.most" type="number" min="10" max="1000000" /></label>
        <label class="tick"><input v-model="form.rows" type="checkbox" /> They can lie in rows</label>
        <div class="tried" aria-live="polite">
          <p v-for="t in tried" :key="t" class="learner">{{ t }}</p>
        </div>
        <button type="submit" class="stone-button main">Add the scene</button>
      </form>
    </section>
    <p role="status">
      {{ said }}
      <button v-if="lastGone" type="button" class="stone-button" @click="bringBack">
        Bring {{ capital(lastGone.title) }} back
      </button>
    </p>
  </div>
</template>

<style scoped>
.scenes {
  display: grid;
  gap: 1.4rem;
}
h2 {
  margin: 0 0 0.4rem;
  font-size: 1.2rem;
}
p {
  margin: 0;
}
.list {
  list-style: none;
  margin: 0.4rem 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.4rem;
}
.list li {
  display: inline-flex;
  gap: 0.3rem;
  align-items: center;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1.2rem;
  align-items: center;
}
.row label {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 0.8rem 1.2rem;
  align-items: end;
}
.grid label {
  display: grid;
  gap: 0.2rem;
}
.grid .tick {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
.tried {
  grid-column: 1 / -1;
  display: grid;
  gap: 0.3rem;
  font-size: 1.15rem;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
</style>
