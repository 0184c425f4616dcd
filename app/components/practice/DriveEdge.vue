<script setup lang="ts">
import type { BladePlace } from '~/boards/BenchSheaves.vue'
import { edgeNow, tiltMarks } from '~~/core/practice/drive/driveSeen'
import type { SheavePlace } from '~~/core/register/beltMachine'
import { driveBenchWords } from '~~/shared/wording/en/driveBench'
import { figure } from '~~/shared/wording/figures'

/** A straightedge across the sheaves: pressed on one of them, on either face, level or at a mark; a blade at any rim. */
const practice = usePractice()
const session = useSession()
const words = useWords()
const w = driveBenchWords(words).edge
const edgeOn = ref<SheavePlace>('driven')
const edgeSide = ref<'outer' | 'inner'>('outer')
const shift = ref<'level' | 'up' | 'down'>('level')
const at = ref<BladePlace>('otherNear')
watch(shift, (now) => (at.value = now === 'level' ? 'otherNear' : 'middle'))
const bench = computed(() => practice.drive!.bench)
const state = computed(() => practice.drive!.now)
const shows = computed(() =>
  edgeNow(bench.value, state.value, { edgeOn: edgeOn.value, edgeSide: edgeSide.value }, shift.value),
)
const gap = computed(() => {
  const { reference, other, middle } = shows.value
  return {
    referenceFar: reference.far,
    referenceNear: reference.near,
    otherNear: other.near,
    otherFar: other.far,
    middle,
  }[at.value]
})
const names = computed(() => ({
  motor: practice.record!.machine.movableName,
  driven: practice.record!.machine.stationaryName,
}))
const marks = computed(() => figure(tiltMarks(bench.value), 'distance', session.units, { unit: true }))
</script>

<template>
  <div class="picks">
    <el-radio-group v-model="edgeOn" :aria-label="w.on">
      <el-radio-button v-for="p in ['driven', 'motor'] as const" :key="p" :value="p">{{
        names[p]
      }}</el-radio-button>
    </el-radio-group>
    <el-radio-group v-model="edgeSide" :aria-label="w.side">
      <el-radio-button v-for="s in ['outer', 'inner'] as const" :key="s" :value="s" :title="w.sides[s]">{{
        w.sidesShort[s]
      }}</el-radio-button>
    </el-radio-group>
    <el-radio-group v-model="shift" :aria-label="w.shift">
      <el-radio-button v-for="s in ['level', 'up', 'down'] as const" :key="s" :value="s">{{
        w.shifts[s]
      }}</el-radio-button>
    </el-radio-group>
  </div>
  <BenchSheaves
    class="machine"
    :edge-on="edgeOn"
    :shows="shows"
    :shifted="shift !== 'level'"
    :radius="bench.geometry.radius"
    :centre="bench.geometry.centre"
    :names="names"
    :at="at"
    @pick="at = $event"
  />
  <div class="felt">
    <div>
      <p class="note">{{ w.tryAt(w.places[at]) }}</p>
      <BladeTry :gap="gap" :label="w.blade(w.places[at])" coarse />
    </div>
    <div class="notes">
      <p v-if="shows.rocks" class="rocks" role="status">{{ w.rocks }}</p>
      <p v-if="shift !== 'level'">{{ w.marks(marks) }}</p>
      <p v-if="state.half">{{ w.halfTurned }}</p>
      <el-button class="dye-button" @click="practice.hands({ act: 'half-turn' })">{{ w.half }}</el-button>
    </div>
  </div>
</template>

<style scoped>
.picks {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
.felt {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 6px 18px;
  font-size: 14px;
}
.note,
.notes {
  color: var(--scribe-dim);
}
.rocks {
  color: var(--brass-on-dye);
}
@media (max-width: 640px) {
  .felt {
    grid-template-columns: 1fr;
  }
}
</style>
