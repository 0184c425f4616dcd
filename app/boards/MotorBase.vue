<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import type { BaseKind } from '~~/core/register/beltMachine'

/** The motor on its base from above, with numbered badges where each step of a cure is done. */
const props = defineProps<{
  kind: BaseKind
  /** Steps that have something to do, by their number. */
  turn: { readonly number: number; readonly figure: string; readonly away: boolean } | null
  slide: { readonly number: number; readonly down: boolean } | null
  drivenName: string
}>()
const words = useWords()
const w = drawingsWords(words)
const screws = computed(() => (props.kind === 'hinged' ? [78] : [44, 112]))
</script>

<template>
  <svg viewBox="0 0 280 168" role="img" :aria-label="w.motorBase">
    <g fill="#2A2F6E" stroke="#DCE3FF" stroke-width="1.6">
      <rect x="110" y="6" width="74" height="20" />
      <path d="M141 26v14h12V26" />
      <rect x="106" y="40" width="82" height="96" rx="3" />
    </g>
    <text x="147" y="92" font-size="14" fill="#A3AEE0" text-anchor="middle">{{ w.motor }}</text>
    <text x="276" y="92" font-size="14" fill="#A3AEE0" text-anchor="end">{{ w.toward(drivenName) }}</text>
    <g
      v-for="(y, i) in screws"
      :key="y"
      :stroke="turn && i === screws.length - 1 ? '#E0B04A' : '#8F9AD6'"
      fill="none"
      stroke-width="1.6"
    >
      <rect x="52" :y="y + 2" width="9" height="14" />
      <path :d="`M61 ${y + 9}h45M68 ${y + 4}v10M74 ${y + 4}v10M80 ${y + 4}v10M86 ${y + 4}v10`" />
    </g>
    <g v-if="turn">
      <circle cx="24" cy="121" r="13" fill="#E0B04A" />
      <text
        class="figure"
        x="24"
        y="127"
        font-size="16"
        font-weight="700"
        text-anchor="middle"
        fill="#15183F"
      >
        {{ turn.number }}
      </text>
      <path
        :d="turn.away ? 'M188 154h-70m0 0l8 -5v10z' : 'M118 154h70m0 0l-8 -5v10z'"
        stroke="#E0B04A"
        fill="#E0B04A"
        stroke-width="2"
      />
      <text class="figure" x="198" y="159" font-size="15" fill="#E0B04A">{{ turn.figure }}</text>
    </g>
    <g v-if="slide">
      <path
        :d="slide.down ? 'M202 4v24m0 0l-5 -8h10z' : 'M202 28V4m0 0l-5 8h10z'"
        stroke="#E0B04A"
        fill="#E0B04A"
        stroke-width="2"
      />
      <circle cx="226" cy="16" r="13" fill="#E0B04A" />
      <text
        class="figure"
        x="226"
        y="22"
        font-size="16"
        font-weight="700"
        text-anchor="middle"
        fill="#15183F"
      >
        {{ slide.number }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 290px;
}
</style>
