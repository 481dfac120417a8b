<script setup lang="ts">
import { attempt, isWorkedOut, outcome, pretty, reopen } from '../../../core/door'
import type { Help } from '../../../shared/levels'
import { usualHelp } from '../../stores/bench/turns'
import type { Draft } from '../../utils/kept'

/** Saves the work on the bench, or unsaved work that was put aside. */
const { draft = null } = defineProps<{ draft?: Draft | null }>()
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const emit = defineEmits<{ saved: [problem: string] }>()
const bench = useBench()
const { t } = useI18n()
const classroom = useClassroom()
// The dialog is made anew each time it is opened, so it starts from what stands.
const reopened = draft && attempt(() => reopen(draft.work))
const standing = reopened && 'ok' in reopened ? reopened.ok : bench.bench
const { finished, right: isRight } = outcome(standing)
const right = ref(isRight || (!finished && isWorkedOut(standing)))
const help = ref<Help>(usualHelp(standing.mode))
const note = ref('')
const whose = draft ? (draft.learner ?? null) : (bench.whose ?? classroom.learnerId)
const learnerId = ref<string | null>(whose && classroom.nameOf(whose) ? whose : null)
const trouble = ref('')

async function save(): Promise<void> {
  if (!learnerId.value) {
    trouble.value = t('save.whoFirst')
    return
  }
  try {
    const given = { right: right.value, help: help.value, note: note.value }
    await bench.save(learnerId.value, given, draft ?? undefined)
    if (!draft) classroom.learnerId = learnerId.value
    open.value = false
    emit('saved', pretty(draft?.work.problem ?? bench.problem))
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
</script>

<template>
  <Dialog v-model:visible="open" modal :header="t('save.header')" :style="{ width: '34rem', maxWidth: '94vw' }">
    <form class="save" novalidate @submit.prevent="save">
      <OutcomeFields v-model:learner-id="learnerId" v-model:right="right" v-model:help="help" v-model:note="note" />
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="row">
        <button autofocus type="submit" class="stone-button main">{{ t('save.save') }}</button>
        <button type="button" class="stone-button" @click="open = false">{{ t('save.notNow') }}</button>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.save {
  display: grid;
  gap: 1rem;
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
