<script setup lang="ts">
import { isRepresentation, representationsFor } from '../../../core/door'
import type { OwnPlan, ToldPlan } from '../../../core/story/index'

/** Stories: a problem told as something that happens, worked stage by stage; a teacher’s own; the scenes; printed pages marked. */
const { t } = useI18n()
const { query } = useRoute()
const router = useRouter()
const bench = useBench()
const desk = useStoryDesk()
const scenes = useStoryScenes()
const { trouble, tried } = useTrouble()
const asked = (name: string): string => (typeof query[name] === 'string' ? (query[name] as string) : '')
const opened = useOpenedStory(asked('trial') || null)
await Promise.all([scenes.load(), opened.load()])
const told = useToldStory(scenes)
if (asked('problem')) told.kept.value.problem = asked('problem')
if (asked('cell')) told.kept.value.cell = asked('cell')

const TABS = ['sett', 'own', 'scenes', 'page'] as const
const tab = ref<(typeof TABS)[number]>(asked('page') ? 'page' : 'sett')
const tabs = TABS.map((value) => ({ value, label: t(`story.tab.${value}`) }))
/** Whoever comes for another story or for a page sees that; the one on the desk stays there. */
const aside = ref(Boolean(asked('problem') || asked('page')))
const onDesk = computed(() => (aside.value ? null : desk.story.value))

function begin(plan: ToldPlan | OwnPlan): void {
  aside.value = false
  desk.begin(plan, told.kept.value.mode)
  // When the page is loaded again, the story on the desk is what is wanted.
  void router.replace({ query: {} })
}
const work = (problem: string, material?: string): Promise<void> =>
  tried(async () => {
    const on = material ?? representationsFor(problem).find((o) => o.fits)?.representation
    const refused = bench.ask(problem, { mode: 'alone', ...(on && isRepresentation(on) ? { material: on } : {}) })
    if (refused) throw new Error(refused.message)
    await navigateTo('/bench')
  })
const facts = computed(() =>
  !onDesk.value && !opened.id && tab.value === 'sett' && told.fitting.value.length
    ? t('story.fits', told.fitting.value.length)
    : t('story.facts'),
)
useHead({ title: () => `${t('frame.stories')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('frame.stories')" :facts="facts" live>
      <template v-if="!onDesk && !opened.id">
        <Button v-if="desk.story.value" severity="secondary" :label="t('story.goOn')" @click="aside = false" />
        <Button
          v-else-if="desk.away.value.length"
          severity="secondary"
          :label="t('story.bringBack')"
          @click="desk.bringBack()"
        />
      </template>
      <Button v-if="onDesk" severity="secondary" @click="desk.putAway()"><IconX /> {{ t('story.putAway') }}</Button>
    </PageHeader>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <SelectButton
      v-if="!onDesk && !opened.id"
      v-model="tab"
      class="no-print"
      :options="tabs"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      :aria-label="t('story.tabs')"
    />
    <LazyWorkedStory v-if="opened.id" :opened="opened" />
    <LazyStoryDesk v-else-if="onDesk" :desk="desk" :story="onDesk" @work="work" />
    <LazyStoryPage v-else-if="tab === 'page'" :code="asked('page')" />
    <LazyScenesOfClass v-else-if="tab === 'scenes'" :scenes="scenes" />
    <LazyOwnStory v-else-if="tab === 'own'" @work="work" @stages="begin" />
    <ToldStory v-else :of="told" @work="work" @stages="begin" />
  </div>
</template>
