<script setup lang="ts">
const classroom = useClassroom()
const session = useSession()
const { theme } = useTheme()
const { access, letters } = useAccess()
/** What the page looks like for whoever is at the bench, as attributes that main.css goes by. */
const looks = computed(() => ({
  'data-theme': access.value.looks === 'room' ? theme.value : access.value.looks,
  'data-letters': String(letters.value),
  'data-targets': String(access.value.targets),
  'data-plain': access.value.plain ? '' : undefined,
  'data-single': access.value.single ? '' : undefined,
  'data-still': access.value.still ? '' : undefined,
  'data-grey': access.value.grey ? '' : undefined,
}))
const failure = ref('')
useHead({ htmlAttrs: looks as never })
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
