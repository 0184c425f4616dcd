<script setup lang="ts">
import { feetWords, pushingWords, softFootWords } from '~~/shared/wording/en'
import { PASS_SHARES } from '~~/core/bolts/tightening'
import type { PushWatch } from '~~/core/stages/move/push'
import type { Bolts } from '~~/core/stages/move/bolts'
import type { FootRef } from '~~/core/stages/feet/entries'
import { pairName, type Telling } from '~~/shared/wording/telling'
import { boltWords, torqueWords } from '~~/shared/wording/bolts'
import { driftWords } from '~~/shared/wording/pushing'

/** Tightening down behind a move: the feet in their order, the torque of each pass, and what it shifted. */
const props = defineProps<{
  order: readonly FootRef[]
  /** Feet of the driven machine, where that is moved too. */
  driven: readonly FootRef[]
  bolts: Bolts | null
  watched: PushWatch
  locked: boolean
  telling: Telling
}>()
const emit = defineEmits<{ say: [] }>()
const w = computed(() => pushingWords(props.telling.words))
const passes = computed(() =>
  PASS_SHARES.map((share, i) => {
    const torque = props.bolts?.tightening.passes[i]?.torque
    return {
      percent: `${Math.round(share * 100)} %`,
      torque: torque === undefined ? '' : torqueWords(torque, props.telling.units),
    }
  }),
)
const named = (feet: readonly FootRef[]) =>
  feet.map(
    (f) =>
      `${pairName(props.telling, { machine: f.machine, id: f.pair })} ${feetWords(props.telling.words).sides[f.side]}`,
  )
const names = computed(() => named(props.order))
const others = computed(() => named(props.driven))
const bolt = computed(() => (props.bolts ? boltWords(props.bolts, props.telling) : ''))
const drift = computed(() => driftWords(props.watched, props.telling))
</script>

<template>
  <section class="tighten" :aria-label="w.tighten.title">
    <div>
      <h3>{{ w.tighten.title }}</h3>
      <p class="dim">{{ bolt || w.tighten.order }}</p>
    </div>
    <ol class="order">
      <li v-for="(name, i) in names" :key="name">
        <span class="nth">{{ softFootWords(telling.words).view.ordinals[i] }}</span> {{ name }}
      </li>
    </ol>
    <template v-if="others.length > 0">
      <p class="dim">{{ w.tighten.driven }}</p>
      <ol class="order">
        <li v-for="(name, i) in others" :key="name">
          <span class="nth">{{ softFootWords(telling.words).view.ordinals[i] }}</span> {{ name }}
        </li>
      </ol>
    </template>
    <ul v-if="bolts" class="passes">
      <li v-for="p in passes" :key="p.percent">
        <span class="percent">{{ p.percent }}</span> <span class="figure">{{ p.torque }}</span>
      </li>
    </ul>
    <p v-else class="dim">{{ w.tighten.noBolts }}</p>
    <el-button class="dye-button" :disabled="locked" @click="emit('say')">{{
      bolts ? w.tighten.change : w.tighten.say
    }}</el-button>
    <p class="drift" :class="{ over: watched.drift?.over }">
      <b>{{ w.drift.title }}</b>
      <template v-if="drift">{{ drift.feet }} · {{ drift.said }}</template>
      <template v-else>{{ w.drift.unread }}</template>
    </p>
  </section>
</template>

<style scoped>
.tighten {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: center;
  border-top: 1px solid var(--dye-line);
  margin-top: 8px;
  padding-top: 8px;
}
h3 {
  font-size: 15px;
  color: #fff;
}
.dim {
  color: var(--scribe-dim);
  font-size: 14px;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 14px;
}
.nth {
  border: 1px solid var(--scribe);
  border-radius: 11px;
  padding: 0 7px;
  color: #fff;
}
.percent {
  font-weight: 700;
  color: #fff;
}
.drift {
  flex-basis: 100%;
  font-size: 14px;
}
.drift b {
  color: #fff;
  margin-right: 8px;
}
.drift.over {
  color: var(--out-on-dye);
}
</style>
