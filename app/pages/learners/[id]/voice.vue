<script setup lang="ts">
import { askInWords, capital, packFor, plan, type PlanRequest, setUp } from '../../../../core/door'
import { MOST_BYTES, type Recording } from '../../../../shared/recordings'
import type { RecordPage } from '../../../../shared/listing'
import type { SavedRecord } from '../../../../shared/schemas'
import { spokenWords } from '../../../../shared/spokenWords'
import { fetchSpanish } from '../../../utils/languages'
import { request } from '../../../utils/request'

/** Words and sentences that a teacher says for a learner; they are played instead of the browser's voice wherever they are enough. */
definePageMeta({ role: 'teacher' })
const classroom = useClassroom()
const id = String(useRoute().params.id)
const there = computed(() => classroom.everyone.find((l) => l.id === id))
const recorded = useRecorded()
const recorder = useRecorder()
const all = shallowRef<readonly Recording[]>([])
const sentences = shallowRef<readonly string[]>([])
const own = ref('')
const now = ref('')
const said = ref('')
const trouble = ref('')

await load()
async function load(): Promise<void> {
  if (!there.value) return
  try {
    keepAll(await request<readonly Recording[]>(`/api/learners/${id}/recordings`))
    sentences.value = await lately()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
function keepAll(list: readonly Recording[]): void {
  all.value = list
  recorded.now(id, list)
}

/** So many of the last problems are looked at; and what is worked where nothing was worked yet. */
const LAST = 8
const FIRST: readonly PlanRequest[] = [
  { problem: '7 + 5', representation: 'counters' },
  { problem: '52 - 37', representation: 'blocks' },
]
/** What Sett says on the way through the learner's last problems. */
async function lately(): Promise<readonly string[]> {
  const { records } = await request<RecordPage>(`/api/records?learner=${id}&limit=${LAST}`)
  const works = await Promise.all(
    records
      .filter((r) => r.kind === 'bench')
      .map(async (r): Promise<PlanRequest> => (await request<SavedRecord>(`/api/records/${r.id}`)).work),
  )
  const words = there.value?.choices.words ?? classroom.classroom?.words
  // What the Bench says in Spanish is recorded in Spanish.
  if (words?.language === 'es') await fetchSpanish()
  return (works.length > 0 ? works : FIRST).flatMap((work) => {
    try {
      const asked = words ? { ...work, choices: { ...work.choices, words } } : work
      const { problem, steps } = plan(asked)
      return [`${capital(askInWords(problem, packFor(setUp(asked))))}.`, ...steps.map((s) => s.say)]
    } catch {
      // What was worked by a way that is not there any more has nothing to be said.
      return []
    }
  })
}
const known = computed(() => new Map(all.value.map((r) => [r.said, r.id])))
const wanted = computed(() => wordsWanted(sentences.value, known.value))
const covered = computed(() => sentences.value.filter((s) => phrasesOf(s, known.value) !== null).length)
/** As many words as are offered at once. */
const OFFERED = 24

async function base64(sound: Blob): Promise<string> {
  const bytes = new Uint8Array(await sound.arrayBuffer())
  let text = ''
  for (const b of bytes) text += String.fromCharCode(b)
  return btoa(text)
}
/** What was deleted or recorded over last, to be brought back. */
const gone = shallowRef<{ readonly words: string; readonly sound: Blob } | null>(null)
/** The sound of some words that is there now, before it goes. */
async function soundOf(words: string): Promise<typeof gone.value> {
  const there = known.value.get(words)
  if (there === undefined) return null
  const answer = await fetch(`/api/recordings/${there}`)
  return answer.ok ? { words, sound: await answer.blob() } : null
}
async function keep(words: string, sound: Blob): Promise<void> {
  if (sound.size > MOST_BYTES)
    throw new Error('This is too long to be kept: say it in parts of at most twenty seconds.')
  const before = await soundOf(words)
  const body = { id: crypto.randomUUID(), said: words, audio: await base64(sound) }
  keepAll(await request<readonly Recording[]>(`/api/learners/${id}/recordings`, { method: 'PUT', body }))
  gone.value = before
  said.value = `“${words}” is kept.`
}
/** Does something that may not be possible; what it came to is said. */
async function attempting(work: () => Promise<void>): Promise<void> {
  trouble.value = said.value = ''
  try {
    await work()
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
const record = (words: string): Promise<void> =>
  attempting(async () => {
    if (now.value !== '') return recorder.stop()
    now.value = words
    try {
      const sound = await recorder.record()
      if (!sound) return
      await keep(words, sound)
      if (own.value && spokenWords(own.value).join(' ') === words) own.value = ''
    } finally {
      now.value = ''
    }
  })
const told = computed(() =>
  now.value === ''
    ? said.value
    : recorder.state.value === 'waiting'
      ? 'The microphone is getting ready …'
      : recorder.state.value === 'recording'
        ? `Recording “${now.value}”. Say it, then stop.`
        : `“${now.value}” is being kept …`,
)
const ownWords = computed(() => spokenWords(own.value).join(' '))
const fromFile = (event: Event): Promise<void> =>
  attempting(async () => {
    const input = event.target as HTMLInputElement
    const [file] = input.files ?? []
    input.value = ''
    if (!file) return
    if (!ownWords.value) throw new Error('Write first which words are in the file.')
    await keep(ownWords.value, file)
    own.value = ''
  })
const remove = (r: Recording): Promise<void> =>
  attempting(async () => {
    const before = await soundOf(r.said)
    await request(`/api/recordings/${r.id}`, { method: 'DELETE' })
    gone.value = before
    keepAll(all.value.filter((x) => x.id !== r.id))
    said.value = `“${r.said}” is deleted.`
  })
const bringBack = (): Promise<void> =>
  attempting(async () => {
    if (gone.value) await keep(gone.value.words, gone.value.sound)
  })
let sound: HTMLAudioElement | null = null
function hear(r: Recording): void {
  sound?.pause()
  sound = new Audio(`/api/recordings/${r.id}`)
  void sound.play().catch(() => (trouble.value = 'This browser cannot play it.'))
}
onBeforeUnmount(() => sound?.pause())
useHead({ title: () => `Your voice for ${there.value?.codeName ?? 'a learner'} – Sett` })
</script>

<template>
  <div class="place">
    <p v-if="!there" class="trouble" role="alert">There is no such learner.</p>
    <template v-else>
      <header>
        <h1>Your voice for {{ there.codeName }}</h1>
        <NuxtLink class="stone-button" :to="`/learners/${id}/suits`">What suits {{ there.codeName }}</NuxtLink>
      </header>
      <p>
        Record words one by one, or whole sentences. Where all words of what Sett says are recorded, they are played in
        place of the browser’s voice. They are kept with {{ there.codeName }}, and go when {{ there.codeName }} is
        erased.
      </p>
      <p v-if="sentences.length" class="covered">
        <b>{{ covered }} of {{ sentences.length }}</b> sentences of {{ there.codeName }}’s last problems can be played
        so.
      </p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <p role="status" class="quiet">{{ told }}</p>
      <p v-if="gone && now === ''">
        <button type="button" class="stone-button" @click="bringBack">
          Bring back “{{ gone.words }}” as it was before
        </button>
      </p>
      <form class="own" novalidate @submit.prevent="ownWords && record(ownWords)">
        <label
          >Words or a sentence
          <input v-model="own" type="text" maxlength="200" autocomplete="off" placeholder="break a ten"
        /></label>
        <button
          v-if="recorder.possible.value"
          type="submit"
          class="stone-button main"
          :disabled="!ownWords || (now !== '' && now !== ownWords)"
        >
          {{ now !== '' && now === ownWords ? 'Stop' : 'Record it' }}
        </button>
        <label class="stone-button file"
          >Take a sound file
          <input type="file" accept="audio/webm,audio/ogg,audio/mp4,audio/wav,.m4a" class="sr-only" @change="fromFile"
        /></label>
      </form>
      <p v-if="!recorder.possible.value" class="quiet">
        This browser lets Sett use the microphone only at an https address or on this computer itself. Sound files can
        be taken in everywhere.
      </p>
      <section v-if="wanted.length && recorder.possible.value" aria-labelledby="wanted">
        <h2 id="wanted">Still wanted, the most frequent first</h2>
        <ul class="words">
          <li v-for="w in wanted.slice(0, OFFERED)" :key="w.word">
            <button
              type="button"
              class="stone-button"
              :aria-pressed="now === w.word"
              :disabled="now !== '' && now !== w.word"
              :aria-label="now === w.word ? `Stop recording ${w.word}` : `Record ${w.word}, said ${w.count} times`"
              @click="record(w.word)"
            >
              <IconSquare v-if="now === w.word" /><IconMic v-else /> {{ w.word }}
              <span class="quiet">{{ w.count }}</span>
            </button>
          </li>
        </ul>
      </section>
      <section aria-labelledby="there">
        <h2 id="there">Recorded</h2>
        <p v-if="all.length === 0" class="quiet">Nothing yet.</p>
        <ul v-else class="recorded">
          <li v-for="r in all" :key="r.id">
            <span class="learner">{{ r.said }}</span>
            <button type="button" class="stone-button" :aria-label="`Play ${r.said}`" @click="hear(r)">
              <IconVolume2 />
            </button>
            <button
              v-if="recorder.possible.value"
              type="button"
              class="stone-button"
              :disabled="now !== '' && now !== r.said"
              :aria-label="now === r.said ? `Stop recording ${r.said}` : `Record ${r.said} again`"
              @click="record(r.said)"
            >
              <IconSquare v-if="now === r.said" /><IconMic v-else />
            </button>
            <button type="button" class="stone-button bare" :aria-label="`Delete ${r.said}`" @click="remove(r)">
              Delete
            </button>
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.own,
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: end;
}
.own label:not(.file) {
  display: grid;
  gap: 0.2rem;
  flex: 1 1 18rem;
  max-width: 32rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.recorded {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(22rem, 100%), 1fr));
  gap: 0.4rem 2rem;
}
.recorded li {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.recorded .learner {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
section {
  display: grid;
  gap: 0.4rem;
}
.covered {
  font-size: 1.15rem;
}
</style>
