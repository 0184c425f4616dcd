<script setup lang="ts">
import { backlashWords } from '~~/shared/wording/en'

/** The layers under one block: what comes out dashed on top, what goes in brass; more than can be drawn one by one stand for themselves. */
const props = defineProps<{ under: number; change: number; layer: string }>()
const words = useWords()
const w = backlashWords(words)
const MOST = 12
const HEIGHT = 6.5
const stays = computed(() => Math.max(0, props.under + Math.min(0, props.change)))
const rows = computed(() => {
  const moved = Math.abs(props.change)
  const all = stays.value + moved
  const shown = Math.min(all, MOST)
  const movedShown = Math.min(moved, Math.max(1, Math.round((moved * shown) / Math.max(1, all))))
  return Array.from({ length: shown }, (_, i) => ({
    y: 116 - HEIGHT * (i + 1),
    moved: moved > 0 && i >= shown - movedShown,
  }))
})
const top = computed(() => 116 - HEIGHT * rows.value.length)
</script>

<template>
  <div class="layers">
    <svg viewBox="0 0 130 122" aria-hidden="true">
      <rect x="6" :y="top - 26" width="118" height="22" class="block" />
      <text x="65" :y="top - 10" text-anchor="middle">{{ w.block }}</text>
      <rect
        v-for="r in rows"
        :key="r.y"
        x="14"
        :y="r.y"
        width="102"
        :height="HEIGHT"
        :class="r.moved ? (change < 0 ? 'out' : 'in') : 'stays'"
      />
      <path d="M2 117H128" class="bed" />
    </svg>
    <p>
      <strong v-if="change !== 0" class="figure">{{ change > 0 ? `+${change}` : `−${-change}` }}</strong>
      <span v-if="change !== 0" class="of">{{ w.layersOf('', layer, '').trim() }}</span>
      <span>{{ change === 0 ? w.layersOf(String(under), layer, '') : w.stay(stays) }}</span>
    </p>
  </div>
</template>

<style scoped>
.layers {
  display: grid;
  grid-template-columns: 116px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
}
svg {
  width: 116px;
}
text {
  font-size: 14px;
  fill: #fff;
}
.block {
  fill: none;
  stroke: #fff;
  stroke-width: 1.5;
}
.stays {
  fill: color-mix(in srgb, var(--scribe) 14%, var(--dye));
  stroke: var(--scribe-dim);
}
.out {
  fill: none;
  stroke: #fff;
  stroke-dasharray: 3 3;
}
.in {
  fill: color-mix(in srgb, var(--brass-on-dye) 30%, var(--dye));
  stroke: var(--brass-on-dye);
}
.bed {
  stroke: #fff;
  stroke-width: 2;
}
p > span {
  display: block;
}
p > .of {
  display: inline;
  margin-left: 7px;
}
p {
  font-size: 14px;
  line-height: 1.35;
  color: var(--scribe);
}
strong {
  font-size: 24px;
  font-weight: 400;
  color: #fff;
}
</style>
