<script setup lang="ts">
import { pretty, type RepresentationId } from '../../../core/door'
import type { Unfinished } from '../../composables/useUnfinished'
import type { Draft } from '../../utils/kept'

/**
 * What is not finished: work that lies at the Bench or was put aside, a page being marked, a print, notes being taken. Each is gone on
 * with or discarded by itself.
 */
const { t } = useI18n()
const bench = useBench()
const classroom = useClassroom()
/** So many are shown before somebody asks for all. */
const MOST = 3
const every = ref(false)
/** What lies on the Bench now, where it is somebody's work: steps that Sett showed are nobody's. */
const lying = computed(() =>
  bench.draft && (bench.draft.work.mode !== 'show' || bench.draft.byHand) ? bench.draft : null,
)
const all = computed(() => [...(lying.value ? [lying.value] : []), ...[...bench.asides].reverse()])
const drafts = computed(() => (every.value ? all.value : all.value.slice(0, MOST)))
const problem = (d: Draft): string => pretty(d.work.problem)
function whatOf(d: Draft): string {
  const name = d.learner ? classroom.nameOf(d.learner) : ''
  return name ? t('today.withName', { problem: problem(d), name }) : t('today.withNobody', { problem: problem(d) })
}
const materialOf = (d: Draft): RepresentationId => d.work.representation
function whenOf(d: Draft): string {
  const day = dayOf(d.startedAt)
  return t('today.notSaved', { when: `${dayInWords(day)}, ${timeOf(Date.parse(d.startedAt))}` })
}
const elsewhere = useUnfinished()
/** What was discarded last, and what brings it back. */
const discarded = shallowRef<{ readonly what: string; readonly undo: () => void } | null>(null)
function discard(d: Draft, what: string): void {
  bench.deleteAside(d.id)
  discarded.value = { what, undo: bench.undelete }
}
const discardElsewhere = (u: Unfinished): void => void (discarded.value = { what: u.what, undo: u.discard!() })
function undo(): void {
  discarded.value?.undo()
  discarded.value = null
}
async function goOn(d: Draft): Promise<void> {
  if (d !== lying.value) bench.openAside(d.id)
  await navigateTo('/bench')
}
</script>

<template>
  <section v-if="drafts.length || elsewhere.length || discarded" class="card">
    <h2>{{ t('today.leftOff') }}</h2>
    <ul class="plain">
      <li v-for="d in drafts" :key="d.id">
        <MaterialPicture :id="materialOf(d)" class="picture" />
        <span class="said">
          <b class="learner">{{ whatOf(d) }}</b>
          <span class="quiet">{{ whenOf(d) }}</span>
        </span>
        <Button
          severity="secondary"
          :label="t('today.goOnShort')"
          :aria-label="t('today.goOnWith', { what: whatOf(d) })"
          @click="goOn(d)"
        />
        <Button
          v-if="d !== lying"
          severity="secondary"
          text
          :label="t('today.discard')"
          :aria-label="t('today.discardOf', { what: whatOf(d) })"
          @click="discard(d, whatOf(d))"
        />
      </li>
      <li v-for="u in elsewhere" :key="u.id">
        <span class="picture sign">
          <IconPrinter v-if="u.id === 'print'" />
          <IconPencil v-else />
        </span>
        <span class="said">
          <b>{{ u.what }}</b>
          <span class="quiet">{{ u.facts }}</span>
        </span>
        <Button
          as="router-link"
          severity="secondary"
          :to="u.to"
          :label="t('today.goOnShort')"
          :aria-label="t('today.goOnWith', { what: u.what })"
        />
        <Button
          v-if="u.discard"
          severity="secondary"
          text
          :label="t('today.discard')"
          :aria-label="t('today.discardOf', { what: u.what })"
          @click="discardElsewhere(u)"
        />
      </li>
    </ul>
    <Button
      v-if="all.length > drafts.length"
      severity="secondary"
      text
      :label="t('today.leftMore', { n: all.length })"
      @click="every = true"
    />
    <p v-if="discarded" class="in-row" role="status">
      {{ t('today.discarded', { what: discarded.what }) }}
      <Button severity="secondary" :label="t('today.undo')" @click="undo" />
    </p>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 12px 0 0;
}
.picture {
  width: 62px;
  border-radius: 10px;
}
.sign {
  display: grid;
  place-items: center;
  height: 46px;
  background: var(--ground);
}
.said {
  display: grid;
  flex: 1 1 12rem;
}
</style>
