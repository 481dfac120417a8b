<script setup lang="ts">
import { landings, type OpenLineState } from '../../../../core/representation/openline/openline'
import {
  compare,
  decimalsIn,
  type Exact,
  parts,
  pretty,
  printExact,
  type Setup,
  sign,
  valueOf,
} from '../../../../core/door'
import { spread } from '../../../../core/representation/openline/layout'

/** An empty line on which one starts somewhere and hops; every landing is written. */
const props = defineProps<{ state: OpenLineState; setup: Setup; movable: boolean; newest: boolean }>()
const emit = defineEmits<{ move: [text: string] }>()

const { t } = useI18n()
const root = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(root)
const asNumber = (e: Exact): number => {
  const { numerator, denominator } = parts(e)
  return Number(numerator) / Number(denominator)
}
const places = computed(() => landings(props.state))
const target = computed(() => props.state.begun?.to ?? null)
const all = computed(() => [...places.value, ...(target.value ? [target.value] : [])])
const xs = computed(() => spread(all.value.map(asNumber), width.value))
const xOf = (e: Exact): number => xs.value.get(asNumber(e)) ?? 0
const base = computed(() => height.value * 0.62)

const mixed = computed(() => new Set(props.state.hops.map(sign)).size > 1)
const hops = computed(() =>
  props.state.hops.map((by, i) => {
    const [a, b] = [xOf(places.value[i]!), xOf(places.value[i + 1]!)]
    const forward = sign(by) > 0
    // Where hops go both ways, those back run under the line, below its numbers, so that the two are not muddled.
    const under = !forward && mixed.value
    const high = Math.min(base.value * 0.72, 46 + Math.abs(b - a) * 0.36) * (under ? -0.55 : 1)
    const way = b > a ? 1 : -1
    const y = base.value + (under ? 54 : -12)
    return {
      path: `M${a} ${y}C${a + way * 4} ${y - high} ${b - way * 4} ${y - high} ${b} ${y}`,
      tip: `M${b - way * 9 - 5} ${y - (under ? -15 : 15)}L${b} ${y}L${b + 7 - way * 3} ${y - (under ? -16 : 16)}`,
      x: (a + b) / 2,
      y: y - high * 0.75 + (under ? 30 : -10),
      text: `${forward ? '+' : '−'}${printExact(by).replace('-', '')}`,
      last: i === props.state.hops.length - 1,
    }
  }),
)
const marks = computed(() => {
  const here = places.value.at(-1)
  return [...new Set(all.value)].map((e) => ({
    x: xOf(e),
    text: printExact(e),
    here: e === here,
    aim: e === target.value && e !== here,
  }))
})
const described = computed(() => {
  if (places.value.length === 0) return t('line.empty')
  const said = props.state.hops.map((by, i) => `${printExact(by)} to ${printExact(places.value[i + 1]!)}`)
  return `${t('line.starts', { number: printExact(places.value[0]!) })}${said.length > 0 ? t('line.hops', { hops: said.join(', ') }) : t('line.noHop')}`
})

const starts = computed(() => {
  const { worked, way } = props.setup
  const first = valueOf(worked.first)
  const second = worked.terms[0] && valueOf(worked.terms[0].number)
  if (way === 'hop-up' && second)
    return [
      {
        label: t('line.fromUpTo', { from: printExact(second), to: printExact(first) }),
        move: `way ${printExact(second)} to ${printExact(first)}`,
      },
    ]
  const numbers = second && worked.terms[0]!.operation === '+' && worked.terms.length === 1 ? [first, second] : [first]
  return [...new Set(numbers)].map((n) => ({
    label: t('line.startAt', { number: printExact(n) }),
    move: `start ${printExact(n)}`,
  }))
})
/** Hops on offer: one of each place that the numbers have, back and forward. */
const steps = computed(() => {
  const numbers = [props.setup.worked.first, ...props.setup.worked.terms.map((t) => t.number)].map(valueOf)
  const most = numbers.reduce((a, b) => (compare(a, b) > 0 ? a : b))
  const up = ['1', '10', '100', '1000'].filter((n) => n.length <= Math.max(2, printExact(most).split('.')[0]!.length))
  const down = ['0.1', '0.01', '0.001'].slice(0, decimalsIn(props.setup.problem))
  return [...down.reverse(), ...up]
})
const own = ref('')
const trouble = computed(() => own.value.trim() !== '' && !/^[+\-−]?\d+(?:\.\d+)?$/.test(own.value.trim()))
function hopOwn(): void {
  const typed = own.value.trim().replace('−', '-')
  if (typed === '' || trouble.value) return
  emit('move', `hop ${/^[+-]/.test(typed) ? typed : `+${typed}`}`)
  own.value = ''
}
</script>

<template>
  <div class="on-line felt" role="group" :aria-label="t('mat.label')">
    <div ref="root" class="room">
      <p class="sr-only" aria-live="polite">{{ described }}</p>
      <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="t('line.open', { described })">
        <path class="line" :d="`M14 ${base}H${width - 26}`" />
        <path class="line" :d="`M${width - 40} ${base - 11}L${width - 24} ${base}L${width - 40} ${base + 11}`" />
        <g v-for="(h, i) in hops" :key="`h${i}`" class="hop" :class="{ now: h.last && newest }">
          <path :d="h.path" />
          <path :d="h.tip" />
          <text :x="h.x" :y="h.y" text-anchor="middle">{{ h.text }}</text>
        </g>
        <g v-for="m in marks" :key="m.text" class="mark" :class="{ here: m.here, aim: m.aim }">
          <path :d="`M${m.x} ${base - 11}V${base + 11}`" />
          <text :x="m.x" :y="base + 44" text-anchor="middle">{{ m.text }}</text>
          <circle v-if="m.here" :cx="m.x" :cy="base" r="8" />
          <path
            v-if="m.aim"
            class="flag"
            :d="`M${m.x} ${base - 11}V${base - 46}L${m.x + 22} ${base - 37}L${m.x} ${base - 28}`"
          />
        </g>
      </svg>
      <p v-if="places.length === 0" class="empty">{{ t('line.emptyMat') }}</p>
    </div>
    <div v-if="movable" class="acts">
      <template v-if="places.length === 0">
        <button v-for="s in starts" :key="s.move" type="button" class="stone-button main" @click="emit('move', s.move)">
          {{ s.label }}
        </button>
      </template>
      <template v-else>
        <button
          v-for="n in [...steps].reverse()"
          :key="`-${n}`"
          type="button"
          class="stone-button learner"
          :aria-label="t('line.hopBack', { number: n })"
          @click="emit('move', `hop -${n}`)"
        >
          {{ pretty(`-${n}`) }}
        </button>
        <form class="own" @submit.prevent="hopOwn">
          <label class="sr-only" for="own-hop">{{ t('line.own') }}</label>
          <input
            id="own-hop"
            v-model="own"
            class="learner number-box"
            maxlength="9"
            placeholder="+30"
            :aria-invalid="trouble"
          />
          <button type="submit" class="stone-button" :disabled="own.trim() === '' || trouble">
            {{ t('line.hop') }}
          </button>
        </form>
        <button
          v-for="n in steps"
          :key="`+${n}`"
          type="button"
          class="stone-button learner"
          :aria-label="t('line.hopOn', { number: n })"
          @click="emit('move', `hop +${n}`)"
        >
          +{{ n }}
        </button>
      </template>
    </div>
  </div>
</template>

<style scoped src="./lines.css"></style>
<style scoped>
path {
  fill: none;
  stroke: var(--on-felt);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.line {
  stroke-width: 4;
}
text {
  font: 700 30px var(--learner);
}
.hop text {
  font-size: 26px;
}
.hop.now path {
  stroke: var(--focus-on-felt);
  stroke-width: 5;
}
.hop.now text {
  fill: var(--focus-on-felt);
}
.mark.here circle {
  fill: var(--focus-on-felt);
  stroke: var(--felt-2);
  stroke-width: 3;
}
.mark.aim path {
  stroke-dasharray: 5 5;
}
.mark.aim .flag {
  fill: var(--piece);
  stroke-dasharray: none;
  stroke: var(--piece-line);
}
.empty {
  bottom: 12%;
}
.acts .learner {
  font-size: 1.2rem;
  font-weight: 700;
}
.own input {
  width: 5.5rem;
}
</style>
