<script setup lang="ts">
import { normalClock } from '~~/core/frame/clock'
import { dialNow, dialsOn } from '~~/core/practice/benchDials'
import { turnedOn } from '~~/core/practice/doAct'
import { barOnPipe } from '~~/core/practice/feelers'
import { circleName } from '~~/shared/wording/circles'
import { clockFace } from '~~/shared/wording/clockFace'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** The shafts turned by hand, the needles that follow, and what is tightened, pressed and zeroed. */
defineProps<{ letters: Readonly<Record<string, string>> }>()
const practice = usePractice()
const session = useSession()
const telling = useTelling()
const w = computed(() => practiceBenchWords(telling.value.words).bench)
const bench = computed(() => practice.coupled!.bench)
const state = computed(() => practice.coupled!.shown)
const circles = computed(() => dialsOn(state.value))
const oneLine = computed(() => (session.units === 'inch' ? '½ mil' : '0.01 mm'))

/** The bar with its dial on a stiff pipe instead: how it hangs shows as it is turned. */
const pipe = ref<number | null>(null)
const pressed = ref('')
const PRESS = 0.12
const shows = (circle: string) =>
  pipe.value === null
    ? dialNow(bench.value, state.value, circle) +
      (pressed.value === circle ? PRESS * bench.value.dial(circle).sign : 0)
    : barOnPipe(bench.value, circle, pipe.value)
const turning = (by: number) => {
  const now = practice.coupled?.now
  if (pipe.value !== null || !now) return
  practice.underway = turnedOn(bench.value, now, by)
}
const turned = (by: number) => {
  if (pipe.value !== null) pipe.value += by
  else practice.hands({ act: 'turn', by })
}
const press = (circle: string) => {
  if (!practice.hands({ act: 'press', circle })) return
  pressed.value = circle
  setTimeout(() => (pressed.value = ''), 900)
}
const at = computed(() => pipe.value ?? state.value.turned)
const told = computed(() => {
  const turns = Math.trunc(at.value / 360)
  return w.value.wheelAt(clockFace(normalClock(Math.round(at.value))), w.value.turns(turns))
})
const swapped = computed(() => bench.value.faults.has('swapped-marks'))
</script>

<template>
  <p v-if="circles.length === 0" class="none">{{ w.noDials }}</p>
  <template v-else>
    <div class="row">
      <figure v-for="(circle, i) in circles" :key="circle" :style="{ order: i === 0 ? 0 : 2 }">
        <figcaption>
          <b>{{ letters[circle] }}</b> {{ circleName(circle, telling) }}
        </figcaption>
        <BenchDial
          :name="circleName(circle, telling)"
          :value="shows(circle)"
          :units="session.units"
          :data-circle="circle"
        />
        <div class="acts">
          <el-button
            class="dye-button"
            :aria-label="`${circleName(circle, telling)}: ${w.zero}`"
            :disabled="pipe !== null"
            @click="practice.hands({ act: 'zero', circle })"
            >{{ w.zero }}</el-button
          >
          <el-button
            class="dye-button"
            :aria-label="`${circleName(circle, telling)}: ${w.press}`"
            :disabled="pipe !== null"
            @click="press(circle)"
            >{{ w.press }}</el-button
          >
        </div>
      </figure>
      <figure class="middle">
        <figcaption class="brass">{{ w.drag }}</figcaption>
        <BenchWheel
          :turned="at"
          :label="w.wheel"
          :told="told"
          :swapped="swapped"
          @turning="turning"
          @turned="turned"
        />
        <div class="acts">
          <el-button class="dye-button" :aria-label="w.back" @click="turned(-90)">{{ w.backSign }}</el-button>
          <el-button class="dye-button" :aria-label="w.quarter" @click="turned(90)">{{
            w.quarterSign
          }}</el-button>
        </div>
      </figure>
      <div class="column">
        <el-button class="dye-button" :disabled="state.clamped" @click="practice.hands({ act: 'clamp' })">{{
          state.clamped ? w.tightened : w.tighten
        }}</el-button>
        <el-button class="dye-button" @click="practice.hands({ act: 'couple', made: !state.made })">{{
          state.made ? w.openUp : w.makeUp
        }}</el-button>
        <el-button class="dye-button" @click="practice.hands({ act: 'pipe', slack: !state.pipeSlack })">{{
          state.pipeSlack ? w.boltPipe : w.loosenPipe
        }}</el-button>
        <el-button
          class="dye-button"
          :aria-pressed="pipe !== null"
          @click="pipe = pipe === null ? 0 : null"
          >{{ pipe === null ? w.onPipe : w.offPipe }}</el-button
        >
      </div>
    </div>
    <p class="note" role="status">
      {{ told }} · {{ w.line(oneLine) }}<template v-if="pipe !== null"> · {{ w.onPipeNote }}</template>
    </p>
  </template>
</template>

<style scoped>
.row {
  display: flex;
  justify-content: center;
  gap: 16px;
}
figure {
  flex: 0 1 150px;
  margin: 0;
}
.middle {
  order: 1;
}
figcaption {
  font-size: 13px;
  color: var(--scribe-dim);
  text-align: center;
}
figcaption b {
  color: #fff;
}
.brass {
  color: var(--brass-on-dye);
  font-weight: 600;
}
.acts {
  display: flex;
  justify-content: center;
  gap: 6px;
  margin-top: 2px;
}
.acts .el-button {
  margin: 0;
  padding-inline: 10px;
}
.column {
  order: 3;
  flex: 0 1 170px;
  display: grid;
  align-content: start;
  gap: 6px;
}
.column .el-button {
  margin: 0;
  padding-inline: 8px;
  white-space: normal;
  line-height: 1.2;
}
.note,
.none {
  font-size: 14px;
  color: var(--scribe-dim);
  text-align: center;
}
@media (max-width: 640px) {
  .row {
    flex-wrap: wrap;
    gap: 10px;
  }
  figure {
    flex-basis: 44%;
  }
}
</style>
