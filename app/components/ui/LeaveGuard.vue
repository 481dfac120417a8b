<script setup lang="ts">
import type { RouteLocationNormalized } from 'vue-router'

/** Asks before a page is left on which something is unsaved. `keep` saves it, and says whether that went well. */
const { unsaved, keep, about } = defineProps<{
  unsaved: boolean
  keep: () => Promise<boolean>
  about: string
}>()
const router = useRouter()
/** Where one wants to go while something is unsaved. */
const leaving = shallowRef<RouteLocationNormalized | null>(null)
let discarded = false

onBeforeRouteLeave((to) => {
  if (discarded || !unsaved) return true
  leaving.value = to
  return false
})
useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
  if (unsaved && !discarded) event.preventDefault()
})
async function save(): Promise<void> {
  const to = leaving.value
  leaving.value = null
  if (to && (await keep())) await router.push(to.fullPath)
}
async function discard(): Promise<void> {
  discarded = true
  await router.push(leaving.value!.fullPath)
}
</script>

<template>
  <Dialog
    :visible="leaving !== null"
    modal
    :closable="false"
    header="Save your changes?"
    @update:visible="leaving = null"
  >
    <p>You have changed something about {{ about }} that is not saved yet.</p>
    <div class="in-row">
      <button type="button" class="stone-button main" autofocus @click="save">Save changes</button>
      <button type="button" class="stone-button" @click="discard">Discard</button>
      <button type="button" class="stone-button" @click="leaving = null">Stay here</button>
    </div>
  </Dialog>
</template>

<style scoped>
.in-row {
  margin-top: 1rem;
}
</style>
