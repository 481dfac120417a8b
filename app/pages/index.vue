<script setup lang="ts">
import { Form, type FormSubmitEvent } from '@primevue/forms'
import { zodResolver } from '@primevue/forms/resolvers/zod'
import { z } from 'zod'
import { attempt, methodsOf, parseProblem, READY_SETS, representationsFor, type ReadySetId } from '../../core/door'
import { folded, type Hands } from '../../shared/schemas'

/** The first run: the class, its words, a first problem; then the Bench. Where a class is here already, Today. */
const classroom = useClassroom()
if (classroom.classroom) await navigateTo('/today', { replace: true })
const { t } = useI18n()
const bench = useBench()
/** The steps by their numbers, as the stepper shows them. */
const step = ref(1)
const STEPS = ['class', 'words', 'first'] as const

const MOST_ROOM = 60
const schema = z.object({
  room: z.string().max(MOST_ROOM),
  names: z.string().superRefine((text, { addIssue }) => {
    const bad = badNameIn(text)
    if (bad) addIssue({ code: 'custom', message: t('start.badName', { ...bad }) })
  }),
  problem: z.string().superRefine((text, { addIssue }) => {
    const read = text.trim() === '' ? null : attempt(() => parseProblem(text))
    if (read && 'refused' in read) addIssue({ code: 'custom', message: read.refused.message })
  }),
})
type Fields = z.infer<typeof schema>
const resolver = zodResolver(schema)
const atFirst: Fields = { room: '', names: '', problem: '52 − 37' }
const names = ref('')
const count = computed(() => namesIn(names.value).length)
const setId = ref<ReadySetId>('british')
const set = computed(() => READY_SETS.find(({ id }) => id === setId.value)!)
const sets = computed(() =>
  READY_SETS.map(({ id, words: { exchange, plus, minus, ones, language } }) => ({
    id,
    label: t(`start.${id}`),
    says: language === 'es' ? '' : [plus, minus, exchange, ones].join(', '),
  })),
)

const fileTrouble = ref('')
async function fromFile(file: File | undefined): Promise<void> {
  const found = file ? namesInFile(await file.text()) : ''
  fileTrouble.value = found ? '' : t('start.unreadable')
  if (found) names.value = names.value.trim() ? `${names.value.trim()}\n${found}` : found
}

const busy = ref(false)
const trouble = ref('')
/** In which step each field stands, and by which id. */
const FIELDS = [
  { name: 'room', id: 'room', step: 1 },
  { name: 'names', id: 'names', step: 1 },
  { name: 'problem', id: 'first-problem', step: 3 },
] as const
/** Asks the problem with the first material that can hold it; what is wrong where none can. */
function ask(problem: string): string {
  const fits = representationsFor(parseProblem(problem)).find((o) => o.fits)
  return bench.ask(problem, fits ? { material: fits.representation } : {})?.message ?? ''
}
/** Where something is wrong, the step that it is in comes to the front, and its field has the focus. */
async function start({ valid, values, errors }: FormSubmitEvent): Promise<void> {
  if (!valid) {
    const wrong = errors as unknown as Partial<Record<keyof Fields, readonly unknown[]>>
    const first = FIELDS.find(({ name }) => wrong[name]?.length)
    step.value = first?.step ?? 1
    await nextTick()
    if (first) document.getElementById(first.id)?.focus()
    return
  }
  const { room, problem } = values as Fields
  busy.value = true
  trouble.value = ''
  try {
    await classroom.setRoom({
      name: room.trim() || t('start.roomAtFirst'),
      words: set.value.words,
      hands: structuredClone(methodsOf(set.value)) as Hands,
    })
    // Those who were added before something went wrong are there already.
    const there = classroom.learners.map((l) => folded(l.codeName))
    for (const name of namesIn(names.value).filter((n) => !there.includes(folded(n))))
      await classroom.addLearner(name).catch((error: Error) => {
        throw new Error(t('start.notAdded', { name, why: error.message }), { cause: error })
      })
    classroom.learnerId = classroom.learners[0]?.id ?? null
    trouble.value = ask(problem.trim() || atFirst.problem)
    if (!trouble.value) await navigateTo('/bench')
  } catch (error) {
    trouble.value = (error as Error).message
  }
  busy.value = false
}
useHead({ title: () => `${t('start.title')} – Sett` })
</script>

<template>
  <div class="start">
    <div class="work">
      <PageHeader :title="t('start.title')" :facts="t('start.facts')" />
      <Form
        v-slot="$form"
        :resolver="resolver"
        :initial-values="atFirst"
        validate-on-blur
        :validate-on-value-update="false"
        class="card"
        @submit="start"
      >
        <Stepper v-model:value="step">
          <StepList>
            <Step v-for="(s, i) in STEPS" :key="s" :value="i + 1">{{ t(`start.${s}`) }}</Step>
          </StepList>
          <StepPanels>
            <StepPanel :value="1">
              <div class="fields">
                <label for="room">{{ t('start.room') }}</label>
                <InputText id="room" name="room" :maxlength="MOST_ROOM" :placeholder="t('start.roomAtFirst')" />
                <label for="names">{{ t('start.names') }}</label>
                <Textarea
                  id="names"
                  v-model="names"
                  name="names"
                  rows="5"
                  aria-describedby="names-help names-trouble"
                />
                <Message
                  v-if="$form.names?.invalid"
                  id="names-trouble"
                  severity="error"
                  size="small"
                  variant="simple"
                  >{{ $form.names.error?.message }}</Message
                >
                <p id="names-help" class="quiet">{{ t('start.namesHelp') }}</p>
                <div class="in-row">
                  <FilePick :label="t('start.fromFile')" accept=".txt,.csv,text/plain,text/csv" @pick="fromFile" />
                  <span role="status">{{ t('start.found', count) }}</span>
                </div>
                <Message v-if="fileTrouble" severity="error" size="small" variant="simple">{{ fileTrouble }}</Message>
                <p class="quiet small">{{ t('start.law') }}</p>
              </div>
              <div class="in-row ends">
                <Button type="button" :label="t('start.next')" @click="step = 2" />
                <Button type="submit" severity="secondary" text :label="t('start.straight')" :loading="busy" />
              </div>
            </StepPanel>
            <StepPanel :value="2">
              <div class="fields">
                <span id="sets">{{ t('start.sets') }}</span>
                <div class="sets" role="radiogroup" aria-labelledby="sets">
                  <label v-for="s in sets" :key="s.id" :class="{ chosen: s.id === setId }">
                    <RadioButton v-model="setId" name="set" :value="s.id" />
                    <span
                      >{{ s.label }} <span class="quiet">{{ s.says }}</span></span
                    >
                  </label>
                </div>
                <p class="quiet">{{ t('start.changeLater') }}</p>
              </div>
              <div class="in-row ends">
                <Button type="button" :label="t('start.next')" @click="step = 3" />
                <Button type="button" severity="secondary" text :label="t('start.back')" @click="step = 1" />
              </div>
            </StepPanel>
            <StepPanel :value="3">
              <div class="fields">
                <label for="first-problem">{{ t('start.problem') }}</label>
                <InputText
                  id="first-problem"
                  name="problem"
                  class="learner"
                  autocomplete="off"
                  aria-describedby="problem-help problem-trouble"
                />
                <Message
                  v-if="$form.problem?.invalid"
                  id="problem-trouble"
                  severity="error"
                  size="small"
                  variant="simple"
                  >{{ $form.problem.error?.message }}</Message
                >
                <p id="problem-help" class="quiet">{{ t('start.problemHelp') }}</p>
              </div>
              <div class="in-row ends">
                <Button type="submit" :label="t('start.go')" :loading="busy" />
                <Button type="button" severity="secondary" text :label="t('start.back')" @click="step = 2" />
              </div>
            </StepPanel>
          </StepPanels>
        </Stepper>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      </Form>
    </div>
    <StartPreview :words="set.words" />
  </div>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 400px);
  gap: 32px;
  align-items: start;
  max-width: 76rem;
  margin: 0 auto;
  padding: clamp(16px, 6vh, 72px) clamp(12px, 3vw, 32px);
}
.work,
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
}
.fields {
  gap: 8px;
  min-height: 20rem;
  align-content: start;
}
label,
#sets {
  font-weight: 700;
}
.small {
  font-size: 0.9rem;
}
#first-problem {
  font-size: 1.5rem;
  max-width: 16rem;
}
.sets {
  display: grid;
  gap: 8px;
}
/* The words that a set says stand after its name. */
.sets label .quiet {
  margin-left: 8px;
  font-weight: 400;
}
.sets label {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  padding: 0 16px;
  border: 1px solid var(--line-2);
  border-radius: 10px;
  cursor: pointer;
}
.sets label.chosen {
  background: var(--clay-wash);
  border-color: var(--clay);
}
.ends {
  margin-top: 16px;
}
@media (max-width: 1000px) {
  .start {
    grid-template-columns: minmax(0, 1fr);
    align-items: start;
  }
}
</style>
