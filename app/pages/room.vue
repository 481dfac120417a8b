<script setup lang="ts">
const router = useRouter()
</script>

<template>
  <div class="page">
    <h1>Room, words and learners</h1>
    <RoomForm :first="false" @done="router.push('/bench')" />
  </div>
</template>

<style scoped>
.page {
  max-width: 40rem;
  margin: 0 auto;
  padding: 2rem 1.5rem;
  display: grid;
  gap: 1.5rem;
}
</style>
