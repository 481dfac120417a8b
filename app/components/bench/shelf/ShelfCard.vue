<script setup lang="ts">
/** One choice on a shelf: its picture, its name, one line about it; dimmed with the reason where it does not fit. */
const props = defineProps<{
  id: string
  title: string
  line: string
  fits: boolean
  chosen: boolean
  pinned?: boolean
  tab: boolean
}>()
const emit = defineEmits<{ choose: []; pin: []; focus: [] }>()
const { t } = useI18n()
const lineId = computed(() => `about-${props.id}`)
</script>

<template>
  <li class="card" :class="{ dim: !fits, chosen, pins: pinned !== undefined }">
    <button
      type="button"
      class="face"
      :tabindex="tab ? 0 : -1"
      :aria-disabled="!fits || undefined"
      :aria-current="chosen || undefined"
      :aria-label="title"
      :aria-describedby="line ? lineId : undefined"
      @focus="emit('focus')"
      @click="emit('choose')"
    >
      <slot />
      <span class="name">{{ title }}<span v-if="chosen" aria-hidden="true"> ✓</span></span>
      <span v-if="line" :id="lineId" class="about">{{ line }}</span>
    </button>
    <button
      v-if="pinned !== undefined"
      type="button"
      class="pin"
      :aria-pressed="pinned"
      :aria-label="t('shelf.keepFirst', { title })"
      @click="emit('pin')"
    >
      <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
        <path d="M5 2H15V18L10 13.5L5 18Z" />
      </svg>
    </button>
  </li>
</template>

<style scoped>
.card {
  position: relative;
  display: flex;
}
.face {
  flex: 1;
  display: grid;
  align-content: start;
  gap: 4px;
  padding: 6px;
  text-align: left;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  cursor: pointer;
  min-height: 44px;
  min-width: 0;
}
.face:hover {
  border-color: var(--ink);
}
.chosen .face {
  border: 3px solid var(--clay);
  padding: 4.5px;
}
.name {
  font-weight: 700;
}
.pins .name {
  padding-right: 34px;
}
.about {
  font-size: 0.88rem;
  line-height: 1.25;
  color: var(--ink-soft);
}
.dim .face {
  background: transparent;
  border-style: dashed;
  cursor: default;
}
.dim :deep(.thumb) {
  opacity: 0.4;
}
.pin {
  position: absolute;
  right: 0;
  bottom: 0;
  width: 44px;
  height: 44px;
  display: grid;
  place-items: center;
  border: 0;
  background: transparent;
  cursor: pointer;
}
.pin path {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.8;
  stroke-linejoin: round;
}
.pin[aria-pressed='true'] path {
  fill: var(--clay);
  stroke: var(--clay);
}
</style>
