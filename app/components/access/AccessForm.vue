<script setup lang="ts">
import type { Access } from '../../../shared/learners'

/** How a learner reaches the screen and reads it. */
const access = defineModel<Access>({ required: true })
const set = <K extends keyof Access>(key: K, value: Access[K]): void => {
  access.value = { ...access.value, [key]: value }
}
const KEYS: readonly (readonly [string, string])[] = [
  [' ', 'Space'],
  ['Enter', 'Enter'],
  ['ArrowRight', 'right arrow'],
  ['ArrowLeft', 'left arrow'],
  ['ArrowUp', 'up arrow'],
  ['ArrowDown', 'down arrow'],
  ['Tab', 'Tab'],
  ['F7', 'F7'],
  ['F8', 'F8'],
]
const TIMES = [
  ['pace', 'Each thing is lit for', 300, 10_000],
  ['firstPause', 'The first of a round longer by', 0, 5000],
  ['dwell', 'With two: staying chooses after (0: never)', 0, 10_000],
  ['longPress', 'A press this long takes back', 500, 5000],
] as const
const TOUCH = [
  ['hold', 'A touch counts once it lasted', 0, 3000],
  ['again', 'and not again for', 0, 3000],
] as const
const TICKS = [
  ['single', 'One thing at a time: what is asked, the mat, the newest line (key E)'],
  ['plain', 'Plain mat: no store while Sett shows'],
  ['still', 'Nothing moves by itself'],
  ['grey', 'Without colours'],
  ['recorded', 'What you have recorded is played instead of the browser’s voice'],
  ['keys', 'Single letters are keys (S saves, Z undoes …)'],
] as const
const number = (event: Event): number => Number((event.target as HTMLInputElement).value)
const value = (event: Event): string => (event.target as HTMLSelectElement).value
const on = (event: Event): boolean => (event.target as HTMLInputElement).checked
const voices = ref<readonly string[]>([])
onMounted(() => {
  if (typeof speechSynthesis === 'undefined') return
  const look = (): void => void (voices.value = speechSynthesis.getVoices().map((v) => v.name))
  look()
  speechSynthesis.addEventListener('voiceschanged', look)
})
</script>

<template>
  <div class="access">
    <label
      >Switches
      <select :value="access.switches" @change="set('switches', number($event) as Access['switches'])">
        <option :value="0">none</option>
        <option :value="1">one: things are lit one after another</option>
        <option :value="2">two: one steps, one chooses</option>
      </select></label
    >
    <template v-if="access.switches > 0">
      <label
        >The switch that chooses acts as
        <select :value="access.chooseKey" @change="set('chooseKey', value($event))">
          <option v-for="[k, name] in KEYS" :key="k" :value="k">{{ name }}</option>
        </select></label
      >
      <label v-if="access.switches === 2"
        >The switch that steps acts as
        <select :value="access.stepKey" @change="set('stepKey', value($event))">
          <option v-for="[k, name] in KEYS" :key="k" :value="k">{{ name }}</option>
        </select></label
      >
      <label
        >Things are lit
        <select :value="access.order" @change="set('order', value($event) as Access['order'])">
          <option value="groups">in groups, then one by one</option>
          <option value="each">one by one</option>
        </select></label
      >
      <label v-for="[key, label, least, most] in TIMES" :key="key"
        >{{ label }}, ms
        <input
          type="number"
          :min="least"
          :max="most"
          step="100"
          :value="access[key]"
          @change="set(key, Math.round(number($event)))"
      /></label>
      <label
        ><input type="checkbox" :checked="access.says" @change="set('says', on($event))" /> Names are said as they are
        lit</label
      >
      <p class="quiet">
        Buttons 1 and 2 of a gamepad do as well. <NuxtLink to="/settings/switch-box">The switch box</NuxtLink> stands in
        for two switches.
      </p>
    </template>
    <label v-for="[key, label, least, most] in TOUCH" :key="key"
      >{{ label }}, ms
      <input
        type="number"
        :min="least"
        :max="most"
        step="50"
        :value="access[key]"
        @change="set(key, Math.round(number($event)))"
    /></label>
    <label
      >Targets
      <select :value="access.targets" @change="set('targets', number($event) as Access['targets'])">
        <option :value="44">44 pixels</option>
        <option :value="60">60 pixels</option>
      </select></label
    >
    <label
      >Looks
      <select :value="access.looks" @change="set('looks', value($event) as Access['looks'])">
        <option value="room">as this computer has it</option>
        <option value="light">paper</option>
        <option value="dark">evening</option>
        <option value="contrast">high contrast</option>
      </select></label
    >
    <label v-for="[key, label] in TICKS" :key="key"
      ><input type="checkbox" :checked="access[key]" @change="set(key, on($event))" /> {{ label }}</label
    >
    <label v-if="voices.length"
      >Voice
      <select :value="access.voice" @change="set('voice', value($event))">
        <option value="">the first of this browser</option>
        <option v-for="v in voices" :key="v" :value="v">{{ v }}</option>
      </select></label
    >
    <label
      >Speed of the voice, 1 as usual
      <input type="number" min="0.4" max="2" step="0.1" :value="access.rate" @change="set('rate', number($event))"
    /></label>
  </div>
</template>

<style scoped>
.access {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(18rem, 100%), 1fr));
  gap: 0.6rem 2rem;
  align-items: end;
}
label:not(:has(> input[type='checkbox'])) {
  display: grid;
  gap: 0.2rem;
}
</style>
