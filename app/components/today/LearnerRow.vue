<script setup lang="ts">
import type { LearnerToday } from '../../composables/useToday'

/** A learner with the next step, how far it is, and what needs a look; one press starts with them. */
const props = defineProps<{ row: LearnerToday }>()
const emit = defineEmits<{ start: [step?: string] }>()
const { t } = useI18n()
const classroom = useClassroom()
const told = computed(() => t('today.howFar', { met: props.row.met, needed: props.row.needed }))
</script>

<template>
  <li class="learner-row">
    <LearnerMark :name="row.name" />
    <div class="said">
      <p class="name">
        <b>{{ row.name }}</b>
        <span v-if="row.sign === 'ready'" class="tag moss"><IconArrowUp /> {{ t('today.ready') }}</span>
        <span v-else-if="row.sign === 'stuck'" class="tag plum"><IconEye /> {{ t('today.stuck') }}</span>
        <span v-else-if="row.away" class="tag">{{ t('today.notSeen', row.away) }}</span>
      </p>
      <p class="quiet">{{ row.why }}</p>
      <div v-if="row.step && !row.sign" class="far" role="img" :aria-label="told" :title="told">
        <i v-for="n in row.needed" :key="n" :class="{ met: n <= row.met, tried: n > row.met && n <= row.tried }" />
      </div>
      <Button
        v-for="c in row.checks"
        :key="c.id"
        class="check"
        severity="secondary"
        text
        size="small"
        :label="t('today.check', { step: c.title })"
        :aria-label="t('today.checkOf', { step: c.title, name: row.name })"
        @click="emit('start', c.id)"
      />
    </div>
    <Button
      v-if="row.step"
      class="go"
      severity="secondary"
      :aria-label="t('today.startWith', { name: row.name })"
      @click="emit('start')"
      ><IconPlay
    /></Button>
    <Button
      v-else-if="!row.secure"
      as="router-link"
      severity="secondary"
      to="/plan/steps/find"
      :label="t('today.findStep')"
      :aria-label="t('today.findStepOf', { name: row.name })"
      @click="classroom.learnerId = row.id"
    />
  </li>
</template>

<style scoped>
.learner-row {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.learner-row:first-child {
  border: 0;
}
.said {
  flex: 1;
  min-width: 0;
  display: grid;
  gap: 2px;
}
.name {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
}
.far {
  display: flex;
  gap: 3px;
  max-width: 190px;
  margin-top: 3px;
}
/* A day that came right is filled, one that was tried is half as high: told by its shape too. */
.far i {
  flex: 1;
  height: 8px;
  border-radius: 4px;
  background: var(--paper-2);
  box-shadow: inset 0 0 0 1px var(--line-2);
}
.far i.met {
  background: var(--moss);
}
.far i.tried {
  background: linear-gradient(var(--gold) 50%, var(--paper-2) 50%);
}
.check {
  justify-self: start;
  margin-left: -11px;
  white-space: normal;
  text-align: left;
}
.go {
  width: 44px;
  padding: 0;
}
</style>
