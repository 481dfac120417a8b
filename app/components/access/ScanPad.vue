<script setup lang="ts">
/** Keys to be scanned, for a box that is typed in, a list, or a thing that is moved by keys. */
const { target } = defineProps<{ target: HTMLElement }>()
const emit = defineEmits<{ close: [] }>()

interface Key {
  readonly label: string
  readonly name: string
  readonly press: () => void
}
const SIGNS: Readonly<Record<string, string>> = {
  '+': 'plus',
  '-': 'minus',
  '*': 'times',
  '/': 'divided by',
  '=': 'equals',
  '.': 'point',
  ' ': 'space',
  '?': 'question mark',
}
const box = computed(() => target as HTMLInputElement)
const written = ref(box.value.value ?? '')
function write(text: string): void {
  // As if it were typed, so that whoever listens to the box hears it.
  const set = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(box.value), 'value')!.set!
  set.call(box.value, text)
  box.value.dispatchEvent(new InputEvent('input', { bubbles: true }))
  written.value = box.value.value
}
const typed = (c: string): Key => ({
  label: c === ' ' ? '␣' : c,
  name: SIGNS[c] ?? c,
  press: () => write(written.value + c),
})
function pressed(key: string, shiftKey = false): void {
  target.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, bubbles: true, cancelable: true }))
}
const leave = (): void => {
  box.value.dispatchEvent(new Event('change', { bubbles: true }))
  emit('close')
}
const enter = (): void => {
  leave()
  if (box.value.form) box.value.form.requestSubmit()
  else pressed('Enter')
}
const isList = target instanceof HTMLSelectElement
const isSlider = target.getAttribute('role') === 'slider' || (target as HTMLInputElement).type === 'range'
const isNumber = (target as HTMLInputElement).inputMode === 'numeric' || (target as HTMLInputElement).type === 'number'
const isSum = target.classList.contains('learner') || target.id === 'problem'
/** Keys that a thing says it is moved by: `ArrowUp=one bead to the bar;…`. */
const own = (
  target.dataset.scanKeys ?? 'ArrowRight=further;ArrowLeft=back;PageUp=far further;PageDown=far back;Enter=here'
).split(';')
const rows = computed<readonly (readonly Key[])[]>(() => {
  if (isList)
    return [
      [...(target as HTMLSelectElement).options].map((o) => ({
        label: o.text,
        name: o.text,
        press: () => {
          ;(target as HTMLSelectElement).value = o.value
          leave()
        },
      })),
    ]
  if (isSlider)
    return [
      own.map((k) => {
        const [key = '', name = key] = k.split('=')
        const shift = key.startsWith('Shift+')
        return { label: name, name, press: () => pressed(shift ? key.slice(6) : key, shift) }
      }),
    ]
  const letters = isNumber || isSum ? [] : ['abcdefg', 'hijklmn', 'opqrstu', 'vwxyz']
  const signs = isNumber ? ['-/'] : ['+-*/=', ' .?']
  return ['12345', '67890', ...signs, ...letters].map((row) => [...row].map(typed))
})
const ends = computed<readonly Key[]>(() => [
  ...(isList || isSlider
    ? []
    : [
        { label: '⌫', name: 'take the last one back', press: () => write(written.value.slice(0, -1)) },
        { label: 'Enter', name: 'Enter', press: enter },
      ]),
  { label: 'Done', name: 'Done', press: leave },
])
defineExpose({ takeBack: () => (isList || isSlider ? leave() : write(written.value.slice(0, -1))) })
</script>

<template>
  <div class="scan-pad" role="dialog" :aria-label="`Keys for ${spokenName(target)}`">
    <p v-if="!isList && !isSlider" class="learner written">{{ written || '…' }}</p>
    <div v-for="(row, r) in [...rows, ends]" :key="r" class="row" role="group" :aria-label="`Row ${r + 1}`">
      <button v-for="k in row" :key="k.name" type="button" class="stone-button" :aria-label="k.name" @click="k.press">
        {{ k.label }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.scan-pad {
  position: fixed;
  inset: auto 0 0 0;
  z-index: 3000;
  display: grid;
  gap: 6px;
  justify-content: center;
  padding: 12px;
  background: var(--paper-2);
  border-top: 3px solid var(--ink);
  max-height: 60vh;
  overflow: auto;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.row button {
  min-width: 60px;
  min-height: 60px;
  font-size: 1.3rem;
}
.written {
  font-size: 1.6rem;
  font-weight: 700;
  min-height: 1.4em;
}
</style>
