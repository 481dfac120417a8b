<script setup lang="ts">
/** How Sett looks on this computer, and who is signed in here. */
const { t } = useI18n()
const session = useSession()
const { chosen } = useTheme()
const looks = computed(() =>
  (['system', 'light', 'dark', 'contrast'] as const).map((id) => ({ id, label: t(`screen.${id}`) })),
)
useHead({ title: () => `${t('screen.title')} – Sett` })
</script>

<template>
  <div class="place">
    <PageHeader :title="t('screen.title')" :facts="t('screen.facts')">
      <template v-if="session.session.person">
        <span>{{ t('screen.person', { name: session.session.person.name }) }}</span>
        <Button severity="secondary" :label="t('screen.signOut')" @click="session.signOut()" />
      </template>
    </PageHeader>
    <section class="card">
      <h2 id="looks">{{ t('screen.looks') }}</h2>
      <SelectButton
        v-model="chosen"
        :options="looks"
        option-label="label"
        option-value="id"
        :allow-empty="false"
        aria-labelledby="looks"
      />
    </section>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 46rem;
}
</style>
