<script setup lang="ts">
import type { Diagnosis } from '../../../../core/diagnose/index'
import { withDefaults as withChoices } from '../../../../core/door'
import type { AnsweredAlone } from '../../../../shared/marking'
import { leading, likely, nameOfBug } from '../../../utils/saidOf'
import { request } from '../../../utils/request'

/** After a lesson: what the answers say that a learner gave alone at the Bench lately, with a way on to marking them. */
const { learner } = defineProps<{ learner: string }>()
const classroom = useClassroom()
const { mark } = useMarking()
const found = shallowRef<{ readonly diagnosis: Diagnosis; readonly count: number } | null>(null)

/** Fewer answers than these say nothing yet. */
const LEAST = 3
watch(
  () => learner,
  async (who) => {
    found.value = null
    try {
      const { items } = await request<AnsweredAlone>(`/api/markings/worked?learner=${encodeURIComponent(who)}`)
      if (items.length < LEAST || who !== learner) return
      const pages = [items.map(({ problem, answer }) => ({ problem, answer }))]
      const { said } = await mark({
        job: 'pages',
        pages,
        with: 'paper',
        choices: withChoices(classroom.hands ?? undefined),
      })
      if (who === learner) found.value = { diagnosis: said[0]!, count: items.length }
    } catch {
      // The Daybook is whole without this line; marking itself tells what is wrong.
    }
  },
  { immediate: true },
)
const top = computed(() => found.value && leading(found.value.diagnosis))
</script>

<template>
  <p v-if="found" class="say" role="status">
    <template v-if="top">
      Answers given alone like these come from this way of working: <b>{{ nameOfBug(top.bug) }}</b> ({{
        likely(top.probability)
      }}; {{ top.explains.length }} of {{ found.count }} answers).
    </template>
    <template v-else
      >Of the last {{ found.count }} answers given alone, {{ found.diagnosis.wrong.length }} are wrong; no procedure is
      seen in them.</template
    >
    <NuxtLink class="stone-button" :to="{ path: '/learners/marking', query: { learner } }">Mark them</NuxtLink>
  </p>
</template>

<style scoped>
.say {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.6rem;
  align-items: center;
  padding: 0.3rem 0.8rem;
  border-left: 6px solid var(--clay);
  background: var(--paper-2);
}
.say .stone-button {
  margin-left: auto;
}
</style>
