<script setup lang="ts">
const classroom = useClassroom()
const session = useSession()
const { theme } = useTheme()
const failure = ref('')
useHead({ htmlAttrs: { 'data-theme': theme } })
// Where somebody has to sign in first, the page for it comes by itself (middleware/people.global.ts).
await classroom.load().catch((error: Error & { status?: number }) => {
  if (error.status !== 401) failure.value = error.message
})
// A session that has ended in the meantime: what lies on the bench stays, and one comes back to it.
useEventListener(window as EventTarget, 'sett:sign-in', () => {
  session.lost()
  const { path, fullPath } = useRouter().currentRoute.value
  if (path !== '/sign-in') void navigateTo({ path: '/sign-in', query: { to: fullPath } })
})
</script>

<template>
  <NuxtLayout>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <NuxtPage v-else />
  </NuxtLayout>
</template>

<style scoped>
.failure {
  padding: 2rem;
  font-size: 1.2rem;
}
</style>
