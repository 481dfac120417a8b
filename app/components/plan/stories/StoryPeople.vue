<script setup lang="ts">
import type { Person } from '../../../../core/story/index'
import { personInStorySchema } from '../../../../shared/scenes'
import type { StoryScenes } from '../../../composables/useStoryScenes'

/** Who is in the stories of a class, and by which pronoun they are told of again. */
const { scenes, mayChange } = defineProps<{ scenes: StoryScenes; mayChange: boolean }>()
const emit = defineEmits<{ removed: [name: string, back: () => Promise<boolean>] }>()
const { t } = useI18n()
const NAME_AGAIN = 'name'
const name = ref('')
const pronoun = ref<NonNullable<Person['pronoun']> | typeof NAME_AGAIN>(NAME_AGAIN)
const pronouns = [NAME_AGAIN, 'she', 'he', 'they'].map((value) => ({ value, label: t(`scene.pronoun.${value}`) }))
const said = ref('')
const people = computed(() => scenes.own.value.people as readonly Person[])
async function add(): Promise<void> {
  const read = personInStorySchema.safeParse({
    name: name.value,
    ...(pronoun.value === NAME_AGAIN ? {} : { pronoun: pronoun.value }),
  })
  if (!read.success) {
    said.value = read.error.issues[0]!.message
    return
  }
  const { data } = read
  if (people.value.some((p) => p.name === data.name)) {
    said.value = t('scene.there', { name: data.name })
    return
  }
  if (await scenes.keep({ people: [...people.value, data] })) {
    said.value = t('scene.added', { name: data.name })
    name.value = ''
  }
}
async function remove(gone: Person): Promise<void> {
  if (await scenes.keep({ people: people.value.filter((p) => p.name !== gone.name) }))
    emit('removed', gone.name, () => scenes.keep({ people: [...people.value, gone] }))
}
const id = useId()
</script>

<template>
  <section class="card" aria-labelledby="own-people">
    <h2 id="own-people">{{ t('scene.who') }}</h2>
    <p class="quiet">{{ t(people.length > 1 ? 'scene.whoOwn' : 'scene.whoSett') }}</p>
    <ul v-if="people.length" class="plain in-row">
      <li v-for="p in people" :key="p.name" class="in-row">
        <b>{{ p.name }}</b>
        <span v-if="p.pronoun" class="quiet">{{ p.pronoun }}</span>
        <Button
          v-if="mayChange"
          severity="secondary"
          text
          :aria-label="t('scene.remove', { name: p.name })"
          @click="remove(p)"
          ><IconX
        /></Button>
      </li>
    </ul>
    <form v-if="mayChange" class="in-row add" novalidate :aria-label="t('scene.person')" @submit.prevent="add">
      <div class="field">
        <label :for="`${id}-name`">{{ t('scene.name') }}</label>
        <InputText :id="`${id}-name`" v-model="name" maxlength="24" autocomplete="off" />
      </div>
      <div class="field">
        <label :for="`${id}-pronoun`">{{ t('scene.pronoun') }}</label>
        <Select
          v-model="pronoun"
          :label-id="`${id}-pronoun`"
          :options="pronouns"
          option-label="label"
          option-value="value"
          :aria-label="t('scene.pronoun')"
        />
      </div>
      <Button type="submit" severity="secondary"><IconPlus /> {{ t('scene.add') }}</Button>
    </form>
    <p role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.add {
  align-items: end;
}
</style>
