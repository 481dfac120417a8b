<script setup lang="ts">
import type { RouteLocationNormalized } from 'vue-router'

const router = useRouter()
const form = ref<{ unsaved: boolean; keep: () => Promise<boolean> } | null>(null)
/** Where one wants to go while something is unsaved. */
const leaving = shallowRef<RouteLocationNormalized | null>(null)
let discarded = false

onBeforeRouteLeave((to) => {
  if (discarded || !form.value?.unsaved) return true
  leaving.value = to
  return false
})
useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
  if (form.value?.unsaved && !discarded) event.preventDefault()
})
async function save(): Promise<void> {
  const to = leaving.value
  leaving.value = null
  if (to && (await form.value!.keep())) await router.push(to.fullPath)
}
async function discard(): Promise<void> {
  discarded = true
  await router.push(leaving.value!.fullPath)
}
useHead({ title: 'Room, words and learners – Sett' })
</script>

<template>
  <div class="page">
    <h1>Room, words and learners</h1>
    <RoomForm ref="form" :first="false" @done="router.push('/bench')" />
    <Dialog
      :visible="leaving !== null"
      modal
      :closable="false"
      header="Save your changes?"
      @update:visible="leaving = null"
    >
      <p>You have changed something about the room that is not saved yet.</p>
      <div class="row">
        <button type="button" class="stone-button main" autofocus @click="save">Save changes</button>
        <button type="button" class="stone-button" @click="discard">Discard</button>
        <button type="button" class="stone-button" @click="leaving = null">Stay here</button>
      </div>
    </Dialog>
  </div>
</template>

<style scoped>
.page {
  max-width: 40rem;
  margin: 0 auto;
  padding: 2rem clamp(0.6rem, 3vw, 1.5rem);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.5rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-top: 1rem;
}
</style>
