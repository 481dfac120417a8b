<script setup lang="ts">
import type { Role } from '../../../shared/roles'

/** Which learners somebody sees: all of them, or those of some groups and some besides. A helper always has some only. */
const props = defineProps<{
  /** What is asked: which learners it is about, and whose. */
  asked: string
  role: Role
  groups: readonly string[] | null
  learners: readonly string[]
}>()
const emit = defineEmits<{ change: [groups: string[] | null, learners: string[]] }>()
const classroom = useClassroom()
const chosen = computed(() => props.groups ?? [])
/** Groups that there are, and those that somebody has been given although nobody is in them now. */
const all = computed(() => [...new Set([...classroom.groups, ...chosen.value])])
const isAll = computed(() => props.role !== 'helper' && props.groups === null)
const toggled = (list: readonly string[], one: string): string[] =>
  list.includes(one) ? list.filter((l) => l !== one) : [...list, one]
</script>

<template>
  <fieldset class="reach">
    <legend>{{ asked }}</legend>
    <label v-if="role !== 'helper'" class="inline">
      <Checkbox
        binary
        :model-value="isAll"
        @update:model-value="(on: boolean) => emit('change', on ? null : [], on ? [] : [...learners])"
      />
      All learners
    </label>
    <template v-if="!isAll">
      <label v-for="g in all" :key="g" class="inline">
        <Checkbox
          binary
          :model-value="chosen.includes(g)"
          @update:model-value="emit('change', toggled(chosen, g), [...learners])"
        />
        Group {{ g }}
      </label>
      <label v-for="l in classroom.learners" :key="l.id" class="inline">
        <Checkbox
          binary
          :model-value="learners.includes(l.id)"
          @update:model-value="emit('change', [...chosen], toggled(learners, l.id))"
        />
        {{ l.codeName }}
      </label>
    </template>
    <p v-if="!isAll && chosen.length === 0 && learners.length === 0" class="none">
      Nobody is ticked, so no learner will be shown.
    </p>
  </fieldset>
</template>

<style scoped>
.reach {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.2rem;
  border: 0;
  margin: 0;
  padding: 0 0 0.6rem;
}
.reach legend {
  padding: 0;
  font-size: 0.95rem;
  color: var(--ink-soft);
}
.none {
  flex-basis: 100%;
  margin: 0;
  color: var(--ink-soft);
}
.inline {
  display: inline-flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
}
</style>
