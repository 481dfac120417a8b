<script setup lang="ts">
const router = useRouter()
const form = ref<{ unsaved: boolean; keep: () => Promise<boolean> } | null>(null)
useHead({ title: 'Room, words and learners – Sett' })
</script>

<template>
  <div class="page">
    <h1>Room, words and learners</h1>
    <RoomForm ref="form" :first="false" @done="router.push('/bench')" />
    <LeaveGuard :unsaved="form?.unsaved ?? false" :keep="() => form!.keep()" about="the room" />
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
</style>
