<script setup lang="ts">
import { actionsWords, levelWords, verdictsWords } from '~~/shared/wording/en'
import { feelerLimits } from '~~/core/register/hubs'
import type { MachineRole } from '~~/core/plan/pairNames'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { footChangesOf } from '~~/core/shims/packsForLifts'
import { fromCore, toCore } from '~~/core/units/unitSystem'
import { drawnTilt, drawTurn, slopeTimes, TURN } from '~~/shared/stages/level/drawing'
import { ROLES } from '~~/shared/stages/level/form'
import { marksOf } from '~~/shared/stages/level/turn'
import { levelWorking, runoutWorking } from '~~/shared/stages/level/working'
import { clockFace } from '~~/shared/wording/clockFace'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import {
  levelCureWords,
  meaningOfLevels,
  meaningOfRunouts,
  runoutWords,
  shaftSlopeWords,
  surfaceName,
} from '~~/shared/wording/level'
import { capital } from '~~/shared/wording/capital'

const LiveFill = defineAsyncComponent(() => import('~/components/instruments/LiveFill.vue'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, state, names, read, typing, levels, runouts, surface, cure, effect, clearLevel, clearTurn } =
  useLevelForm()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => levelWords(telling.value.words))
const v = computed(() => w.value.view)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const measured = computed(() => state.value.latest.sets.some((s) => s.leftOut === null))
const onLevel = computed(() => form.value.panel === 'level')
const meaning = computed(() =>
  onLevel.value
    ? meaningOfLevels(levels.value, names.value, telling.value)
    : meaningOfRunouts(runouts.value, names.value, telling.value),
)
/** A level that speaks tells a slope: as divisions of its own, by the sensitivity in force. */
const FINE_LEVEL = 0.00002
const takeLevel = (role: MachineRole, slope: number) => {
  form.value.by = 'divisions'
  if (form.value.sensitivity.trim() === '')
    form.value.sensitivity = String(Number(fromCore(FINE_LEVEL, 'slope', session.units).toPrecision(3)))
  const typed = readTypedNumber(form.value.sensitivity, 'plain', session.units)
  const each = typed.ok && typed.value > 0 ? toCore(typed.value, 'slope', session.units) : FINE_LEVEL
  form.value.shafts[role].divisions = String(Number((slope / each).toFixed(1)))
}
const d = (x: number) => figure(x, 'displacement', session.units, { extra: 1 })

const times = computed(() => slopeTimes(levels.value))
const shafts = computed(() => {
  const of = (role: 'movable' | 'stationary') => {
    const shaft = levels.value[role]
    return {
      tilt: shaft ? drawnTilt(shaft.rise, times.value) : null,
      found: shaft ? capital(shaftSlopeWords(shaft, telling.value)) : '',
      mark: shaft?.verdict ?? null,
    }
  }
  const [movable, stationary] = [of('movable'), of('stationary')]
  return {
    tilts: { movable: movable.tilt, stationary: stationary.tilt },
    found: { movable: movable.found, stationary: stationary.found },
    marks: { movable: movable.mark, stationary: stationary.mark },
  }
})
const cured = computed(() => (cure.value ? levelCureWords(cure.value, machine.value, telling.value) : null))
const levelOff = computed(() =>
  [levels.value.stationary, levels.value.movable].flatMap((s) =>
    s?.levelError ? [w.value.cure.levelOff(String(Number(Math.abs(s.levelError).toPrecision(3))))] : [],
  ),
)

const typed = computed(() => Object.values(form.value.values).some((t) => t.trim() !== ''))
const again = ref(false)
const showing = computed(() => !typed.value && surface.value !== null && !again.value)
watch(
  () => [form.value.machine, form.value.surface],
  () => {
    again.value = false
  },
)
const marks = computed(() => {
  const logged = surface.value?.entry.payload.readings
  return logged && showing.value ? [...new Set(logged.map((r) => r.clock))] : marksOf(form.value.count)
})
/** What stands in the boxes: what is being typed, else what this surface read last. */
const values = computed(() => {
  if (!showing.value || !surface.value) return form.value.values
  const { readings, units } = surface.value.entry.payload
  const shown = (t: number) => fromCore(toCore(t, 'displacement', units), 'displacement', session.units)
  return Object.fromEntries(readings.map((r) => [r.clock, String(Number(shown(r.value).toPrecision(6)))]))
})
const turn = computed(() =>
  drawTurn(
    surface.value?.result ?? null,
    (surface.value?.entry.payload.readings ?? []).map((r) => ({
      clock: r.clock,
      value: toCore(r.value, 'displacement', surface.value?.entry.payload.units ?? session.units),
    })),
  ),
)
/** How many times the run-out is drawn; unsaid where nobody knows how large the hub is. */
const drawn = computed(() => {
  const taped = surface.value?.entry.payload
  const diameter = taped?.diameter
    ? toCore(taped.diameter, 'distance', taped.units)
    : feelerLimits(machine.value).diameter
  return surface.value && diameter
    ? v.value.runoutNote(`${Math.max(1, Math.round((turn.value.times * diameter) / (2 * TURN.radius)))}×`)
    : v.value.runoutNoteBare
})
const sentences = computed(() =>
  surface.value
    ? runoutWords(surface.value, runouts.value, state.value.rpm, effect.value, telling.value)
    : [],
)
const title = computed(() =>
  onLevel.value
    ? v.value.title
    : `${v.value.panels.runout}: ${surfaceName(form.value, names.value, telling.value)}`,
)

const logLevel = () => {
  if (closed.value) return
  // The other shaft's figures stay in their boxes when the first is refused.
  const logged = read.value.levels.every((payload) => job.log({ kind: 'level-read', payload }) !== null)
  if (logged) clearLevel()
}
const logRunout = () => {
  const { runout } = read.value
  if (closed.value || !runout || !ask.mayGo()) return
  if (job.log({ kind: 'runout-read', payload: runout })) {
    clearTurn()
    again.value = false
  }
}
const shim = () => {
  if (!cure.value) return
  const small = (t: number) => Number(fromCore(t, 'displacement', session.units).toPrecision(10))
  job.log({
    kind: 'machine-levelled',
    payload: {
      units: session.units,
      changes: footChangesOf('movable', cure.value.leaves, small),
      remark: '',
    },
  })
}
const board = useTemplateRef<{ focus: (clock: number) => void }>('board')
const nextMark = computed(() => read.value.missing[0])
const enterMark = (clock: number) => {
  const rest = marks.value
  const at = rest.indexOf(clock)
  const next = [...rest.slice(at + 1), ...rest].find((m) => read.value.missing.includes(m))
  if (next !== undefined) board.value?.focus(next)
  else logRunout()
}
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'level', why } })) goOn()
}
const canShim = computed(() => !closed.value && !measured.value && !typing.value && cure.value !== null)
const working = () =>
  onLevel.value
    ? levelWorking(levels.value, cure.value, names.value, telling.value)
    : surface.value
      ? runoutWorking(surface.value, state.value.rpm, telling.value)
      : []
</script>

<template>
  <BoardFrame :title="title" :note="onLevel ? v.levelNote(`${times}×`) : drawn">
    <div class="tools">
      <ChoiceRow
        v-model="form.panel"
        :label="v.panel"
        show-label
        on-dye
        :options="[
          { value: 'level', name: v.panels.level },
          { value: 'runout', name: v.panels.runout },
        ]"
      />
      <template v-if="onLevel">
        <ChoiceRow
          v-model="form.by"
          :label="v.by"
          show-label
          on-dye
          :disabled="closed"
          :options="[
            { value: 'feeler', name: v.bys.feeler },
            { value: 'divisions', name: v.bys.divisions },
          ]"
        />
      </template>
      <template v-else>
        <ChoiceRow
          v-model="form.machine"
          :label="v.machine"
          show-label
          on-dye
          :options="[
            { value: 'stationary', name: names.stationary },
            { value: 'movable', name: names.movable },
          ]"
        />
        <ChoiceRow
          v-model="form.surface"
          :label="v.surface"
          show-label
          on-dye
          :options="[
            { value: 'rim', name: v.surfaces.rim },
            { value: 'face', name: v.surfaces.face },
            { value: 'shaft', name: v.surfaces.shaft },
          ]"
        />
      </template>
    </div>
    <template v-if="onLevel">
      <LevelBoard
        :texts="form"
        :faults="read.faults"
        :notes="read.notes"
        v-bind="shafts"
        :names="names"
        :units="session.units"
        :locked="closed"
        @text="(role, box, text) => (form.shafts[role][box] = text)"
        @low="(role, end) => (form.shafts[role].low = end)"
        @enter="logLevel"
      />
      <LiveFill
        v-if="!closed && job.links.length > 0"
        :places="ROLES.map((id) => ({ key: 'level', id, name: names[id] }))"
        @take="(role, _, slope) => takeLevel(role as MachineRole, slope)"
      />
      <div class="foot">
        <NumberBox
          v-if="form.by === 'feeler'"
          v-model="form.supported"
          :label="v.supported"
          on-dye
          measure="distance"
          :units="session.units"
          :disabled="closed"
          :note="read.faults.supported ?? read.notes.supported ?? ''"
          :note-is-fault="'supported' in read.faults"
        />
        <NumberBox
          v-else
          v-model="form.sensitivity"
          :label="v.sensitivity(UNIT_NAMES[session.units].slope)"
          on-dye
          measure="plain"
          :units="session.units"
          :disabled="closed"
          :note="read.faults.sensitivity ?? read.notes.sensitivity ?? ''"
          :note-is-fault="'sensitivity' in read.faults"
        />
        <p class="quiet">{{ v.settle }}</p>
      </div>
    </template>
    <template v-else>
      <TurnedHub
        ref="board"
        :marks="marks"
        :values="values"
        :turn="turn"
        :faults="read.faults"
        :name="title"
        :units="session.units"
        :locked="closed || showing"
        @value="(clock, text) => (form.values[clock] = text)"
        @enter="enterMark"
      />
      <div class="foot">
        <ChoiceRow
          v-model="form.count"
          :label="v.count"
          show-label
          on-dye
          :disabled="closed || showing || typed"
          :options="[
            { value: '4', name: '4' },
            { value: '8', name: '8' },
            { value: '12', name: '12' },
          ]"
        />
        <NumberBox
          v-model="form.diameter"
          :label="v.diameter"
          on-dye
          measure="distance"
          :units="session.units"
          :disabled="closed || showing"
          :note="read.faults.diameter ?? ''"
          :note-is-fault="'diameter' in read.faults"
        />
        <NumberBox
          v-model="form.limit"
          :label="v.limit"
          on-dye
          measure="displacement"
          :units="session.units"
          :disabled="closed || showing"
          :note="read.faults.limit ?? ''"
          :note-is-fault="'limit' in read.faults"
        />
      </div>
    </template>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <template v-if="onLevel">
      <div v-if="cured">
        <h3>{{ cured.headline }}</h3>
        <p v-for="line in cured.rest" :key="line">{{ line }}</p>
      </div>
      <p v-for="line in levelOff" :key="line">{{ line }}</p>
      <p v-if="cured && measured" class="muted">{{ v.measuredAlready }}</p>
      <p v-if="cured" class="caution">{{ v.lifting }}</p>
    </template>
    <template v-else>
      <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
      <FigureTable v-if="runouts.surfaces.length > 0" :head="[v.surface, v.tir, v.highAt, '']">
        <tr v-for="s in runouts.surfaces" :key="`${s.machine}-${s.surface}`">
          <td>{{ capital(surfaceName(s, names, telling)) }}</td>
          <td class="figure">{{ d(s.result.tir) }}</td>
          <td class="figure">{{ clockFace(s.result.first.highAt) }}</td>
          <td class="verdict">
            <VerdictMark :mark="s.result.verdict" /> {{ verdictsWords(telling.words)[s.result.verdict] }}
          </td>
        </tr>
      </FigureTable>
      <p v-for="line in sentences" :key="line">{{ line }}</p>
      <p class="caution">{{ w.runout.stop }}</p>
    </template>
    <el-button v-if="!closed && !typing" link class="text-button" @click="skipping = true">{{
      v.passOver
    }}</el-button>
    <ShowWorking v-if="onLevel ? levels.says !== 'nothing' : surface" :steps="working" />
    <WhyDialog
      v-model="skipping"
      :title="v.passOver"
      :question="actionsWords(telling.words).why"
      :action="actionsWords(telling.words).passOver"
      @say="skip"
    />
    <template #next>
      <template v-if="!closed && onLevel">
        <el-button v-if="canShim" class="next-button" @click="shim">{{ v.shimsIn }}</el-button>
        <el-button v-else-if="typing" class="next-button" @click="logLevel">{{ v.logLevel }}</el-button>
        <el-button v-else class="next-button" @click="goOn()">{{ v.goOn }}</el-button>
      </template>
      <template v-else-if="!closed && !showing">
        <el-button class="next-button" :disabled="!read.runout" @click="logRunout">{{
          read.runout || nextMark === undefined ? v.logRunout : v.readNext(clockFace(nextMark))
        }}</el-button>
      </template>
      <template v-else-if="!closed">
        <el-button link class="text-button" @click="again = true">{{ v.turnAgain }}</el-button>
        <el-button class="next-button" @click="goOn()">{{ v.goOn }}</el-button>
      </template>
      <el-button v-else class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools,
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
  margin: 6px 0 10px;
}
.foot {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
.foot > :not(.quiet, .choice) {
  width: 210px;
}
.quiet {
  flex: 1 1 260px;
  color: var(--scribe-dim);
  font-size: 14px;
}
.verdict {
  white-space: nowrap;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
</style>
