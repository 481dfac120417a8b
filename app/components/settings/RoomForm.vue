<script setup lang="ts">
import type { Hands } from '../../../shared/schemas'
import { DEFAULT_CHOICES, marksOf, type Words } from '../../../core/door'

const props = defineProps<{ first: boolean }>()
const emit = defineEmits<{ done: [] }>()

const classroom = useClassroom()
const name = ref(classroom.classroom?.name ?? '')
const words = ref<Words>({ ...(classroom.classroom?.words ?? classroom.spoken) })
const { words: _, ...usual } = DEFAULT_CHOICES
const hands = reactive<Hands>({
  ...(structuredClone(usual) as Hands),
  ...classroom.classroom?.hands,
})
const FINGER_NAMES = ['little', 'ring', 'middle', 'index', 'thumb'] as const
const jointKind = ref<'20' | '12' | 'own'>(
  typeof hands.joints === 'number' ? (`${hands.joints}` as '20' | '12') : 'own',
)
const perFinger = reactive([...marksOf(hands.joints)])
const jointsChosen = (): Hands['joints'] => {
  if (jointKind.value === 'own') return [...perFinger] as Hands['joints']
  return jointKind.value === '20' ? 20 : 12
}
/** The school's time zone: what day something was goes by it. The first time it is this computer's. */
const zone = ref(classroom.zone)
/** The zone that is kept may be one that the browser does not list, such as UTC. */
const zones = [...new Set([classroom.zone, ...Intl.supportedValuesOf('timeZone')])].sort()
const codeName = ref('')
const trouble = ref('')
const learnerTrouble = ref('')
const said = ref('')

async function add(): Promise<void> {
  learnerTrouble.value = ''
  const typed = codeName.value
  if (typed.trim() === '') return
  // Emptied at once: the next name may be typed while this one is on its way.
  codeName.value = ''
  try {
    const learner = await classroom.addLearner(typed)
    if (!classroom.learnerId) classroom.learnerId = learner.id
    said.value = `${learner.codeName} is in the class.`
  } catch (error) {
    learnerTrouble.value = (error as Error).message
    if (codeName.value === '') codeName.value = typed
  }
}

/** What would be saved now, as text, and what was last saved: where they differ, something would be lost. */
const room = () => ({
  name: name.value,
  words: words.value,
  hands: { ...hands, joints: jointsChosen() },
  ...(props.first || zone.value === classroom.zone ? {} : { zone: zone.value }),
})
const written = (): string => JSON.stringify(room())
const kept = ref(written())
const unsaved = computed(() => written() !== kept.value || codeName.value.trim() !== '')

/** Saves everything; false where something was refused, which is then told. */
async function keep(): Promise<boolean> {
  trouble.value = ''
  try {
    await classroom.setRoom(room())
    kept.value = written()
    await add()
    return learnerTrouble.value === ''
  } catch (error) {
    trouble.value = (error as Error).message
    return false
  }
}
async function done(): Promise<void> {
  if (await keep()) emit('done')
}
defineExpose({ unsaved, keep })
</script>

<template>
  <form class="room" novalidate @submit.prevent="done">
    <section>
      <label for="room-name">What is the room called?</label>
      <InputText
        id="room-name"
        v-model="name"
        maxlength="60"
        :aria-describedby="trouble ? 'room-trouble' : undefined"
        :aria-invalid="trouble !== ''"
      />
      <p v-if="trouble" id="room-trouble" class="trouble" role="alert">{{ trouble }}</p>
      <template v-if="!props.first">
        <label id="room-zone">Time zone</label>
        <Select v-model="zone" :options="zones" filter aria-labelledby="room-zone" class="zone" />
        <p class="quiet">This decides what day a lesson or a piece of work belongs to.</p>
      </template>
    </section>
    <section>
      <WordsForm v-model="words" />
    </section>
    <section v-if="!props.first" class="hands">
      <h2>Counting on hands</h2>
      <FingersForm :model-value="hands" @update:model-value="(counting) => Object.assign(hands, counting)" />
      <label
        >Joint marks on one hand
        <select v-model="jointKind">
          <option value="20">20: four on each of five fingers</option>
          <option value="12">12: three on each of four fingers</option>
          <option value="own">a number I choose for each finger</option>
        </select></label
      >
      <div v-if="jointKind === 'own'" class="fingers" role="group" aria-label="Joint marks on each finger">
        <label v-for="(f, i) in FINGER_NAMES" :key="f" class="per-finger"
          >{{ f }}
          <input v-model.number="perFinger[i]" type="number" min="0" max="5" required />
        </label>
      </div>
      <label class="check"
        ><input v-model="hands.touchExchanges" type="checkbox" /> Touch numerals in columns are worked with
        exchanges</label
      >
    </section>
    <section v-if="!props.first" class="hands">
      <h2>On the column sheet</h2>
      <label
        >Carry marks stand
        <select v-model="hands.carryMarks">
          <option value="above">over the next column</option>
          <option value="below">below the rule</option>
        </select></label
      >
      <label
        >A digit with ten more is written with
        <select v-model="hands.smallOne">
          <option value="one">a small 1 before it</option>
          <option value="rewrite">the old digit struck and the new one above</option>
        </select></label
      >
      <label
        >A column of several digits is added
        <select v-model="hands.columnSum">
          <option value="down">from the top down</option>
          <option value="tens">looking for tens first</option>
        </select></label
      >
      <label class="check"
        ><input v-model="hands.zeroFill" type="checkbox" /> Empty places are filled with noughts</label
      >
      <label class="check"
        ><input v-model="hands.columnMethod" type="checkbox" /> The class already uses the column method</label
      >
      <h2>On the abacus</h2>
      <AbacusForm v-model="hands.abacus" />
      <h2>Above and below nought</h2>
      <SignedForm v-model="hands.signed" />
      <h2>Parts of a whole</h2>
      <PartsForm v-model="hands.parts" />
      <h2>Coins</h2>
      <MoneyForm v-model="hands.money" />
      <h2>Long division</h2>
      <DivisionForm v-model="hands.division" />
      <h2>On the open number line</h2>
      <label
        >It starts from
        <select v-model="hands.startFrom">
          <option value="greater">the greater number</option>
          <option value="first">the first number</option>
        </select></label
      >
      <label
        >Tens are hopped
        <select v-model="hands.hops">
          <option value="joined">together</option>
          <option value="single">one by one</option>
        </select></label
      >
    </section>
    <section>
      <label for="code-name">Who learns here? Code names are enough.</label>
      <div class="row">
        <InputText
          id="code-name"
          v-model="codeName"
          maxlength="24"
          :aria-describedby="learnerTrouble ? 'learner-trouble' : 'records-law'"
          :aria-invalid="learnerTrouble !== ''"
          @keydown.enter.prevent="add"
        />
        <button type="button" class="stone-button" @click="add">Add</button>
      </div>
      <p v-if="learnerTrouble" id="learner-trouble" class="trouble" role="alert">{{ learnerTrouble }}</p>
      <ul v-if="classroom.learners.length" class="learners">
        <li v-for="l in classroom.learners" :key="l.id">
          <span>{{ l.codeName }}</span>
          <NuxtLink class="stone-button bare" :to="`/learners/${l.id}/suits`">What suits {{ l.codeName }}</NuxtLink>
          <NuxtLink class="stone-button bare" :to="`/learners/${l.id}`">What is kept of {{ l.codeName }}</NuxtLink>
        </li>
      </ul>
      <p v-else class="quiet">Nobody yet. You can also start without anybody, just to show.</p>
      <p id="records-law" class="quiet small">
        What you save about a learner stays on this machine and is never sent anywhere. What you may record depends on
        local law and your school’s policy. Sett suggests; it does not diagnose.
      </p>
    </section>
    <div class="row">
      <button type="submit" class="stone-button main">{{ props.first ? 'Go to the bench' : 'Save changes' }}</button>
    </div>
    <p class="sr-only" aria-live="polite">{{ said }}</p>
  </form>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.4rem;
  max-width: 34rem;
}
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.4rem;
}
label {
  font-weight: 700;
}
.check {
  min-height: 44px;
}
.check input {
  width: 22px;
  height: 22px;
}
.fingers {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 4px;
}
.fingers .stone-button {
  padding: 0.2rem;
}
.hands label {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  justify-content: space-between;
  font-weight: 400;
}
.row {
  display: flex;
  gap: 0.6rem;
}
.row :deep(.p-inputtext) {
  flex: 1;
  min-width: 0;
}
.learners {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
.learners li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
  border-bottom: 1px solid var(--rule);
  min-height: 48px;
}
.learners span {
  flex: 1;
  font-weight: 700;
}
.trouble::before {
  content: '↻ ';
}
.small {
  font-size: 0.92rem;
}
</style>
