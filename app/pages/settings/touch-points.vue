<script setup lang="ts">
import { notchesIn, parseNotchMap, placed, type Notch, type NotchMap } from '../../../core/representation/touch/index'
import { PEN_PATHS, svgOf } from '../../../core/representation/touch/index'
import { attempt } from '../../../core/door'

/** Where a class puts its notches. Every change keeps the numeral's total. */
const { map, set, trouble: unkept } = useNotchMap()
const digit = ref(7)
const chosen = ref<number | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const trouble = ref('')
const said = ref('')
const picker = ref<HTMLInputElement | null>(null)
const DIGITS = [1, 2, 3, 4, 5, 6, 7, 8, 9]

const notches = computed(() => notchesIn(map.value, digit.value))
const points = computed(() => placed(digit.value, notches.value))
watch(digit, () => (chosen.value = null))

function keep(next: readonly Notch[]): void {
  const whole: NotchMap = { format: 'sett-notches', version: 2, digits: { ...map.value?.digits, [digit.value]: next } }
  set(parseNotchMap(whole))
  trouble.value = ''
}
const half = (n: { tooth: boolean }): number => (n.tooth ? 9 : 12)
const limit = (n: number, low: number, high: number): number => Math.min(high, Math.max(low, n))
function change(i: number, at: number, aside: number): void {
  keep(notches.value.map((n, j) => (j === i ? { ...n, at: limit(at, 0, 1), aside: limit(aside, -40, 40) } : n)))
}
/** The place along the pen's way nearest to a point, and how far off it the point is. */
function nearest(x: number, y: number): { at: number; aside: number } {
  const way = placed(
    digit.value,
    Array.from({ length: 401 }, (_, i) => ({ at: i / 400, aside: 0 })),
  )
  const best = way.reduce((a, b) => (Math.hypot(b.x - x, b.y - y) < Math.hypot(a.x - x, a.y - y) ? b : a))
  const off = (x - best.x) * best.across.x + (y - best.y) * best.across.y
  // Near the stroke it lies on the stroke.
  return { at: best.at, aside: Math.abs(off) < 5 ? 0 : off }
}
function drag(event: PointerEvent, i: number): void {
  if (!event.buttons || !svg.value) return
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.value.getScreenCTM()!.inverse())
  const { at, aside } = nearest(p.x, p.y)
  keep(notches.value.map((n, j) => (j === i ? { ...n, at, aside } : n)))
  chosen.value = notches.value.findIndex((n) => n.at === at && n.aside === aside)
}
function key(event: KeyboardEvent, i: number): void {
  const n = notches.value[i]!
  const step: Record<string, readonly [number, number]> = {
    ArrowRight: [0.01, 0],
    ArrowLeft: [-0.01, 0],
    ArrowUp: [0, -2],
    ArrowDown: [0, 2],
  }
  const by = step[event.key]
  if (!by) return
  event.preventDefault()
  change(i, n.at + by[0], n.aside + by[1])
}
function reset(): void {
  const digits = Object.fromEntries(Object.entries(map.value?.digits ?? {}).filter(([d]) => d !== String(digit.value)))
  set(Object.keys(digits).length > 0 ? { format: 'sett-notches', version: 2, digits } : null)
}
const file = computed(
  () =>
    `data:application/json,${encodeURIComponent(JSON.stringify(map.value ?? { format: 'sett-notches', version: 2, digits: {} }, null, 2))}`,
)
async function takeIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const text = await input.files?.[0]?.text()
  input.value = ''
  if (text === undefined) return
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    trouble.value = 'This file is not complete JSON. It may have been cut off.'
    return
  }
  const read = attempt(() => parseNotchMap(json))
  if ('refused' in read) {
    trouble.value = `${read.refused.message} Nothing was imported.`
    return
  }
  set(read.ok)
  trouble.value = ''
  said.value = 'These notches are imported.'
}
useHead({ title: 'Notches – Sett' })
</script>

<template>
  <div class="notches">
    <header class="top">
      <h1>Notches</h1>
      <div class="digits" role="group" aria-label="Numeral">
        <button
          v-for="d in DIGITS"
          :key="d"
          type="button"
          class="stone-button learner"
          :aria-pressed="d === digit"
          @click="digit = d"
        >
          {{ d }}
        </button>
      </div>
      <span class="space" />
      <a class="stone-button" :href="file" download="sett-notches.json">Export</a>
      <button type="button" class="stone-button" @click="picker?.click()">Import a file</button>
      <input
        ref="picker"
        class="sr-only"
        type="file"
        accept="application/json,.json"
        aria-label="File of notches"
        tabindex="-1"
        @change="takeIn"
      />
      <NuxtLink class="stone-button" to="/bench">Back to the bench</NuxtLink>
    </header>
    <p v-if="trouble || unkept" class="trouble" role="alert">{{ trouble || unkept }}</p>
    <div class="stage felt">
      <svg ref="svg" viewBox="-50 -20 200 180" role="group" :aria-label="`The numeral ${digit} with its notches`">
        <path v-for="(s, i) in PEN_PATHS[digit]" :key="i" class="pen" :d="svgOf(s)" />
        <g
          v-for="(n, i) in points"
          :key="i"
          class="notch"
          :class="{ chosen: chosen === i }"
          tabindex="0"
          role="slider"
          aria-valuemin="0"
          aria-valuemax="100"
          :aria-valuenow="Math.round(n.at * 100)"
          :aria-valuetext="`${Math.round(n.at * 100)} hundredths along the stroke, ${Math.round(n.aside)} aside`"
          :aria-label="`Notch ${i + 1} of ${points.length}`"
          @focus="chosen = i"
          @keydown="(e) => key(e, i)"
          @pointerdown="
            (e) => {
              chosen = i
              ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
            }
          "
          @pointermove="(e) => drag(e, i)"
        >
          <circle class="hit" :cx="n.x" :cy="n.y" r="15" />
          <path
            class="bar"
            :d="`M${n.x - n.across.x * half(n)} ${n.y - n.across.y * half(n)} l${n.across.x * 2 * half(n)} ${n.across.y * 2 * half(n)}`"
          />
        </g>
      </svg>
    </div>
    <footer class="foot">
      <p class="quiet">
        Drag a notch along the stroke or off it; with the keyboard, arrows move it. The {{ digit }} always counts
        {{ digit }}.
      </p>
      <button type="button" class="stone-button" :disabled="!map?.digits[String(digit)]" @click="reset">
        Reset this numeral
      </button>
    </footer>
    <p class="sr-only" aria-live="polite">{{ said }}</p>
  </div>
</template>

<style scoped>
.notches {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  grid-template-columns: minmax(0, 1fr);
  height: 100%;
}
.top,
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: center;
  padding: 10px 16px;
}
.stage {
  grid-row: 3;
  min-width: 0;
  overflow-x: auto;
  background: var(--felt);
  min-height: 0;
}
.foot {
  grid-row: 4;
}
.space {
  flex: 1;
}
.digits {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
svg {
  width: 100%;
  height: 100%;
  touch-action: none;
}
.pen {
  fill: none;
  stroke: var(--on-felt);
  stroke-width: 9;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.notch {
  cursor: grab;
  outline: none;
}
.hit {
  fill: transparent;
}
.notch:focus-visible .hit,
.notch.chosen .hit {
  fill: rgb(255 255 255 / 16%);
  stroke: var(--focus-on-felt);
  stroke-width: 1.5;
}
.bar {
  stroke: var(--focus-on-felt);
  stroke-width: 4;
}
.trouble {
  border-left: 5px solid var(--plum);
  background: var(--plum-wash);
  padding: 0.4rem 0.8rem;
}
</style>
