<script setup lang="ts">
import type { MenuItem } from 'primevue/menuitem'

const classroom = useClassroom()
const { chosen } = useTheme()
const session = useSession()
const menu = ref<{ toggle: (event: Event) => void; prepare: () => void } | null>(null)
const button = ref<HTMLButtonElement | null>(null)

const items = computed<MenuItem[]>(() => [
  {
    label: 'At the bench',
    items: [
      ...classroom.learners.map((l) => ({
        label: l.codeName,
        icon: l.id === classroom.learnerId ? 'pi pi-check' : 'pi pi-user',
        command: () => (classroom.learnerId = l.id),
      })),
      {
        label: 'Nobody: only showing',
        icon: classroom.learnerId ? 'pi pi-users' : 'pi pi-check',
        command: () => (classroom.learnerId = null),
      },
    ],
  },
  {
    label: 'Looks',
    items: (['system', 'light', 'dark', 'contrast'] as const).map((t) => ({
      label: { system: 'As this computer has it', light: 'Paper', dark: 'Evening', contrast: 'High contrast' }[t],
      icon: t === chosen.value ? 'pi pi-check' : 'pi pi-circle',
      command: () => (chosen.value = t),
    })),
  },
  {
    label: 'Room',
    items: [
      ...(session.may('teacher')
        ? [{ label: 'Room, words and learners', icon: 'pi pi-cog', command: () => navigateTo('/room') }]
        : []),
      ...(session.may('keeper')
        ? [
            { label: 'People', icon: 'pi pi-users', command: () => navigateTo('/people') },
            { label: 'Backups and keeping', icon: 'pi pi-database', command: () => navigateTo('/keeping') },
          ]
        : []),
      ...(session.session.person
        ? [
            {
              label: `Sign out ${session.session.person.name}`,
              icon: 'pi pi-sign-out',
              command: () => session.signOut(),
            },
          ]
        : []),
    ],
  },
])

useKeys({ l: () => button.value?.click() })
</script>

<template>
  <button
    ref="button"
    type="button"
    class="stone-button who"
    aria-haspopup="true"
    @click="(e) => menu?.toggle(e)"
    @pointerenter="menu?.prepare()"
    @focus="menu?.prepare()"
  >
    <span>{{ classroom.classroom?.name }}</span>
    <span aria-hidden="true">·</span>
    <strong>{{ classroom.learner?.codeName ?? 'nobody chosen' }}</strong>
    <i class="pi pi-angle-down" aria-hidden="true" />
  </button>
  <PopMenu ref="menu" :model="items" />
</template>

<style scoped>
.who {
  border-color: transparent;
  background: transparent;
  max-width: 60vw;
  white-space: nowrap;
}
@media (max-width: 600px) {
  .who {
    max-width: 42vw;
    padding-inline: 0.4rem;
  }
  .who strong {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .who span {
    display: none;
  }
}
</style>
