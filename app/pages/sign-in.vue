<script setup lang="ts">
import { LEAST_PASSPHRASE } from '../../shared/limits'

/** Signing in, by name and passphrase or with a code that a keeper has made. */
const session = useSession()
const route = useRoute()
const withCode = ref(route.query.code !== undefined)
/** Putting a backup back has signed everybody out. */
const restored = route.query.restored !== undefined
const name = ref('')
const code = ref('')
const passphrase = ref('')
const again = ref('')
const trouble = ref('')
const busy = ref(false)
const box = useTemplateRef<HTMLInputElement>('box')

async function enter(): Promise<void> {
  trouble.value = ''
  if (withCode.value && passphrase.value !== again.value) {
    trouble.value = 'The two passphrases are not the same.'
    return
  }
  busy.value = true
  try {
    if (withCode.value) await session.useCode(code.value, passphrase.value)
    else await session.signIn(name.value, passphrase.value)
    const { to } = route.query
    // Only a place of Sett's own is gone on to.
    await navigateTo(typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/bench')
  } catch (error) {
    trouble.value = (error as Error).message
    passphrase.value = again.value = ''
  }
  busy.value = false
}
watch(withCode, async () => {
  trouble.value = passphrase.value = again.value = ''
  await nextTick()
  box.value?.focus()
})
onMounted(() => box.value?.focus())
useHead({ title: 'Sign in – Sett' })
</script>

<template>
  <div class="page">
    <h1>{{ withCode ? 'Choose a passphrase' : 'Sign in' }}</h1>
    <p v-if="restored" class="told" role="status">The backup is back in place. Sign in again to go on.</p>
    <form class="people-form" novalidate @submit.prevent="enter">
      <label v-if="withCode"
        >The code you were given
        <input
          ref="box"
          v-model="code"
          type="text"
          class="code"
          maxlength="40"
          autocomplete="one-time-code"
          spellcheck="false"
      /></label>
      <label v-else
        >Name <input ref="box" v-model="name" type="text" maxlength="40" autocomplete="username" spellcheck="false"
      /></label>
      <label
        >{{ withCode ? 'A new passphrase' : 'Passphrase' }}
        <input
          v-model="passphrase"
          type="password"
          maxlength="200"
          :autocomplete="withCode ? 'new-password' : 'current-password'"
          :aria-describedby="withCode ? 'passphrase-hint' : undefined"
      /></label>
      <template v-if="withCode">
        <p id="passphrase-hint" class="quiet">
          At least {{ LEAST_PASSPHRASE }} characters. Three or four words that nobody would guess are easy to keep in
          mind.
        </p>
        <label
          >The same once more <input v-model="again" type="password" maxlength="200" autocomplete="new-password"
        /></label>
      </template>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="row">
        <button type="submit" class="stone-button main" :disabled="busy">{{ withCode ? 'Go in' : 'Sign in' }}</button>
        <button type="button" class="stone-button bare" @click="withCode = !withCode">
          {{ withCode ? 'I have a passphrase' : 'I have a code' }}
        </button>
      </div>
    </form>
    <p class="quiet">
      {{ withCode ? 'A code works once, for a week.' : 'No passphrase any more? A keeper can make you a code.' }}
    </p>
  </div>
</template>

<style scoped src="../components/settings/people.css"></style>
<style scoped>
.page {
  max-width: 26rem;
}
.code {
  letter-spacing: 0.08em;
  text-transform: uppercase;
}
</style>
