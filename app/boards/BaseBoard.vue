<script setup lang="ts">
import { baseMove, type BaseWay } from '~~/core/belt/baseMoves'
import type { BeltMachine } from '~~/core/register/beltMachine'
import { baseMovesWords, drawingsWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'

/**
 * The motor on its base and the driven sheave, as they stand to each other: what is turned in brass, and an
 * arrow the way the motor goes. From above where the pull is level, from the side where it is up or down.
 */
const props = defineProps<{
  base: Pick<BeltMachine['base'], 'kind' | 'place' | 'pull'>
  way: BaseWay
  words: Words
}>()
const w = computed(() => drawingsWords(props.words))
const move = computed(() => baseMove(props.base, props.way))
const upright = computed(() => move.value.going !== 'level')
/** The driven shaft lies below a motor whose belts pull down. */
const drivenBelow = computed(() => props.base.pull === 'down')
const BRASS = '#E0B04A'
const where = computed(() => baseMovesWords(props.words).going[move.value.going][props.way])
const rods = [220, 480]
const plateY = computed(() => (drivenBelow.value ? 92 : 148))
/** The nuts of a rod, the eased one and the driving one told apart. */
const nutY = (side: string) => plateY.value + (side === 'above' ? -16 : 16)
const tone = (side: 'above' | 'below' | 'driven-side' | 'far-side') =>
  move.value.nuts?.drive === side ? BRASS : move.value.nuts?.ease === side ? 'none' : '#2A2F6E'
</script>

<template>
  <svg viewBox="0 0 690 262" role="img" :aria-label="where">
    <template v-if="upright">
      <!-- The driven sheave, and the motor on its plate -->
      <circle cx="350" :cy="drivenBelow ? 222 : 30" r="30" class="part" />
      <text x="396" :y="drivenBelow ? 227 : 35">{{ w.driven }}</text>
      <path
        class="strand"
        :d="drivenBelow ? 'M320 222L326 62M380 222L374 62' : 'M320 30L326 192M380 30L374 192'"
      />
      <rect x="300" :y="drivenBelow ? 26 : 158" width="100" height="66" rx="6" class="part" />
      <circle cx="350" :cy="drivenBelow ? 60 : 192" r="24" class="part" />
      <text x="408" :y="drivenBelow ? 44 : 202">{{ w.motor }}</text>
      <rect x="196" :y="plateY - 5" width="308" height="10" class="plate" />
      <template v-if="move.turned === 'nuts'">
        <g v-for="x in rods" :key="x">
          <path class="rod" :d="`M${x} ${plateY - 52}V${plateY + 58}`" />
          <template v-for="side in ['above', 'below'] as const" :key="side">
            <rect
              :x="x - 15"
              :y="nutY(side) - 8"
              width="30"
              height="16"
              rx="2"
              :fill="tone(side)"
              :stroke="move.nuts?.ease === side ? '#FFFFFF' : '#DCE3FF'"
              :stroke-dasharray="move.nuts?.ease === side ? '4 3' : undefined"
              stroke-width="1.6"
            />
          </template>
        </g>
        <g v-if="move.nuts" font-size="15">
          <text x="512" :y="nutY(move.nuts.ease) + 6" fill="#FFFFFF">{{ w.ease }}</text>
          <text x="512" :y="nutY(move.nuts.drive) + 6" class="brass">{{ w.follow }}</text>
        </g>
      </template>
      <template v-else-if="move.turned === 'bolt'">
        <circle cx="196" :cy="plateY" r="7" class="part" />
        <path class="rod" :stroke="BRASS" :d="`M492 ${plateY - 34}V${plateY + 50}`" />
        <rect x="479" :y="plateY + 12" width="26" height="15" rx="2" :fill="BRASS" />
        <text x="512" :y="plateY + 24" class="brass">{{ w.turnThis }}</text>
      </template>
      <template v-else>
        <g v-for="x in rods" :key="x">
          <path class="rod" :stroke="BRASS" :d="`M${x} ${plateY + 6}V${plateY + 56}`" />
          <rect :x="x - 13" :y="plateY + 34" width="26" height="15" rx="2" :fill="BRASS" />
        </g>
        <text x="512" :y="plateY + 46" class="brass">{{ w.turnThese }}</text>
      </template>
      <path
        class="arrow"
        :d="
          move.going === 'up'
            ? `M150 ${plateY + 40}V${plateY - 40}l-8 12h16l-8 -12`
            : `M150 ${plateY - 40}V${plateY + 40}l-8 -12h16l-8 12`
        "
      />
    </template>
    <template v-else>
      <rect x="86" y="60" width="300" height="150" rx="3" class="ground" />
      <rect x="180" y="76" width="150" height="118" rx="6" class="part" />
      <text x="255" y="141" text-anchor="middle">{{ w.motor }}</text>
      <path class="strand" d="M214 76V44M296 76V44" />
      <rect x="206" y="24" width="98" height="22" class="part" />
      <path class="strand" d="M304 30H560M304 40H560" />
      <rect x="540" y="16" width="112" height="38" class="part" />
      <text x="596" y="82" text-anchor="middle">{{ w.driven }}</text>
      <g v-for="y in move.turned === 'bolt' ? [135] : [100, 170]" :key="y">
        <template v-if="move.turned === 'nuts'">
          <path class="rod" :d="`M100 ${y}H372`" />
          <rect
            v-for="side in ['far-side', 'driven-side'] as const"
            :key="side"
            :x="side === 'far-side' ? 158 : 334"
            :y="y - 13"
            width="15"
            height="26"
            rx="2"
            :fill="tone(side)"
            stroke="#DCE3FF"
            :stroke-dasharray="move.nuts?.ease === side ? '4 3' : undefined"
            stroke-width="1.6"
          />
        </template>
        <template v-else>
          <path class="rod" :stroke="BRASS" :d="`M108 ${y}H180`" />
          <rect x="100" :y="y - 12" width="16" height="24" rx="2" :fill="BRASS" />
        </template>
      </g>
      <text v-if="move.nuts" x="86" y="236" font-size="15" fill="#FFFFFF">
        {{ w.at(w.ease, baseMovesWords(words).nuts[move.nuts.ease]) }}
        <tspan class="brass" dx="18">
          {{ w.at(w.follow, baseMovesWords(words).nuts[move.nuts.drive]) }}
        </tspan>
      </text>
      <text v-else x="86" y="236" class="brass">
        {{ move.turned === 'bolt' ? w.turnThis : w.turnThese }}
      </text>
      <path
        class="arrow"
        :d="way === 'away' ? 'M520 135H420l12 -8v16l-12 -8' : 'M420 135H520l-12 -8v16l12 -8'"
      />
    </template>
    <text class="brass" :x="upright ? 28 : 420" :y="upright ? 250 : 172">{{ where }}</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 300px;
  flex-shrink: 0;
}
.part {
  fill: #2a2f6e;
  stroke: #dce3ff;
  stroke-width: 1.6;
}
.ground {
  fill: none;
  stroke: #8f9ad6;
}
.plate {
  fill: #3a409a;
  stroke: #dce3ff;
}
.strand {
  fill: none;
  stroke: #8f9ad6;
  stroke-width: 2;
}
.rod {
  fill: none;
  stroke: #dce3ff;
  stroke-width: 4;
}
.arrow {
  fill: #e0b04a;
  stroke: #e0b04a;
  stroke-width: 3;
}
text {
  font-size: 15px;
  fill: #dce3ff;
}
.brass {
  fill: #e0b04a;
}
</style>
