<script setup lang="ts">
import { cellId, type Cell } from '../../../../core/story/index'

/** The problem of a story, and the kinds of story that fit it by the pictures of their bars. */
const { fitting, chosen } = defineProps<{ fitting: readonly Cell[]; chosen: Cell | undefined }>()
const problem = defineModel<string>('problem', { required: true })
const cell = defineModel<string>('cell', { required: true })
const { t } = useI18n()
const { askedName, groupOf, kindName, trickyOf } = useStoryNames()
const groups = computed(() =>
  [...new Set(fitting.map(groupOf))].map((name) => ({
    name,
    items: fitting
      .filter((c) => groupOf(c) === name)
      .map((c) => ({ id: cellId(c), cell: c, label: kindName(c), tricky: trickyOf(c) })),
  })),
)
const id = useId()
</script>

<template>
  <form class="card for no-print" :aria-label="t('story.which')" @submit.prevent>
    <div class="field">
      <label :for="id">{{ t('story.problem') }}</label>
      <InputText :id="id" v-model="problem" class="learner problem" maxlength="60" autocomplete="off" />
      <p class="quiet hint">{{ t('story.problemHint') }}</p>
    </div>
    <Listbox
      v-if="fitting.length"
      :model-value="chosen ? cellId(chosen) : null"
      :options="groups"
      option-label="label"
      option-value="id"
      option-group-label="name"
      option-group-children="items"
      scroll-height="none"
      :aria-label="t('story.which')"
      @update:model-value="(to: string | null) => to && (cell = to)"
    >
      <template #option="{ option }">
        <span class="kind">
          <SituationPicture :cell="option.cell" :problem="problem" />
          <span class="asked">
            {{ askedName(option.cell) }}
            <span v-if="option.tricky" class="tag plum">{{ t('story.tricky') }}</span>
          </span>
        </span>
      </template>
    </Listbox>
  </form>
</template>

<style scoped>
.for {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.problem {
  font-size: 1.4rem;
}
.hint {
  font-weight: 400;
}
:deep(.p-listbox) {
  border: 0;
}
/* The page is scrolled, not the list. */
:deep(:is(.p-listbox-list, .p-listbox-list-container)) {
  overflow: visible;
}
:deep(.p-listbox-option-group) {
  padding-block: 10px 4px;
  font-weight: 700;
}
:deep(.p-listbox-option) {
  flex: none;
  white-space: normal;
}
.kind {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 44px;
}
.asked {
  display: grid;
  justify-items: start;
  gap: 2px;
}
</style>
