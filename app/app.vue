<script setup lang="ts">
const classroom = useClassroom()
const { theme } = useTheme()
const failure = ref('')
useHead({ htmlAttrs: { 'data-theme': theme } })
await classroom.load().catch((error: Error) => (failure.value = error.message))
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
