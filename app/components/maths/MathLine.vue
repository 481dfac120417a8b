<script setup lang="ts">
import { levelParts, mathTokens } from '../../../core/door'

/**
 * A written line; where it has fractions they stand one number over the other, in MathML Core. `named` gives it its text as a name,
 * where it is part of a button's.
 */
const props = defineProps<{ line: string; named?: boolean }>()
const tokens = computed(() => (/[\d)]\/[\d(]/.test(props.line) ? mathTokens(props.line) : null))
</script>

<template>
  <span v-if="!tokens">{{ line }}</span>
  <math v-else :alttext="line" :aria-label="named ? line : undefined" displaystyle="true">
    <mrow>
      <template v-for="(t, i) in tokens" :key="i">
        <template v-if="t.kind === 'fraction'">
          <mn v-if="t.whole">{{ t.whole }}</mn>
          <mfrac>
            <mrow v-for="(level, k) in [t.top, t.bottom]" :key="k">
              <component :is="p.sign ? 'mo' : 'mn'" v-for="(p, j) in levelParts(level)" :key="j">{{
                p.text
              }}</component>
            </mrow>
          </mfrac>
        </template>
        <mn v-else-if="t.kind === 'number'">{{ t.text }}</mn>
        <mo v-else-if="t.kind === 'sign'">{{ t.text }}</mo>
        <mtext v-else>&nbsp;{{ t.text }}&nbsp;</mtext>
      </template>
    </mrow>
  </math>
</template>

<style scoped>
math {
  font-family: inherit;
  font-size: 0.86em;
  line-height: 1.15;
}
/* What is no fraction is as large as the text around it. */
math > mrow > :is(mn, mo, mtext) {
  font-size: 1.16em;
}
</style>
