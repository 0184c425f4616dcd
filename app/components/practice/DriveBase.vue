<script setup lang="ts">
import { BASE_ENDS, type BaseEnd } from '~~/core/practice/drive/driveActs'
import { leavesReady, standsOff } from '~~/core/practice/drive/doDrive'
import { endsFromEdge } from '~~/core/practice/drive/driveState'
import { shaftEndNow } from '~~/core/practice/drive/driveSeen'
import { toCore } from '~~/core/units/unitSystem'
import { driveBenchWords } from '~~/shared/wording/en/driveBench'
import { thickness, UNIT_NAMES } from '~~/shared/wording/figures'

/** The motor on its slide: base bolts, a screw and a rule at each end, leaves under the far feet, its sheave on its shaft. */
const practice = usePractice()
const session = useSession()
const words = useWords()
const w = driveBenchWords(words).base
const bench = computed(() => practice.drive!.bench)
const state = computed(() => practice.drive!.now)
const ends = computed(() => endsFromEdge(bench.value, state.value))
const stuck = computed(() => standsOff(state.value))
const BITES = [1, 0.25, 0.125] as const
const BITE_NAMES = ['1', '¼', '⅛'] as const
const bite = ref<number>(0)
const turn = (end: BaseEnd, way: 1 | -1) =>
  practice.hands({ act: 'screw', end, turns: way * (BITES[bite.value] ?? 1) })
const own = (mm: number) => `${thickness(mm, session.units)} ${UNIT_NAMES[session.units].displacement}`
const leaves = computed(() => leavesReady(bench.value).map((value) => ({ value, name: own(value) })))
const leaf = ref<number>(leaves.value[0]?.value ?? 0.1)
const SLIDES = { inch: [100, 20, 5], metric: [2, 0.5, 0.1] } as const
const slide = ref<number>(1)
const along = (way: 1 | -1) =>
  practice.hands({
    act: 'slide-sheave',
    by: way * toCore(SLIDES[session.units][slide.value] ?? 0, 'displacement', session.units),
  })
</script>

<template>
  <div class="tools">
    <el-button class="dye-button" @click="practice.hands({ act: 'base', tight: !state.tight })">{{
      state.tight ? w.loosen : w.tighten
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'bump' })">{{ w.bump }}</el-button>
    <span class="name">{{ w.by.screw }}</span>
    <el-radio-group v-model="bite" :aria-label="w.bite">
      <el-radio-button v-for="(b, i) in BITE_NAMES" :key="b" :value="i">{{ w.turns(b) }}</el-radio-button>
    </el-radio-group>
    <span class="name">{{ w.by.sheave }}</span>
    <el-radio-group v-model="slide" :aria-label="w.slide">
      <el-radio-button v-for="(s, i) in SLIDES[session.units]" :key="s" :value="i">{{
        `${s} ${UNIT_NAMES[session.units].displacement}`
      }}</el-radio-button>
    </el-radio-group>
  </div>
  <div v-for="end in BASE_ENDS" :key="end" class="end">
    <span class="name">{{ w.ends[end] }}</span>
    <el-button class="dye-button" :aria-label="w.turnBack(w.ends[end])" @click="turn(end, -1)">{{
      w.back
    }}</el-button>
    <el-button class="dye-button" :aria-label="w.turnOn(w.ends[end])" @click="turn(end, 1)">{{
      w.on
    }}</el-button>
    <BenchRule :value="ends[end]" :units="session.units" :label="w.rule(w.ends[end])" />
    <span v-if="stuck.includes(end)" class="off" role="status">{{ w.off }}</span>
  </div>
  <div class="end">
    <span class="name">{{ w.shaft }}</span>
    <el-button class="dye-button" :aria-label="w.slideInLong" @click="along(-1)">{{ w.slideIn }}</el-button>
    <el-button class="dye-button" :aria-label="w.slideOutLong" @click="along(1)">{{ w.slideOut }}</el-button>
    <BenchRule :value="shaftEndNow(bench, state)" :units="session.units" :label="w.shaftRule" />
    <span></span>
  </div>
  <div class="tools">
    <span class="name">{{ w.by.leaf }}</span>
    <el-radio-group v-model="leaf" :aria-label="w.leaf">
      <el-radio-button v-for="l in leaves" :key="l.value" :value="l.value">{{ l.name }}</el-radio-button>
    </el-radio-group>
    <el-button class="dye-button" @click="practice.hands({ act: 'far-feet', by: leaf })">{{
      w.lay
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'far-feet', by: -leaf })">{{
      w.takeOut
    }}</el-button>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  font-size: 14px;
  gap: 6px 10px;
  margin: 4px 0;
}
.tools .el-button,
.end .el-button {
  margin: 0;
  padding-inline: 10px;
}
.end {
  display: grid;
  grid-template-columns: 84px 96px 96px minmax(200px, 1fr) minmax(0, 110px);
  gap: 8px;
  align-items: center;
  font-size: 14px;
}
.name {
  color: var(--scribe-dim);
}
.off {
  color: var(--brass-on-dye);
}
@media (max-width: 640px) {
  .end {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
