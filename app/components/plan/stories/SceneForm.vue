<script setup lang="ts">
import { attempt } from '../../../../core/door'
import { cellById, tellStory, type Scene } from '../../../../core/story/index'
import { sceneSchema } from '../../../../shared/scenes'
import type { StoryScenes } from '../../../composables/useStoryScenes'
import { sceneOf, type SceneTyped } from '../../../utils/sceneTyped'

/** A scene that a teacher describes field by field, with two stories in it as it is typed. */
const { scenes } = defineProps<{ scenes: StoryScenes }>()
const { t } = useI18n()
const blank = (): SceneTyped => ({
  title: '',
  one: '',
  many: '',
  unit: '',
  kindOne: '',
  kindTwo: '',
  where: '',
  comes: '',
  goes: '',
  holderOne: '',
  holderMany: '',
  within: 'in',
  rows: false,
  most: 100,
})
const TEXTS = [
  ['title', 60],
  ['one', 30],
  ['many', 30],
  ['unit', 12],
  ['kindOne', 30],
  ['kindTwo', 30],
  ['where', 40],
  ['comes', 30],
  ['goes', 30],
  ['holderOne', 30],
  ['holderMany', 30],
] as const
/** The field to look at where a part of the scene is refused. */
const FIELD_OF: Readonly<Record<string, (typeof TEXTS)[number][0]>> = {
  title: 'title',
  thing: 'one',
  where: 'where',
  comes: 'comes',
  goes: 'goes',
  holder: 'holderOne',
}
const within = (['in', 'on'] as const).map((value) => ({ value, label: t(`scene.within.${value}`) }))
const form = reactive(blank())
const said = ref('')
const isMeasured = computed(() => form.unit.trim() !== '')
const built = computed(() => sceneSchema.safeParse(sceneOf(form)))
/** Two stories in the scene as it is typed, so that its words can be heard. */
const tried = computed(() => {
  const scene = built.value.data as Scene | undefined
  if (!scene) return []
  return [
    ['take-from/result', '15 - 8'],
    ['groups/product', '4 * 6'],
  ].flatMap(([id, problem]) => {
    const told = attempt(() => tellStory({ problem: problem!, cell: cellById(id!)!, scene, seed: 1 }))
    return 'ok' in told ? [told.ok.text] : []
  })
})
async function add(): Promise<void> {
  if (!built.value.success) {
    const { message, path } = built.value.error.issues[0]!
    const field = FIELD_OF[String(path[0])]
    said.value = t('scene.look', { message, field: t(field ? `scene.${field}` : 'scene.typed') })
    return
  }
  const scene = built.value.data
  if (scenes.scenes.value.some((s) => s.id === scene.id)) {
    said.value = t('scene.taken')
    return
  }
  if (await scenes.keep({ scenes: [...scenes.own.value.scenes, scene] })) {
    said.value = t('scene.added', { name: scene.title })
    Object.assign(form, blank())
  }
}
const id = useId()
</script>

<template>
  <form class="card" novalidate :aria-label="t('scene.new')" @submit.prevent="add">
    <h2>{{ t('scene.new') }}</h2>
    <div class="fields">
      <div v-for="[field, most] in TEXTS" :key="field" class="field">
        <label :for="`${id}-${field}`">{{ t(`scene.${field}`) }}</label>
        <InputText
          :id="`${id}-${field}`"
          v-model="form[field]"
          :maxlength="most"
          :placeholder="t(`scene.like.${field}`)"
          :disabled="field === 'many' && isMeasured"
          autocomplete="off"
        />
      </div>
      <div class="field">
        <span :id="`${id}-within`">{{ t('scene.within') }}</span>
        <SelectButton
          v-model="form.within"
          :options="within"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          :aria-labelledby="`${id}-within`"
        />
      </div>
      <div class="field">
        <label :for="`${id}-most`">{{ t('scene.most') }}</label>
        <InputNumber v-model="form.most" :input-id="`${id}-most`" :min="10" :max="1_000_000" />
      </div>
      <label class="in-row rows"
        ><Checkbox v-model="form.rows" binary :aria-label="t('scene.rows')" /> {{ t('scene.rows') }}</label
      >
    </div>
    <section v-if="tried.length" class="tried learner" aria-live="polite" :aria-label="t('scene.tried')">
      <p v-for="text in tried" :key="text">{{ text }}</p>
    </section>
    <div class="in-row">
      <Button type="submit" :label="t('scene.addScene')" />
      <p role="status">{{ said }}</p>
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: 12px 18px;
  align-items: end;
}
.tried {
  display: grid;
  gap: 6px;
  padding: 12px 16px;
  border-radius: 10px;
  background: var(--paper);
  font-size: 1.15rem;
}
</style>
