<script setup lang="ts">
import { pieceKind, type KitItem } from '../../../../core/kit/index'
import { capital, pretty } from '../../../../core/door'
import { stockOf, type BoughtPack, type Cupboard, type Stock } from '../../../../shared/cupboard'
import type { KitsAnswer } from '../../../../workers/kit'
import { pastedNumbers } from '../../../utils/pastedNumbers'

/** One material's pieces: how many of each are needed, how many there are, what is missing and what would do instead. */
const { of, learners, problems, cupboard, mayChange } = defineProps<{
  of: KitsAnswer[number]
  learners: number
  problems: number
  cupboard: Cupboard
  mayChange: boolean
}>()
const emit = defineEmits<{ set: [changes: Readonly<Record<string, Partial<Stock>>>]; packs: [packs: BoughtPack[]] }>()
const { t } = useI18n()
const { title: titleOf } = useNames()
const items = computed(() => of.kit?.items ?? [])
const stock = (kind: string): Stock => stockOf(cupboard, of.material, kind)
const missing = (item: KitItem): number => Math.max(0, item.total - stock(item.kind).have)
/** A short problem stays on one line. */
const unbroken = (problem: string): string => pretty(problem).replaceAll(' ', '\u00a0')
const lacking = computed(() => items.value.filter((i) => missing(i) > 0))
const summary = computed(() => {
  const [first, ...others] = lacking.value
  if (!first) return t('mat.enough')
  const n = missing(first)
  const named = t('mat.missingOf', { n, what: first.name[n === 1 ? 0 : 1] })
  return others.length ? t('mat.andMore', { first: named, n: others.length }) : named
})
const standIns = (kind: string) => pieceKind(of.material, kind)?.standIns ?? []
const packs = (item: KitItem): number => {
  const { pack } = stock(item.kind)
  return pack > 0 ? Math.ceil(missing(item) / pack) : 0
}
/** The piece that is unfolded; what is missing is unfolded at first. */
const open = ref<string | null>(null)
const MOST_PIECES = 100_000
const set = (kind: string, by: Partial<Stock>): void => emit('set', { [`${of.material}/${kind}`]: by })
function type(kind: string, box: HTMLInputElement): void {
  const n = Math.min(MOST_PIECES, Math.max(0, Math.trunc(Number(box.value) || 0)))
  box.value = String(n)
  set(kind, { have: n })
}
/** A column copied from a spreadsheet goes down from the piece it was put at. */
function paste(event: ClipboardEvent, at: number): void {
  const numbers = pastedNumbers(event.clipboardData?.getData('text') ?? '')
  if (numbers.length < 2) return
  event.preventDefault()
  const changes = items.value.slice(at).flatMap(({ kind }, i) => {
    const have = numbers[i]
    return have === undefined || have === null ? [] : [[`${of.material}/${kind}`, { have }] as const]
  })
  emit('set', Object.fromEntries(changes))
}
/** Arrow keys go up and down the column, from one material to the next. */
function go(event: KeyboardEvent): void {
  const by = { ArrowDown: 1, ArrowUp: -1, Enter: 1 }[event.key]
  if (!by) return
  const all = [...document.querySelectorAll<HTMLInputElement>('input.have')]
  const to = all[all.indexOf(event.target as HTMLInputElement) + by]
  if (!to) return
  event.preventDefault()
  to.focus()
  to.select()
}
</script>

<template>
  <section class="card kit" :aria-label="titleOf(of.material)">
    <header>
      <h2>{{ capital(titleOf(of.material)) }}</h2>
      <span v-if="items.length" class="quiet">{{
        t('mat.sets', {
          sets: t('mat.setCount', of.kit!.sets),
          learners: t('mat.learnerCount', learners),
          problems: t('mat.problemCount', problems),
        })
      }}</span>
      <span class="grow" />
      <span v-if="items.length" class="tag" :class="lacking.length ? 'clay' : 'moss'">{{ summary }}</span>
    </header>
    <p v-if="of.refused" class="trouble" role="alert">{{ of.refused }}</p>
    <p v-for="c in of.kit?.cannot ?? []" :key="c.problem" class="quiet">{{ pretty(c.problem) }}: {{ c.why }}</p>
    <p v-if="of.kit && items.length === 0 && of.kit.cannot.length === 0" class="quiet">{{ t('mat.noPieces') }}</p>
    <ul v-if="items.length" class="plain rows">
      <li class="heads quiet" aria-hidden="true">
        <span class="piece">{{ t('mat.piece') }}</span><span>{{ t('mat.need') }}</span
        ><span>{{ t('mat.have') }}</span>
      </li>
      <li v-for="(item, i) in items" :key="item.kind" class="row">
        <PiecePicture :material="of.material" :kind="item.kind" />
        <span class="piece">
          <b>{{ capital(item.name[1]) }}</b>
          <span class="quiet">{{ t('mat.atOnce', { n: item.atOnce, problem: unbroken(item.problem) }) }}</span>
          <span v-if="item.rods" class="quiet">{{ t('mat.rods', item.rods) }}</span>
        </span>
        <span class="need"
          ><span class="sr-only">{{ t('mat.need') }}</span> {{ item.total }}</span
        >
        <InputText
          class="have learner"
          inputmode="numeric"
          maxlength="6"
          :model-value="String(stock(item.kind).have)"
          :aria-label="t('mat.haveOf', { what: item.name[1] })"
          :disabled="!mayChange"
          @keydown="go"
          @paste="paste($event, i)"
          @focus="($event.target as HTMLInputElement).select()"
          @change="type(item.kind, $event.target as HTMLInputElement)"
        />
        <span class="tag" :class="missing(item) ? 'clay' : 'moss'">
          <IconTriangleAlert v-if="missing(item)" /><IconCheck v-else />
          {{ missing(item) ? t('mat.missing', { n: missing(item) }) : t('mat.enough') }}
        </span>
        <Button
          severity="secondary"
          text
          class="unfold"
          :aria-label="t('mat.details', { what: item.name[1] })"
          :aria-expanded="open === item.kind"
          @click="open = open === item.kind ? null : item.kind"
          ><IconChevronDown
        /></Button>
        <p
          v-if="missing(item) && (packs(item) || standIns(item.kind).length) && open !== item.kind"
          class="quiet below in-row"
        >
          <span v-if="packs(item)">{{ t('mat.buy', packs(item)) }}</span>
          <span v-if="stock(item.kind).standIn">{{ t('mat.standsIn', { what: stock(item.kind).standIn! }) }}</span>
          <span v-else-if="standIns(item.kind).length">{{
            t('mat.instead', {
              what: standIns(item.kind)
                .map((s) => s.name)
                .join(', '),
            })
          }}</span>
        </p>
        <PieceDetails
          v-if="open === item.kind"
          class="below"
          :name="item.name[1]"
          :stock="stock(item.kind)"
          :usual="pieceKind(of.material, item.kind)?.size ?? null"
          :stand-ins="standIns(item.kind)"
          :may-change="mayChange"
          @set="(by) => set(item.kind, by)"
        />
      </li>
    </ul>
    <p v-if="of.instead.length" class="quiet">
      {{
        t('mat.orWith', {
          what: of.instead
            .slice(0, 6)
            .map((m) => titleOf(m.representation) + (m.pieces ? ` (${t('mat.enough')})` : ''))
            .join(', '),
        })
      }}
    </p>
    <PackList
      v-if="items.length"
      :material="of.material"
      :items="items"
      :wanted="of.kit!.packs"
      :packs="cupboard.packs ?? []"
      :may-change="mayChange"
      @change="(all) => emit('packs', [...all])"
    />
  </section>
</template>

<style scoped>
.kit {
  display: grid;
  gap: 10px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.heads,
.row {
  display: grid;
  grid-template-columns: 84px minmax(9rem, 1fr) 4.5rem 6.2rem 8.4rem 44px;
  gap: 4px 16px;
  align-items: center;
}
.heads {
  padding-bottom: 6px;
  font-size: 0.9rem;
}
.heads .piece {
  grid-column: 2;
}
.row {
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.piece {
  display: grid;
}
.need {
  font-size: 1.35rem;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.have {
  width: 100%;
  font-size: 1.25rem;
  text-align: center;
}
.row .tag {
  justify-self: stretch;
}
.below {
  grid-column: 2 / -1;
}
.unfold[aria-expanded='true'] :deep(svg) {
  transform: rotate(180deg);
}
@media (min-width: 701px) {
  .word {
    position: absolute;
    clip-path: inset(50%);
  }
}
.word {
  font-size: 1rem;
  font-weight: 400;
}
@media (max-width: 700px) {
  .heads {
    display: none;
  }
  .row {
    grid-template-columns: 84px minmax(0, 1fr) 44px;
  }
  .row .need,
  .row .have {
    grid-row: 2;
  }
  .row .have {
    width: 6rem;
  }
  .unfold {
    grid-column: 3;
    grid-row: 1;
  }
  .row .tag {
    grid-column: 1 / -1;
    justify-self: start;
  }
  .below {
    grid-column: 1 / -1;
  }
}
@media print {
  .unfold {
    display: none;
  }
}
</style>
