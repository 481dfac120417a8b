<script setup lang="ts">
import { HELP_LEVELS, type Help } from '../../../shared/levels'

/** Whose work it is, how it came out, with how much help, and a note. */
const learnerId = defineModel<string | null>('learnerId', { required: true })
const right = defineModel<boolean>('right', { required: true })
const help = defineModel<Help>('help', { required: true })
const note = defineModel<string>('note', { required: true })
const classroom = useClassroom()
const { t } = useI18n()
const WORDS = {
  independent: 'save.independent',
  pointed: 'save.pointed',
  spoken: 'save.spoken',
  shown: 'save.shown',
  'hand-over-hand': 'save.handOverHand',
} as const satisfies Record<Help, string>
const id = useId()
const options = computed(() => classroom.learners.map((l) => ({ value: l.id, label: l.codeName })))
</script>

<template>
  <div class="field">
    <label :id="`${id}-whose`" :for="`${id}-learner`">{{ t('save.whose') }}</label>
    <Select
      v-model="learnerId"
      :label-id="`${id}-learner`"
      :options="options"
      option-label="label"
      option-value="value"
      :aria-labelledby="`${id}-whose`"
      :placeholder="t('save.choose')"
      :empty-message="t('save.none')"
    />
  </div>
  <fieldset>
    <legend>{{ t('save.outcome') }}</legend>
    <label class="pick"
      ><input v-model="right" type="radio" :name="`${id}-right`" :value="true" /> {{ t('save.right') }}</label
    >
    <label class="pick"
      ><input v-model="right" type="radio" :name="`${id}-right`" :value="false" /> {{ t('save.notRight') }}</label
    >
  </fieldset>
  <fieldset>
    <legend>{{ t('save.help') }}</legend>
    <label v-for="h in HELP_LEVELS" :key="h" class="pick"
      ><input v-model="help" type="radio" :name="`${id}-help`" :value="h" /> {{ t(WORDS[h]) }}</label
    >
    <p v-if="help === 'hand-over-hand'" class="quiet">
      {{ t('save.consent') }}
    </p>
  </fieldset>
  <div class="field">
    <label :for="`${id}-note`">{{ t('save.note') }}</label>
    <Textarea :id="`${id}-note`" v-model="note" rows="2" maxlength="2000" />
  </div>
</template>

<style scoped>
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
</style>
