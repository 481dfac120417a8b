<script setup lang="ts">
import type { RepresentationId } from '../../../../core/door'
import type { Kit, KitItem } from '../../../../core/kit/index'
import type { BoughtPack } from '../../../../shared/cupboard'

/** Packs with pieces of several kinds: what is in each, and how many of it are to be bought for this kit. */
const { material, items, wanted, packs, mayChange } = defineProps<{
  material: RepresentationId
  items: readonly KitItem[]
  wanted: Kit['packs']
  packs: readonly BoughtPack[]
  mayChange: boolean
}>()
const emit = defineEmits<{ change: [packs: readonly BoughtPack[]] }>()
const { t } = useI18n()
const own = computed(() => packs.filter((p) => p.kinds.some((key) => key.startsWith(`${material}/`))))
const toBuy = (name: string): number => wanted.find((w) => w.name === name)?.count ?? 0
const nameOf = (key: string): string => {
  const kind = key.slice(material.length + 1)
  return items.find((i) => i.kind === kind)?.name[1] ?? kind
}

const adding = ref(false)
const name = ref('')
const size = ref(100)
const kinds = ref<string[]>([])
const trouble = ref('')
function add(): void {
  const title = name.value.trim()
  trouble.value =
    title === ''
      ? t('mat.packName')
      : packs.some((p) => p.name === title)
        ? t('mat.packTwice', { name: title })
        : kinds.value.length === 0
          ? t('mat.packEmpty')
          : ''
  if (trouble.value) return
  emit('change', [...packs, { name: title, kinds: kinds.value.map((k) => `${material}/${k}`), size: size.value || 1 }])
  adding.value = false
  name.value = ''
  kinds.value = []
}
</script>

<template>
  <div v-if="own.length || mayChange" class="packs">
    <p v-for="p in own" :key="p.name" class="in-row">
      <span>{{ t('mat.packHas', { name: p.name, n: p.size, what: p.kinds.map(nameOf).join(', ') }) }}</span>
      <b>{{ t('mat.toBuy', toBuy(p.name)) }}</b>
      <Button
        v-if="mayChange"
        severity="secondary"
        text
        :aria-label="t('mat.packRemove', { name: p.name })"
        @click="
          emit(
            'change',
            packs.filter((other) => other !== p),
          )
        "
        ><IconTrash2
      /></Button>
    </p>
    <Button
      v-if="mayChange && !adding"
      severity="secondary"
      text
      class="no-print"
      :label="t('mat.packAdd')"
      @click="adding = true"
    />
    <form v-else-if="adding" class="no-print" novalidate :aria-label="t('mat.packAdd')" @submit.prevent="add">
      <label class="field"
        ><span>{{ t('mat.packLabel') }}</span> <InputText v-model="name" maxlength="60"
      /></label>
      <label class="field"
        ><span>{{ t('mat.packPieces') }}</span>
        <InputNumber v-model="size" :min="1" :max="100000" :aria-label="t('mat.packPieces')"
      /></label>
      <div class="in-row" role="group" :aria-label="t('mat.packKinds')">
        <label v-for="i in items" :key="i.kind" class="in-row"
          ><Checkbox v-model="kinds" :value="i.kind" :aria-label="i.name[1]" /> {{ i.name[1] }}</label
        >
      </div>
      <div class="in-row">
        <Button type="submit" severity="secondary" :label="t('mat.packSave')" />
        <Button severity="secondary" text :label="t('mat.cancel')" @click="adding = false" />
      </div>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    </form>
  </div>
</template>

<style scoped>
.packs > .p-button {
  margin-left: -14px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
}
form .in-row {
  min-height: 44px;
}
.trouble {
  width: 100%;
}
</style>
