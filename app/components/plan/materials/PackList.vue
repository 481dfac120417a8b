<script setup lang="ts">
import { REPRESENTATIONS, type RepresentationId } from '../../../../core/door'
import type { Kit, KitItem } from '../../../../core/kit/index'
import type { BoughtPack } from '../../../../shared/cupboard'

/** Packs with pieces of several kinds: what one has, and how many of it are to be bought for this kit. */
const { material, items, wanted, packs, mayChange } = defineProps<{
  material: RepresentationId
  items: readonly KitItem[]
  wanted: Kit['packs']
  packs: readonly BoughtPack[]
  mayChange: boolean
}>()
const emit = defineEmits<{ change: [packs: readonly BoughtPack[]] }>()
const own = computed(() => packs.filter((p) => p.kinds.some((key) => key.startsWith(`${material}/`))))
const toBuy = (name: string): number => wanted.find((w) => w.name === name)?.count ?? 0
const adding = ref(false)
const name = ref('')
const size = ref(100)
const kinds = ref<string[]>([])
const trouble = ref('')
function add(): void {
  const title = name.value.trim()
  trouble.value =
    title === ''
      ? 'Give the pack a name.'
      : packs.some((p) => p.name === title)
        ? `There is a pack called ${title} already.`
        : kinds.value.length === 0
          ? 'Say what is in it.'
          : ''
  if (trouble.value) return
  const each = Math.max(1, Math.min(100_000, Math.trunc(Number(size.value) || 1)))
  emit('change', [...packs, { name: title, kinds: kinds.value.map((k) => `${material}/${k}`), size: each }])
  adding.value = false
  name.value = ''
  kinds.value = []
}
const nameOf = (key: string): string => {
  const kind = key.slice(material.length + 1)
  return items.find((i) => i.kind === kind)?.name[1] ?? kind
}
</script>

<template>
  <div class="packs">
    <p v-for="p in own" :key="p.name">
      <b>{{ p.name }}</b>: {{ p.size }} pieces, as many {{ p.kinds.map(nameOf).join(' as ') }}.
      <b v-if="toBuy(p.name)">{{ toBuy(p.name) }} to buy.</b>
      <span v-else>None to buy.</span>
      <button
        v-if="mayChange"
        type="button"
        class="stone-button bare no-print"
        :aria-label="`Take out the pack ${p.name}`"
        @click="
          emit(
            'change',
            packs.filter((other) => other !== p),
          )
        "
      >
        ×
      </button>
    </p>
    <template v-if="mayChange">
      <button v-if="!adding" type="button" class="stone-button no-print" @click="adding = true">
        A pack with several kinds
      </button>
      <form
        v-else
        class="in-row no-print"
        novalidate
        :aria-label="`A pack for ${REPRESENTATIONS[material].title}`"
        @submit.prevent="add"
      >
        <label>Called <input v-model="name" type="text" maxlength="60" /></label>
        <label>Pieces <input v-model.number="size" type="number" min="1" max="100000" /></label>
        <label v-for="i in items" :key="i.kind" class="tick"
          ><input v-model="kinds" type="checkbox" :value="i.kind" /> {{ i.name[1] }}</label
        >
        <button type="submit" class="stone-button">Keep it</button>
        <button type="button" class="stone-button bare" @click="adding = false">Leave it</button>
      </form>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    </template>
  </div>
</template>

<style scoped>
p {
  margin: 0.2rem 0;
}
label {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
  min-height: 44px;
}
input[type='text'] {
  width: 11rem;
}
input[type='number'] {
  width: 6rem;
}
</style>
