<script setup lang="ts">
import type { StoryScenes } from '../../../composables/useStoryScenes'

/** Scenes and people that a class adds to its stories; whatever is removed can be brought back. */
const { scenes } = defineProps<{ scenes: StoryScenes }>()
const { t } = useI18n()
const session = useSession()
const mayChange = computed(() => session.may('teacher'))
/** What was removed last, until it is brought back. */
const removed = shallowRef<{ readonly name: string; readonly back: () => Promise<boolean> } | null>(null)
async function remove(id: string): Promise<void> {
  const gone = scenes.own.value.scenes.find((s) => s.id === id)
  if (!gone || !(await scenes.keep({ scenes: scenes.own.value.scenes.filter((s) => s.id !== id) }))) return
  removed.value = { name: gone.title, back: () => scenes.keep({ scenes: [...scenes.own.value.scenes, gone] }) }
}
async function undo(): Promise<void> {
  if (await removed.value?.back()) removed.value = null
}
</script>

<template>
  <div class="scenes">
    <p v-if="scenes.trouble.value" class="trouble" role="alert">{{ scenes.trouble.value }}</p>
    <div v-if="removed" class="in-row">
      <p role="status">{{ t('scene.removed', { name: removed.name }) }}</p>
      <Button severity="secondary" :label="t('scene.undo')" @click="undo" />
    </div>
    <StoryPeople :scenes="scenes" :may-change="mayChange" @removed="(name, back) => (removed = { name, back })" />
    <section class="card" aria-labelledby="own-scenes">
      <h2 id="own-scenes">{{ t('scene.own') }}</h2>
      <ul v-if="scenes.own.value.scenes.length" class="plain in-row">
        <li v-for="s in scenes.own.value.scenes" :key="s.id" class="in-row">
          <b>{{ s.title }}</b>
          <span class="quiet">{{ t('scene.upTo', { things: s.thing.many, most: s.thing.most }) }}</span>
          <Button
            v-if="mayChange"
            severity="secondary"
            text
            :aria-label="t('scene.remove', { name: s.title })"
            @click="remove(s.id)"
            ><IconX
          /></Button>
        </li>
      </ul>
      <p v-else class="quiet">{{ t('scene.none') }}</p>
    </section>
    <SceneForm v-if="mayChange" :scenes="scenes" />
  </div>
</template>

<style scoped>
.scenes,
.card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.scenes {
  gap: 18px;
}
</style>
