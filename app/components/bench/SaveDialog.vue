<script setup lang="ts">
import { HELP_LEVELS, type Help } from '../../../shared/levels'

const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const emit = defineEmits<{ saved: [] }>()
const bench = useBench()
const classroom = useClassroom()
const WORDS: Record<Help, string> = {
  independent: 'Without help',
  pointed: 'Pointed or looked',
  spoken: 'Spoken hint',
  shown: 'Shown',
  'hand-over-hand': 'Hand over hand',
}
// The dialog is made anew each time it is opened, so it starts from what stands.
const right = ref(bench.result.right)
const help = ref<Help>(bench.bench.mode === 'show' ? 'shown' : 'independent')
const note = ref('')
const learnerId = ref<string | null>(classroom.learnerId)
const trouble = ref('')

const options = computed(() => classroom.learners.map((l) => ({ value: l.id, label: l.codeName })))

async function save(): Promise<void> {
  if (!learnerId.value) {
    trouble.value = 'Choose whose work this is.'
    return
  }
  try {
    await bench.save(learnerId.value, { right: right.value, help: help.value, note: note.value })
    classroom.learnerId = learnerId.value
    open.value = false
    emit('saved')
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
</script>

<template>
  <Dialog v-model:visible="open" modal header="Save to the Daybook" :style="{ width: '34rem', maxWidth: '94vw' }">
    <form class="save" novalidate @submit.prevent="save">
      <div class="field">
        <label id="whose" for="learner-select">Whose work is it?</label>
        <Select
          v-model="learnerId"
          label-id="learner-select"
          :options="options"
          option-label="label"
          option-value="value"
          aria-labelledby="whose"
          placeholder="Choose a learner"
          :empty-message="'No learner yet: add one under the room’s menu.'"
        />
      </div>
      <fieldset>
        <legend>How did it come out?</legend>
        <label class="pick"><input v-model="right" type="radio" name="right" :value="true" /> Right</label>
        <label class="pick"
          ><input v-model="right" type="radio" name="right" :value="false" /> Not right, or not finished</label
        >
      </fieldset>
      <fieldset>
        <legend>The most help used</legend>
        <label v-for="h in HELP_LEVELS" :key="h" class="pick"
          ><input v-model="help" type="radio" name="help" :value="h" /> {{ WORDS[h] }}</label
        >
        <p v-if="help === 'hand-over-hand'" class="quiet">
          Only with the learner’s consent, and where the school allows it.
        </p>
      </fieldset>
      <div class="field">
        <label for="note">Note</label>
        <Textarea id="note" v-model="note" rows="2" maxlength="2000" />
      </div>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="row">
        <button autofocus type="submit" class="stone-button main">Save</button>
        <button type="button" class="stone-button" @click="open = false">Not now</button>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.save {
  display: grid;
  gap: 1rem;
}
.field {
  display: grid;
  gap: 0.3rem;
}
.field > label,
legend {
  font-weight: 700;
  padding: 0;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.2rem;
}
.pick {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
  cursor: pointer;
}
.pick input {
  width: 20px;
  height: 20px;
  accent-color: var(--clay);
}
.row {
  display: flex;
  gap: 0.6rem;
}
.trouble {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
}
</style>
