<script setup lang="ts">
import { printAnswer, procedureById, sideBySide, suspectOf } from '../../../../core/diagnose/index'
import { attempt, inClassWords, parseProblem, pretty, withDefaults } from '../../../../core/door'

/** A usual mistake as it looks on the page: the first of some problems in which it shows, with its answer and the right one. */
const { id, problems } = defineProps<{ id: string; problems: readonly string[] }>()
const { t } = useI18n()
const classroom = useClassroom()
const { pack } = useNames()
const name = computed(() => inClassWords(procedureById(id)?.name ?? id, pack.value))
/** Problems of another kind than the mistake's say nothing of it, and what comes to a decimal where fractions are asked would mislead. */
const shown = computed(() => {
  const suspect = suspectOf([id], 0, withDefaults(classroom.hands ?? undefined))
  for (const problem of problems) {
    const found = attempt(() => sideBySide(parseProblem(problem), suspect))
    if ('refused' in found) continue
    const [theirs, right] = [printAnswer(found.ok.theirs), printAnswer(found.ok.right)]
    if (theirs === right || (theirs.includes('.') && !problem.includes('.'))) continue
    return { problem: pretty(problem), theirs: pretty(theirs), right: pretty(right) }
  }
  return null
})
</script>

<template>
  <div class="mistake">
    <span>{{ name }}</span>
    <p v-if="shown" class="learner pages">
      <span class="theirs"
        >{{ shown.problem }} = <b>{{ shown.theirs }}</b></span
      >
      <span class="right"
        ><IconCheck /><span class="sr-only">{{ t('steps.right') }}</span> {{ shown.right }}</span
      >
    </p>
  </div>
</template>

<style scoped>
.mistake {
  display: grid;
  gap: 2px;
}
.pages {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}
.pages > span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 1px 9px;
  border-radius: 6px;
  font-variant-numeric: tabular-nums;
}
.theirs {
  background: var(--paper-2);
}
.theirs b {
  text-decoration: underline wavy var(--plum) 1.5px;
  text-underline-offset: 4px;
}
.right {
  background: var(--moss-wash);
  color: var(--moss);
}
</style>
