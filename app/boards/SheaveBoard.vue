<script setup lang="ts">
import type { SheaveDrawn } from '~~/shared/stages/inspect/settingDrawing'
import { sheaveSettingWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'

/** A sheave that can be set, its upper half cut open to scale: as it stands, and dashed as it was left. */
const props = defineProps<{
  drawn: SheaveDrawn
  /** How far its groove's centre went, and how far the moving flange stands out; empty where nothing moved. */
  shift: string
  moved: string
  /** As it was left, for the key; empty where nothing changed. */
  leftAt: string
  /** What it is as it stands now, for the key, where it wasn't found so. */
  nowAt?: string
  words: Words
  sheet: { readonly width: number; readonly height: number }
}>()
const w = computed(() => sheaveSettingWords(props.words))
const points = (list: readonly (readonly [number, number])[]) => list.map((p) => p.join(',')).join(' ')
</script>

<template>
  <svg :viewBox="`0 -58 ${sheet.width} ${sheet.height + 58}`" role="img" :aria-label="w.title">
    <g v-if="drawn.before" class="key">
      <path class="dashed" d="M0 -44H28" />
      <text x="38" y="-39">{{ leftAt }}</text>
      <path class="solid" d="M0 -20H28" />
      <text x="38" y="-15" class="bright">{{ nowAt ?? w.found }}</text>
    </g>
    <polygon :points="points(drawn.hub)" class="hub" />
    <text :x="(drawn.hub[0]?.[0] ?? 0) + 8" :y="drawn.axis - 10" class="quiet">{{ w.toMotor }}</text>
    <g v-for="(f, i) in drawn.flanges" :key="i">
      <polygon :points="points(f.outline)" class="flange" :class="f.moves ? 'solid' : 'plain'" />
      <text :x="f.label[0]" :y="f.label[1]" :text-anchor="i === 0 ? 'end' : 'start'" class="bright">
        {{ f.moves ? w.moving : w.fixed }}
        <tspan v-if="f.moves && moved" :x="f.label[0]" dy="19">{{ moved }}</tspan>
      </text>
    </g>
    <template v-if="drawn.before">
      <polygon v-for="(f, i) in drawn.before.flanges" :key="i" :points="points(f)" class="dashed" />
      <polygon :points="points(drawn.before.belt)" class="dashed" />
    </template>
    <polygon :points="points(drawn.belt)" class="belt" />
    <text :x="drawn.beltMiddle[0]" :y="drawn.beltMiddle[1] + 5" text-anchor="middle" class="bright">
      {{ w.belt }}
    </text>
    <path class="axis" :d="`M0 ${drawn.axis}H${sheet.width}`" />
    <path class="plain" :d="`M${drawn.centres.is} ${drawn.centres.y - 8}V${drawn.beltMiddle[1] - 12}`" />
    <g v-if="shift">
      <path class="dashed" :d="`M${drawn.centres.was} ${drawn.centres.y - 8}V${drawn.beltMiddle[1] - 12}`" />
      <path
        class="plain"
        :d="`M${Math.min(drawn.centres.was, drawn.centres.is) - 24} ${drawn.centres.y}h22m-7 -4l7 4l-7 4M${Math.max(drawn.centres.was, drawn.centres.is) + 24} ${drawn.centres.y}h-22m7 -4l-7 4l7 4`"
      />
      <text
        class="figure bright"
        font-size="21"
        :x="Math.max(drawn.centres.was, drawn.centres.is) + 32"
        :y="drawn.centres.y + 7"
      >
        {{ shift }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 380px;
}
polygon,
path {
  fill: none;
}
.hub {
  fill: #262b66;
  stroke: #8f9ad6;
}
.flange {
  fill: #2a2f6e;
}
.plain {
  stroke: #dce3ff;
  stroke-width: 1.6;
}
.solid {
  stroke: #fff;
  stroke-width: 2.4;
}
.dashed {
  stroke: #c3cbee;
  stroke-dasharray: 6 4;
  stroke-width: 1.5;
}
.belt {
  fill: #15183f;
  stroke: #fff;
  stroke-width: 2;
}
.axis {
  stroke: #8f9ad6;
  stroke-dasharray: 14 4 3 4;
}
text {
  font-size: 15px;
  fill: #c3cbee;
}
.bright {
  fill: #fff;
}
.quiet {
  fill: #a3aee0;
}
</style>
