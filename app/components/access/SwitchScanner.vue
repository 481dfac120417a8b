<script setup lang="ts">
import { choose, fit, litNow, out, START, step, type Light, type ScanGroup } from '../../utils/scan'
import { scanned } from '../../utils/scanTargets'
import type { Access } from '../../../shared/learners'

/**
 * One or two switches do everything that a hand does: what can be done on the page is lit, group by group and then thing by thing, and a
 * press chooses it. A long press takes the last thing back. Switches act as keys, as buttons of a gamepad, or as those of the switch box.
 */
const { access } = defineProps<{ access: Access }>()
const things = shallowRef<readonly HTMLElement[]>([])
const groups = shallowRef<readonly ScanGroup[]>([])
const light = ref<Light>(START)
const box = ref<{ left: number; top: number; width: number; height: number } | null>(null)
const keysFor = shallowRef<HTMLElement | null>(null)
/** Counts what keys were opened for: two boxes may have the same name. */
const opened = ref(0)
/** Whether the last press did something, rather than go into a group. */
let acted = false
const pad = useTemplateRef<{ takeBack: () => void }>('pad')

function look(): void {
  if (yields.value) return
  const now = scanned(access.order === 'each')
  const changed = now.things.length !== things.value.length || now.things.some((e, i) => e !== things.value[i])
  if (changed) {
    const seen = framed()
    light.value = access.order === 'each' ? eachFrom(now.things) : fit(light.value, groups.value, now.groups)
    things.value = now.things
    groups.value = now.groups
    const there = framed()
    if (there.length !== seen.length || there.some((e, i) => e !== seen[i])) jumped()
  }
  place()
}
/** Where the page has changed under the light, nobody can have pressed yet for what is lit now: for a moment presses do not count. */
const SETTLE_MS = 350
const settling = ref(false)
const { start: settle } = useTimeoutFn(() => (settling.value = false), SETTLE_MS, { immediate: false })
function jumped(): void {
  settling.value = true
  settle()
}
/** Without groups the light is among things at once. */
const eachFrom = (now: readonly HTMLElement[]): Light => {
  const lit = things.value[light.value.item]
  const at = lit ? now.indexOf(lit) : -1
  return { ...START, level: 'item', item: Math.max(0, at) }
}
/** The frame stands around what is lit, outside of it, and hides nothing. */
const EDGE = 5
function place(): void {
  const lit = framed()
  if (lit.length === 1) lit[0]!.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  const boxes = lit.map((e) => e.getBoundingClientRect())
  if (boxes.length === 0) return void (box.value = null)
  const left = Math.min(...boxes.map((b) => b.left))
  const top = Math.min(...boxes.map((b) => b.top))
  const right = Math.max(...boxes.map((b) => b.right))
  const bottom = Math.max(...boxes.map((b) => b.bottom))
  box.value = { left: left - EDGE, top: top - EDGE, width: right - left + 2 * EDGE, height: bottom - top + 2 * EDGE }
}
const name = computed(() => {
  const { level, group } = light.value
  const lit = litNow(groups.value, light.value)
  if (lit.length === 1) return spokenName(things.value[lit[0]!]!)
  return level === 'group' ? (groups.value[group]?.name.replace(/ \S+$/, '') ?? '') : `${lit.length} things`
})

/* --- by itself --- */
let timer: ReturnType<typeof setTimeout> | undefined
const first = (): boolean => light.value[light.value.level] === 0
function wait(): void {
  clearTimeout(timer)
  const oneByItself = access.switches === 1
  const ms = oneByItself ? access.pace + (first() ? access.firstPause : 0) : access.dwell
  if (ms > 0 && !down.value && !yields.value) timer = setTimeout(() => (oneByItself ? onward() : chosen()), ms)
}
function onward(): void {
  look()
  light.value =
    access.order === 'each' ? { ...step(light.value, groups.value), level: 'item' } : step(light.value, groups.value)
  look()
  if (access.says) say(name.value)
  wait()
}
/** What the frame stands around now. */
const framed = (): readonly HTMLElement[] => litNow(groups.value, light.value).flatMap((i) => things.value[i] ?? [])
function chosen(): void {
  const seen = framed()
  look()
  // Where the page has changed under the frame, nobody has pressed for what is there now.
  const now = framed()
  if (now.length !== seen.length || now.some((e, i) => e !== seen[i])) return wait()
  const { light: next, act } = choose(light.value, groups.value)
  light.value = access.order === 'each' ? { ...next, level: 'item' } : next
  acted = act !== null
  if (act !== null) doThing(things.value[act]!)
  void nextTick(() => {
    look()
    wait()
  })
}
const TYPED =
  'input:not([type="checkbox"], [type="radio"], [type="file"], [type="button"]), textarea, select, [role="slider"]'
function doThing(e: HTMLElement): void {
  e.focus({ preventScroll: true })
  if (e.matches(TYPED) && !e.matches('[role="combobox"]:not(select)')) {
    keysFor.value = e
    opened.value += 1
  } else e.click()
}
/** A long press takes the last thing back: a sign that was typed, the move just made, the group just gone into. */
function takeBack(): void {
  if (keysFor.value) pad.value?.takeBack()
  else {
    const undo = document.querySelector<HTMLElement>('[data-undo]:not(:disabled)')
    const over = document.querySelector('[role="dialog"], .p-select-overlay, .p-menu-overlay')
    if (over)
      (document.activeElement ?? document.body).dispatchEvent(
        new KeyboardEvent('keydown', { key: 'Escape', code: 'Escape', bubbles: true, cancelable: true }),
      )
    else if (undo && (acted || light.value.level === 'group')) undo.click()
    else light.value = out(light.value, groups.value)
  }
  acted = false
  void nextTick(look)
}

/* --- presses --- */
const down = ref<{ which: 'choose' | 'step'; at: number } | null>(null)
let long: ReturnType<typeof setTimeout> | undefined
let lastAt = -Infinity
function press(which: 'choose' | 'step'): void {
  const at = performance.now()
  if (down.value || settling.value || at - lastAt < access.again) return
  down.value = { which, at }
  clearTimeout(timer)
  long = setTimeout(() => {
    down.value = null
    lastAt = performance.now()
    takeBack()
    wait()
  }, access.longPress)
}
function release(which: 'choose' | 'step'): void {
  clearTimeout(long)
  if (down.value?.which !== which) return
  const held = performance.now() - down.value.at
  down.value = null
  if (held >= access.hold) {
    lastAt = performance.now()
    if (which === 'step') onward()
    else chosen()
  }
  wait()
}
const switchOf = (key: string): 'choose' | 'step' | null =>
  key === access.chooseKey ? 'choose' : access.switches === 2 && key === access.stepKey ? 'step' : null
/** While the teacher has the pointer or the keyboard nothing is lit; a press of a switch begins anew at the mat. */
const yields = ref(false)
function takeOver(event: Event): void {
  if (!event.isTrusted || yields.value) return
  yields.value = true
  clearTimeout(timer)
  box.value = null
}
useEventListener(window, 'pointerdown', takeOver, { capture: true })
function goOn(): void {
  yields.value = false
  light.value = START
  look()
  wait()
}
const isTyping = (): boolean => document.activeElement?.matches(TYPED) === true
function onKey(event: KeyboardEvent): void {
  // What the pad sends to a thing is no press of a switch.
  if (!event.isTrusted) return
  const which = switchOf(event.key)
  if (!which) {
    if (!['Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) takeOver(event)
    return
  }
  if (yields.value && isTyping()) return
  if (yields.value) {
    event.preventDefault()
    event.stopImmediatePropagation()
    if (event.type === 'keyup') goOn()
    return
  }
  event.preventDefault()
  event.stopImmediatePropagation()
  if (event.repeat) return
  if (event.type === 'keydown') press(which)
  else release(which)
}
useEventListener(window, ['keydown', 'keyup'], onKey as never, { capture: true })

/* The switch box in another window. */
const channel = new BroadcastChannel('sett-switch')
channel.onmessage = ({ data }: MessageEvent<{ which: 'choose' | 'step'; down: boolean }>) => {
  if (data.which === 'step' && access.switches !== 2) return
  if (yields.value) return data.down ? undefined : goOn()
  if (data.down) press(data.which)
  else release(data.which)
}
/* Buttons of a gamepad: the first chooses, the second steps. */
const held = [false, false]
const { pause } = useRafFn(() => {
  // Several pads may be there, some of which are none at all: a button is down where it is down on any.
  const pads = navigator.getGamepads?.() ?? []
  for (const [i, which] of (['choose', 'step'] as const).entries()) {
    const now = pads.some((pad) => pad?.buttons[i]?.pressed)
    if (now === held[i] || (which === 'step' && access.switches !== 2)) continue
    held[i] = now
    if (yields.value) {
      if (!now) goOn()
    } else if (now) press(which)
    else release(which)
  }
})
function say(text: string): void {
  const voice = voiceFor(access)
  if (!voice || text === '') return
  speechSynthesis.cancel()
  speechSynthesis.speak(utterance(text, access, voice))
}
const { pause: rest } = useIntervalFn(look, 250)
onMounted(() => {
  look()
  if (access.order === 'each') light.value = { ...START, level: 'item' }
  wait()
})
watch(() => [access.switches, access.pace, access.dwell, access.order], wait)
onBeforeUnmount(() => {
  clearTimeout(timer)
  clearTimeout(long)
  pause()
  rest()
  channel.close()
})
</script>

<template>
  <Teleport to="body">
    <div
      v-if="box"
      class="scan-frame"
      :class="light.level"
      :data-lit="name"
      :data-settling="settling || undefined"
      aria-hidden="true"
      :style="{ left: `${box.left}px`, top: `${box.top}px`, width: `${box.width}px`, height: `${box.height}px` }"
    />
    <ScanPad v-if="keysFor" ref="pad" :key="opened" :target="keysFor" @close="keysFor = null" />
  </Teleport>
</template>

<style>
.scan-frame {
  position: fixed;
  z-index: 4000;
  pointer-events: none;
  border: 4px solid #111;
  outline: 4px solid #ffd200;
  border-radius: 6px;
}
.scan-frame.group {
  border-style: dashed;
}
@media (forced-colors: active) {
  .scan-frame {
    border-color: Highlight;
    outline-color: CanvasText;
  }
}
</style>
