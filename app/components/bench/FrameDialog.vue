<script setup lang="ts">
/** How the abacus is worked at this bench; the room's own choices stay as they are. */
const open = defineModel<boolean>('open', { required: true })
useReturnFocus()
const bench = useBench()
const choices = computed({
  get: () => bench.abacus,
  set: (wanted) => {
    bench.setAbacus(wanted)
  },
})
</script>

<template>
  <Dialog
    v-model:visible="open"
    lang="en"
    modal
    header="How the abacus is worked here"
    :style="{ width: '34rem', maxWidth: '94vw' }"
  >
    <AbacusForm v-model="choices" />
    <p v-if="bench.refusal" class="refused" role="alert">{{ bench.refusal.message }}</p>
    <div class="row">
      <button type="button" class="stone-button" :disabled="!bench.ownAbacus" @click="bench.setAbacus(null)">
        As the room has it
      </button>
      <button type="button" class="stone-button main" @click="open = false">Go on</button>
    </div>
  </Dialog>
</template>

<style scoped>
.row {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  padding-top: 14px;
}
.refused {
  background: var(--plum-wash);
  border-left: 5px solid var(--plum);
  padding: 0.4rem 0.8rem;
  margin-top: 8px;
}
</style>
