<script setup lang="ts">
import type { FactCell } from '../../../core/rehearse/index'

/** Products by their two factors: how each has gone. A square is rehearsed by choosing it. */
defineProps<{ rows: readonly (readonly FactCell[])[]; hidden: boolean }>()
const emit = defineEmits<{ choose: [cell: FactCell] }>()

const SIGNS: Readonly<Record<FactCell['state'], string>> = { new: '', missed: '✗', due: '↻', sure: '✓' }
const SAID: Readonly<Record<FactCell['state'], string>> = {
  new: 'not asked yet',
  missed: 'missed last time',
  due: 'due again',
  sure: 'right, not due yet',
}
const nameOf = ({ item, state, right, tries }: FactCell): string =>
  `${item.a} × ${item.b}: ${SAID[state]}${tries ? `, ${right} of ${tries} right` : ''}`
</script>

<template>
  <div class="room">
    <table class="grid learner">
      <caption class="sr-only">
        Products by their two factors
      </caption>
      <thead>
        <tr>
          <th scope="col">×</th>
          <th v-for="c in rows[0]" :key="c.item.b" scope="col">{{ c.item.b }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row[0]!.item.a">
          <th scope="row">{{ row[0]!.item.a }}</th>
          <td v-for="c in row" :key="c.item.b">
            <button type="button" :class="c.state" :aria-label="nameOf(c)" @click="emit('choose', c)">
              <span aria-hidden="true">{{ hidden || c.state === 'new' ? '' : c.item.a * c.item.b }}</span>
              <i aria-hidden="true">{{ SIGNS[c.state] }}</i>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./grid.css"></style>
<style scoped>
.room {
  overflow-x: auto;
}
th {
  min-width: 34px;
  font-size: 1.05rem;
}
button {
  position: relative;
  display: grid;
  place-items: center;
  width: 46px;
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
i {
  position: absolute;
  right: 3px;
  top: -1px;
  font: 700 0.8rem var(--ui);
}
</style>
