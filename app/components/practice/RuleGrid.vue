<script setup lang="ts">
import { type BeadRule, type ComplementNames, ruleName } from '../../../core/door'
import type { Cell } from '../../../core/rehearse/index'

/** Nine digits by ten settings: how each goes, and how it has gone. A cell is rehearsed by choosing it. */
const props = defineProps<{ rows: readonly (readonly Cell[])[]; names: ComplementNames; rules: boolean }>()
const emit = defineEmits<{ choose: [cell: Cell] }>()

/** Each rule has a mark of its own, and where colours are seen a ground of its own texture. */
const MARKS: Readonly<Record<BeadRule, string>> = { direct: '·', five: '5', ten: '10', mixed: '5 10' }
const SIGNS: Readonly<Record<Cell['state'], string>> = { new: '', missed: '✗', due: '↻', sure: '✓' }
const SAID: Readonly<Record<Cell['state'], string>> = {
  new: 'not asked yet',
  missed: 'missed last time',
  due: 'due again',
  sure: 'right, not due yet',
}
const way = computed(() => (props.rows[0]![0]!.way > 0 ? '+' : '−'))
const nameOf = (c: Cell): string =>
  `${way.value}${c.digit} where ${c.shown} shows${props.rules ? `, ${ruleName(c.rule, props.names)}` : ''}: ${SAID[c.state]}${c.tries ? `, ${c.right} of ${c.tries} right` : ''}`
</script>

<template>
  <div class="grid-room">
    <table class="grid">
      <caption class="sr-only">
        Digits by what the rod shows
      </caption>
      <thead>
        <tr>
          <th scope="col" class="corner">rod shows</th>
          <th v-for="n in 10" :key="n" scope="col" class="learner">{{ n - 1 }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <th scope="row" class="learner">{{ way }}{{ i + 1 }}</th>
          <td v-for="c in row" :key="c.shown">
            <button
              type="button"
              :class="[c.state, rules ? c.rule : '']"
              :aria-label="nameOf(c)"
              @click="emit('choose', c)"
            >
              <b v-if="rules">{{ MARKS[c.rule] }}</b>
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
.grid-room {
  overflow-x: auto;
  min-height: max-content;
}
th {
  font-weight: 700;
  font-size: 1.15rem;
  min-width: 44px;
  text-align: center;
}
.corner {
  font: 400 0.85rem var(--ui);
  text-align: right;
  padding-right: 6px;
}
button {
  display: block;
  position: relative;
  width: 50px;
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  cursor: pointer;
}
/* The rule's mark stands below the state's, so that neither is ever over the other. */
b {
  position: absolute;
  left: 7px;
  bottom: 12px;
  line-height: 1;
  font-size: 0.9rem;
  font-weight: 400;
}
i {
  position: absolute;
  right: 3px;
  top: 0;
  font-style: normal;
  font-weight: 700;
  font-size: 0.85rem;
}
/* The rules differ by a band at the foot too: none, one line, two lines, a hatching. */
.five {
  background-image: linear-gradient(var(--edge), var(--edge));
  background-repeat: no-repeat;
  background-position: 50% calc(100% - 4px);
  background-size: 70% 2px;
}
.ten {
  background-image: linear-gradient(var(--edge), var(--edge)), linear-gradient(var(--edge), var(--edge));
  background-repeat: no-repeat;
  background-position:
    50% calc(100% - 4px),
    50% calc(100% - 9px);
  background-size: 70% 2px;
}
.mixed {
  background-image: repeating-linear-gradient(135deg, transparent 0 3px, var(--edge) 3px 5px);
  background-repeat: no-repeat;
  background-position: 50% calc(100% - 3px);
  background-size: 70% 9px;
}
</style>
