<script setup lang="ts">
import { flangeWords, pushingWords } from '~~/shared/wording/en'
import type { FlangeState } from '~~/core/jobs/flange'
import { crissCross, PASS_SHARES } from '~~/core/bolts/tightening'
import { boltWords, torqueWords } from '~~/shared/wording/bolts'
import { clockFace } from '~~/shared/wording/clockFace'
import { loadedAhead } from '../ahead'

const BoltsDialog = loadedAhead(() => import('../move/BoltsDialog.vue'))

/** Drawing the flange down: its bolts in a star, by their hours, and the torque of each pass. */
const props = defineProps<{ state: FlangeState; locked: boolean }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => pushingWords(telling.value.words).tighten)
const star = computed(() =>
  crissCross(props.state.shape.bolts.length).map((n) =>
    clockFace(props.state.shape.bolts[n - 1]?.clock ?? 0),
  ),
)
const passes = computed(() =>
  PASS_SHARES.map((share, i) => {
    const torque = props.state.bolts?.tightening.passes[i]?.torque
    return {
      percent: `${Math.round(share * 100)} %`,
      torque: torque === undefined ? '' : torqueWords(torque, session.units),
    }
  }),
)
const naming = ref(false)
const later = useLater(naming)
</script>

<template>
  <section class="star" :aria-label="w.title">
    <p>
      <b>{{ w.title }}</b> {{ flangeWords(telling.words).move.star }}:
      <span class="figure">{{ star.join(' · ') }}</span>
    </p>
    <p v-if="state.bolts" class="dim">
      {{ boltWords(state.bolts, telling) }}:
      <span v-for="p in passes" :key="p.percent" class="figure pass">{{ p.percent }} {{ p.torque }}</span>
    </p>
    <p v-else class="dim">{{ w.noBolts }}</p>
    <el-button class="dye-button" :disabled="locked" @click="naming = true">{{
      state.bolts ? w.change : w.say
    }}</el-button>
    <BoltsDialog
      v-if="later"
      v-model="naming"
      :bolts="state.bolts?.payload ?? null"
      @say="job.log({ kind: 'bolts-named', payload: $event })"
    />
  </section>
</template>

<style scoped>
.star {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
  color: var(--scribe);
  font-size: 14.5px;
}
p {
  margin: 0;
}
b {
  color: #fff;
}
.dim {
  color: var(--scribe-dim);
}
.pass + .pass {
  margin-left: 16px;
}
.figure {
  font-family: var(--figures);
}
</style>
