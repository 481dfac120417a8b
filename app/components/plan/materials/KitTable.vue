<script setup lang="ts">
import { cautionsFor, MADE_OF, pieceKind, type Caution, type KitItem } from '../../../../core/kit/index'
import { capital, type RepresentationId } from '../../../../core/door'
import { stockOf, type Cupboard, type Stock } from '../../../../shared/cupboard'

/** One material's pieces: how many at once and in all, what of them there is, what could stand in, what to be careful about. */
const { material, items, cupboard, mayChange } = defineProps<{
  material: RepresentationId
  items: readonly KitItem[]
  cupboard: Cupboard
  mayChange: boolean
}>()
const emit = defineEmits<{ set: [kind: string, by: Partial<Stock>] }>()
const stock = (kind: string): Stock => stockOf(cupboard, material, kind)
const inside = (text: string, most: number): number => Math.min(most, Math.max(0, Math.trunc(Number(text) || 0)))
const LEVELS = { never: 'Never', watch: 'Watch', before: 'Before' } as const
const cautions = (kind: string): readonly Caution[] =>
  cautionsFor(stock(kind).size ?? pieceKind(material, kind)?.size ?? null, stock(kind).madeOf, cupboard)
const lacking = (item: KitItem): number => Math.max(0, item.total - stock(item.kind).have)
const standIns = (kind: string) => pieceKind(material, kind)?.standIns ?? []
/** What was chosen to stand in, and how it is used. */
const standsIn = (kind: string) => standIns(kind).find((s) => s.name === stock(kind).standIn)
const packs = (item: KitItem): number => {
  const { pack } = stock(item.kind)
  return pack > 0 ? Math.ceil(lacking(item) / pack) : 0
}
</script>

<template>
  <div class="wide">
    <table>
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col">At once</th>
          <th scope="col">In all</th>
          <th scope="col">There are</th>
          <th scope="col">Short of</th>
          <th scope="col">In packs of</th>
          <th scope="col">Made of</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="item in items" :key="item.kind">
          <tr>
            <th scope="row">
              {{ item.name[1] }}<span v-if="item.rods" class="quiet"> of {{ item.rods }} rods or more</span>
            </th>
            <td>{{ item.atOnce }}</td>
            <td class="all">{{ item.total }}</td>
            <td>
              <input
                type="number"
                min="0"
                :value="stock(item.kind).have"
                :aria-label="`There are: ${item.name[1]}`"
                :disabled="!mayChange"
                @change="emit('set', item.kind, { have: inside(($event.target as HTMLInputElement).value, 100000) })"
              />
            </td>
            <td :class="{ short: lacking(item) > 0 }">
              {{ lacking(item) || '✓'
              }}<span v-if="lacking(item) && standsIn(item.kind)" class="quiet">
                ({{ standsIn(item.kind)!.name }})</span
              >
              <span v-if="packs(item)" class="quiet"
                >({{ packs(item) }} {{ packs(item) === 1 ? 'pack' : 'packs' }})</span
              >
            </td>
            <td>
              <input
                type="number"
                min="0"
                :value="stock(item.kind).pack"
                :aria-label="`In packs of: ${item.name[1]}`"
                :disabled="!mayChange"
                @change="emit('set', item.kind, { pack: inside(($event.target as HTMLInputElement).value, 100000) })"
              />
            </td>
            <td>
              <select
                :value="stock(item.kind).madeOf"
                :aria-label="`Made of: ${item.name[1]}`"
                :disabled="!mayChange"
                @change="
                  emit('set', item.kind, {
                    madeOf: MADE_OF[($event.target as HTMLSelectElement).selectedIndex]!,
                  })
                "
              >
                <option v-for="m in MADE_OF" :key="m" :value="m">{{ m }}</option>
              </select>
            </td>
          </tr>
          <tr class="more">
            <td colspan="7">
              <p v-for="c in cautions(item.kind)" :key="c.says" :class="c.level">
                <b>{{ LEVELS[c.level] }}:</b> {{ c.says }} <span class="quiet">({{ c.source }})</span>
              </p>
              <p v-if="standsIn(item.kind)" class="quiet">
                {{ capital(standsIn(item.kind)!.name) }} stand in: {{ standsIn(item.kind)!.how }}
              </p>
              <p v-else-if="lacking(item) > 0 && standIns(item.kind).length" class="quiet">
                Instead:
                {{
                  standIns(item.kind)
                    .map((s) => `${s.name} (${s.how.replace(/\.$/, '')})`)
                    .join('; ')
                }}.
              </p>
              <PieceDetails
                class="no-print"
                :name="item.name[1]"
                :stock="stock(item.kind)"
                :usual="pieceKind(material, item.kind)?.size ?? null"
                :stand-ins="standIns(item.kind).map((s) => s.name)"
                :may-change="mayChange"
                @set="(by) => emit('set', item.kind, by)"
              />
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
}
th,
td {
  padding: 0.3rem 0.7rem;
  text-align: left;
}
tbody tr:not(.more) {
  border-top: 1.5px solid var(--rule);
}
td {
  font-variant-numeric: tabular-nums;
}
td input {
  width: 5.5rem;
}
.all {
  font-weight: 700;
  font-size: 1.15rem;
}
.short {
  font-weight: 700;
}
.watch {
  padding-left: 0.6rem;
  border-left: 6px solid var(--clay);
}
p {
  margin: 0.2rem 0;
}
.never {
  padding-left: 0.6rem;
  border-left: 6px solid var(--plum);
}
@media print {
  td :is(input, select) {
    border: 0;
    appearance: none;
    background: none;
    padding: 0;
  }
}
</style>
