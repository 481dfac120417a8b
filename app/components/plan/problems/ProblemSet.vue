<script setup lang="ts">
import { attempt, parseProblem, pretty, printProblem } from '../../../../core/door'

/** A set of problems: each can be locked, so that it stays when others come, dropped for another one, or typed anew. */
const { problems, locked } = defineProps<{ problems: readonly string[]; locked: readonly string[] }>()
const emit = defineEmits<{
  lock: [problem: string, stays: boolean]
  drop: [problem: string]
  /** A problem takes the place of another, and stays. */
  put: [problem: string, instead: string]
}>()
const { t } = useI18n()
const refused = ref<Readonly<Record<string, string>>>({})
function type(instead: string, text: string): void {
  const read = attempt(() => printProblem(parseProblem(text)))
  refused.value = 'refused' in read ? { [instead]: read.refused.message } : {}
  if ('ok' in read && read.ok !== instead) emit('put', read.ok, instead)
}
</script>

<template>
  <ol class="plain problem-set">
    <li v-for="(p, i) in problems" :key="p">
      <span class="quiet number">{{ i + 1 }}</span>
      <InputText
        class="learner problem"
        maxlength="200"
        :model-value="pretty(p)"
        :invalid="refused[p] !== undefined"
        :aria-label="t('problems.number', { n: i + 1 })"
        @change="type(p, ($event.target as HTMLInputElement).value)"
      />
      <Button
        severity="secondary"
        :text="!locked.includes(p)"
        class="no-print"
        :aria-pressed="locked.includes(p)"
        :aria-label="t('problems.lock', { problem: pretty(p) })"
        @click="emit('lock', p, !locked.includes(p))"
        ><IconLock v-if="locked.includes(p)" /><IconLockOpen v-else
      /></Button>
      <Button
        severity="secondary"
        text
        class="no-print"
        :aria-label="t('problems.drop', { problem: pretty(p) })"
        @click="emit('drop', p)"
        ><IconX
      /></Button>
      <p v-if="refused[p]" class="trouble" role="alert">{{ refused[p] }}</p>
    </li>
  </ol>
</template>

<style scoped>
.problem-set {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 17rem), 1fr));
  gap: 2px 24px;
}
li {
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr) 44px 44px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.problem {
  width: 100%;
  padding-inline: 6px;
  border-color: transparent;
  background: transparent;
  font-size: 1.4rem;
}
.problem:hover {
  border-color: var(--line-2);
}
.number {
  text-align: right;
  font-size: 0.9rem;
}
.trouble {
  grid-column: 2 / -1;
}
</style>
