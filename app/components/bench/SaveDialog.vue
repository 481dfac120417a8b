<script setup lang="ts">
import { isWorkedOut } from '../../../core/door'
import type { Help } from '../../../shared/levels'

const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const emit = defineEmits<{ saved: [] }>()
const bench = useBench()
const { t } = useI18n()
const classroom = useClassroom()
// The dialog is made anew each time it is opened, so it starts from what stands.
const right = ref(bench.result.right || (!bench.result.finished && isWorkedOut(bench.bench)))
const help = ref<Help>(bench.bench.mode === 'show' ? 'shown' : 'independent')
const note = ref('')
const learnerId = ref<string | null>(classroom.learnerId)
const trouble = ref('')

async function save(): Promise<void> {
  if (!learnerId.value) {
    trouble.value = t('save.whoFirst')
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
