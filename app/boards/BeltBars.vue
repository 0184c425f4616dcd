<script setup lang="ts">
import type { BeltBars } from '~~/shared/stages/tension/drawing'
import { tensionWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'

/** Each belt of the set as a bar against the band, with the box it is typed in before it. */
const props = defineProps<{
  bars: BeltBars | null
  /** What the bars are, and in which unit. */
  title: string
  names: readonly string[]
  words: Words
}>()
const w = computed(() => tensionWords(props.words).view)
const TONES = { in: '#C3CBEE', edge: '#F0C060', out: '#FF8FA3' } as const
const tone = (verdict: 'in' | 'edge' | 'out' | null | undefined) => (verdict ? TONES[verdict] : '#8F9AD6')
</script>

<template>
  <section class="bars" :aria-label="title">
    <h3>{{ title }}</h3>
    <div v-for="(name, i) in names" :key="name" class="row">
      <span class="name">{{ name }}</span>
      <slot :at="i" :label="name" />
      <VerdictMark v-if="bars?.bars[i]?.verdict" :mark="bars.bars[i]!.verdict!" on-dye />
      <span v-else />
      <div class="track">
        <span
          v-if="bars?.band"
          class="band"
          :style="{ left: `${bars.band.low * 100}%`, width: `${(bars.band.high - bars.band.low) * 100}%` }"
        />
        <span
          v-if="bars?.bars[i]"
          class="bar"
          :style="{ width: `${bars.bars[i]!.share * 100}%`, background: tone(bars.bars[i]!.verdict) }"
        />
      </div>
    </div>
    <p v-if="bars?.band" class="under"><VerdictMark mark="in" on-dye /> {{ w.band(...bars.band.words) }}</p>
  </section>
</template>

<style scoped>
.bars {
  display: grid;
  gap: 4px;
}
h3 {
  font-size: 16px;
  color: #fff;
  margin-bottom: 4px;
}
.row {
  display: grid;
  grid-template-columns: 62px 150px 22px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
.name {
  color: var(--scribe);
}
.track {
  position: relative;
  height: calc(100% + 4px);
  min-height: 48px;
}
.band {
  position: absolute;
  top: 0;
  bottom: 0;
  background: rgb(88 211 190 / 20%);
  border-inline: 1.5px solid #58d3be;
}
.bar {
  position: absolute;
  left: 0;
  top: 50%;
  height: 15px;
  margin-top: -8px;
  min-width: 2px;
}
.under {
  color: #58d3be;
  font-size: 14px;
  text-align: right;
  padding-top: 4px;
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 54px 118px 20px minmax(0, 1fr);
    gap: 8px;
  }
}
</style>
