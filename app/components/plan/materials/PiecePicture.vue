<script setup lang="ts">
import type { RepresentationId } from '../../../../core/door'

/** One kind of piece by its picture on felt: so many of a base-ten block as fit, else the material's own picture. */
const { material, kind } = defineProps<{ material: RepresentationId; kind: string }>()
const isBlock = computed(
  () => ['blocks', 'plates'].includes(material) && ['one', 'ten', 'hundred', 'thousand'].includes(kind),
)
const ONES = Array.from({ length: 10 }, (_, i) => ({ x: 12 + (i % 5) * 13, y: 16 + Math.floor(i / 5) * 14 }))
</script>

<template>
  <svg v-if="isBlock" class="piece-picture" viewBox="0 0 84 58" aria-hidden="true" focusable="false">
    <rect class="felt" width="84" height="58" rx="9" />
    <g class="piece">
      <template v-if="kind === 'one'">
        <rect v-for="p in ONES" :key="`${p.x} ${p.y}`" v-bind="p" width="10" height="10" rx="1" />
      </template>
      <template v-else-if="kind === 'ten'">
        <rect v-for="i in 6" :key="i" :x="3 + i * 11" y="8" width="7" height="42" rx="1" />
      </template>
      <rect v-else x="20" y="7" width="44" height="44" rx="2" />
      <path v-if="kind === 'hundred'" class="ruled" d="M31 7v44M42 7v44M53 7v44M20 18h44M20 29h44M20 40h44" />
      <path v-if="kind === 'thousand'" class="ruled" d="M20 18h33v33M53 18l11-11" />
    </g>
  </svg>
  <span v-else class="piece-picture"><MaterialPicture :id="material" /></span>
</template>

<style scoped>
.piece-picture {
  display: block;
  width: 84px;
  flex: none;
}
.piece-picture :deep(svg) {
  width: 84px;
  border-radius: 9px;
}
.felt {
  fill: var(--felt);
}
.piece rect {
  fill: var(--piece);
  stroke: var(--piece-line);
  stroke-width: 1;
}
.ruled {
  fill: none;
  stroke: var(--piece-line);
  stroke-width: 0.8;
}
</style>
