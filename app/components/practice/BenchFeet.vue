<script setup lang="ts">
import { footPlace, type BenchFoot } from '~~/core/practice/bench'
import { cornerGaps, footDialNow, FOOT_CORNERS, type FootCorner } from '~~/core/practice/feelers'
import { shelfOf } from '~~/core/register/shelf'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { thickness, UNIT_NAMES } from '~~/shared/wording/figures'

/** The four feet: bolts, a dial on one of them, blades under its corners, leaves laid and taken out. */
const practice = usePractice()
const session = useSession()
const telling = useTelling()
const w = computed(() => practiceBenchWords(telling.value.words).bench)
const bench = computed(() => practice.coupled!.bench)
const state = computed(() => practice.coupled!.now)
const chosen = ref<BenchFoot>(1)
const name = (foot: BenchFoot) => `f${foot}`
/** As one stands behind the motor, looking at the coupling: the coupling end on top. */
const ORDER: readonly BenchFoot[] = [1, 2, 4, 3]

const leaf = (mm: number) => `${thickness(mm, session.units)} ${UNIT_NAMES[session.units].displacement}`
const shelf = computed(() =>
  shelfOf(bench.value.setting.machine).map((s) => ({
    value: s.thickness,
    name: leaf(s.thickness),
  })),
)
const lay = ref<number | ''>('')
watch(lay, (mm) => {
  if (mm === '') return
  practice.hands({ act: 'leaves', foot: chosen.value, out: [], in: [mm] })
  lay.value = ''
})
const takeOut = (mm: number) => practice.hands({ act: 'leaves', foot: chosen.value, out: [mm], in: [] })
const rise = computed(() => footDialNow(bench.value, state.value))
const corner = ref<FootCorner>('inboardOuter')
const gap = computed(() => cornerGaps(bench.value, state.value, chosen.value)[corner.value])

/** The driven machine's feet open and close with their leaves: it is lifted by a helper. */
const driven = ref(false)
const drivenPairs = computed(() => bench.value.feet.stationary ?? [])
const locked = computed(() => bench.value.setting.machine.feet.stationary.every((f) => f.locked))
const layDriven = (pair: string, out: readonly number[], putIn: readonly number[]) => {
  for (const side of ['left', 'right'] as const)
    practice.hands({ act: 'driven-leaves', pair, side, out, in: putIn })
}
const pairName = (foot: BenchFoot) =>
  telling.value.footNames(bench.value.feet.movable?.[footPlace(foot).pair].id ?? '')
</script>

<template>
  <div class="feet">
    <div class="map" role="group">
      <div v-for="foot in ORDER" :key="foot" class="foot" :class="{ here: foot === chosen }">
        <b>{{ name(foot) }}</b> <span>{{ pairName(foot) }}</span>
        <el-button
          class="dye-button"
          :aria-label="state.loose.has(foot) ? w.feet.tighten(name(foot)) : w.feet.loosen(name(foot))"
          @click="practice.hands({ act: 'bolt', foot, tight: state.loose.has(foot) })"
          >{{ state.loose.has(foot) ? w.feet.tightenIt : w.feet.loosenIt }}</el-button
        >
        <el-button
          class="dye-button"
          :aria-label="w.feet.dial(name(foot))"
          :aria-pressed="state.footDial?.foot === foot"
          @click="((chosen = foot), practice.hands({ act: 'foot-dial', foot }))"
          >{{ w.feet.dialHere }}</el-button
        >
        <el-button
          class="dye-button"
          :aria-label="w.feet.pack(name(foot))"
          :aria-pressed="foot === chosen"
          @click="chosen = foot"
          >{{ state.packs[foot].length }}</el-button
        >
      </div>
      <div class="all">
        <el-button class="dye-button" @click="practice.hands({ act: 'bolts', tight: false })">{{
          w.feet.allLoose
        }}</el-button>
        <el-button class="dye-button" @click="practice.hands({ act: 'bolts', tight: true })">{{
          w.feet.allTight
        }}</el-button>
      </div>
    </div>
    <figure class="dial">
      <figcaption>{{ state.footDial ? w.feet.dialOn(name(state.footDial.foot)) : w.jacks.none }}</figcaption>
      <BenchDial
        v-if="rise !== null"
        :name="w.feet.dialOn(name(state.footDial!.foot))"
        :value="rise"
        :units="session.units"
      />
    </figure>
    <div class="pack">
      <p>{{ w.feet.pack(name(chosen)) }}</p>
      <ul>
        <li v-for="(l, i) in [...state.packs[chosen]].reverse()" :key="i">
          <el-button
            class="dye-button leaf"
            :aria-label="w.feet.takeOut(leaf(l.marked))"
            @click="takeOut(l.marked)"
            >{{ w.feet.out(leaf(l.marked)) }}</el-button
          >
        </li>
      </ul>
      <el-select v-model="lay" :placeholder="w.feet.lay" :aria-label="w.feet.lay" class="lay">
        <el-option v-for="s in shelf" :key="s.value" :value="s.value" :label="s.name" />
      </el-select>
      <el-select v-model="corner" :aria-label="w.feet.corner" class="lay">
        <el-option v-for="c in FOOT_CORNERS" :key="c" :value="c" :label="w.feet.corners[c]" />
      </el-select>
      <BladeTry :gap="gap" :label="w.feet.feel(name(chosen))" />
    </div>
  </div>
  <div v-if="!locked && drivenPairs.length" class="driven">
    <el-button class="dye-button" :aria-pressed="driven" @click="driven = !driven">{{
      w.feet.driven
    }}</el-button>
    <template v-if="driven">
      <div v-for="pair in drivenPairs" :key="pair.id" class="pack">
        <p>{{ w.feet.drivenPack(telling.footNames(pair.id, 'stationary')) }}</p>
        <el-button
          v-for="(l, i) in state.drivenPacks[pair.id]?.left ?? []"
          :key="i"
          class="dye-button leaf"
          :aria-label="w.feet.takeOut(leaf(l.marked))"
          @click="layDriven(pair.id, [l.marked], [])"
          >{{ w.feet.out(leaf(l.marked)) }}</el-button
        >
        <el-select
          :model-value="''"
          :placeholder="w.feet.lay"
          :aria-label="w.feet.lay"
          class="lay"
          @update:model-value="layDriven(pair.id, [], [$event as number])"
        >
          <el-option v-for="s in shelf" :key="s.value" :value="s.value" :label="s.name" />
        </el-select>
      </div>
    </template>
  </div>
</template>

<style scoped>
.feet {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) 132px minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.map {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  padding: 5px 6px;
  border: 1px solid var(--dye-line);
  font-size: 14px;
}
.foot span:first-of-type {
  flex: 1;
  color: var(--scribe-dim);
}
.foot.here {
  border-color: var(--scribe);
}
.foot .el-button,
.all .el-button {
  margin: 0;
  padding-inline: 8px;
}
.all {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.dial {
  margin: 0;
  text-align: center;
  font-size: 13px;
  color: var(--scribe-dim);
}
.pack {
  font-size: 14px;
  color: var(--scribe-dim);
}
.pack ul {
  list-style: none;
  margin: 2px 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.leaf {
  margin: 0;
  padding-inline: 8px;
  font-family: var(--font-figures);
}
.lay {
  margin-bottom: 4px;
}
.driven {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  margin-top: 6px;
}
@media (max-width: 640px) {
  .feet {
    grid-template-columns: 1fr;
  }
}
</style>
