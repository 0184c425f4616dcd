<script setup lang="ts">
import { doFootwork } from '~~/core/logbook/footwork'
import { lineSum } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { sideWords } from '~~/shared/wording/directions'
import { figure, thickness } from '~~/shared/wording/figures'

const job = useJob()
const session = useSession()
const goOn = inject(goOnKey, () => {})
const move = useMoveForm()
const { form } = move

const state = computed(() => job.state)
const pairs = computed(() => job.machine?.feet.map((f) => f.id) ?? [])
const locked = computed(() => state.value?.closed != null || !state.value?.setUp)
const plannedSides = computed(() => Object.values(move.plannedSide.value).some((h) => Math.abs(h) > 1e-9))
const plannedShims = computed(() => Object.keys(move.planned.value).length > 0)

const footwork = computed(() => {
  const p = move.payload.value
  const s = state.value
  return p && s?.setUp ? doFootwork(s.packs, s.setUp.feet, p.units, p.changes, p.side) : null
})
const predicted = computed(() => {
  const from = state.value?.latest.coupling
  return from && footwork.value ? lineSum(from, footwork.value.change) : null
})
const judgement = computed(() =>
  predicted.value && state.value ? judge(predicted.value, state.value.tolerance, state.value.target) : null,
)

const waitingForWork = computed(
  () => state.value?.current !== 'move' && !state.value?.plan && (state.value?.moves.length ?? 0) > 0,
)
const headline = computed(() => {
  if (locked.value && !state.value?.closed) return 'Set up and measure first.'
  if (footwork.value?.uneven.length) return 'Left and right of a pair differ: the machine would rock.'
  if (move.hasShims.value && move.hasSide.value) return 'Shims and side moves together. Re-measure after it.'
  if (move.hasShims.value) return 'Shims first. Tighten, re-measure, then go sideways.'
  if (move.hasSide.value) return 'Side move. Small bites, both ends in turn.'
  if (waitingForWork.value) return 'The move is logged. Measure again.'
  return plannedShims.value
    ? 'Put the shims in, then enter what went in.'
    : plannedSides.value
      ? 'Push it sideways, watching a dial at both ends.'
      : 'Enter what was put in and taken out.'
})
const log = () => {
  if (!move.payload.value || locked.value) return
  job.log({ kind: 'move-made', payload: move.payload.value })
  move.clear()
  goOn()
}
useNextKey(() => (move.payload.value ? log() : waitingForWork.value ? goOn() : null))
</script>

<template>
  <BoardFrame
    title="Move"
    :note="
      state?.plan
        ? 'the plan in brass · enter what was really done'
        : 'no plan is waiting · enter what was done'
    "
  >
    <template #tools>
      <button v-if="plannedShims" type="button" class="dye-button" :disabled="locked" @click="move.asPlanned">
        Shims as planned
      </button>
      <button
        v-if="plannedSides"
        type="button"
        class="dye-button"
        :disabled="locked"
        @click="move.sideAsPlanned"
      >
        Sides as planned
      </button>
    </template>
    <FootMap
      :packs="state?.packs ?? []"
      :planned="move.planned.value"
      :form="form"
      :fault="move.fault"
      :locked="locked"
      :movable-name="job.machine?.movableName ?? ''"
      @update:shims="(way, key, text) => (form[way][key] = text)"
      @enter="log"
    />
    <div class="sides">
      <div v-for="id in pairs" :key="id">
        <p class="want">
          {{ id === 'inboard' ? 'Inboard' : 'Outboard' }}:
          {{ sideWords(move.plannedSide.value[id] ?? 0, session.units) }}
        </p>
        <NumberBox
          :model-value="form.side[id] ?? ''"
          :label="`Moved sideways, ${id}, toward 3 is plus`"
          measure="displacement"
          :units="session.units"
          signed
          on-dye
          @update:model-value="form.side[id] = $event"
          @enter="log"
        />
      </div>
      <label class="remark">Remark<input v-model="form.remark" maxlength="2000" :disabled="locked" /></label>
    </div>
  </BoardFrame>
  <LedgerFrame
    :mark="footwork?.uneven.length ? 'out' : (judgement?.verdict ?? (waitingForWork ? 'done' : 'todo'))"
    :headline="headline"
  >
    <TurnedDownEntries />
    <p v-for="u in footwork?.uneven ?? []" :key="u.pair">
      {{ u.pair === 'inboard' ? 'Inboard' : 'Outboard' }}: left and right differ by
      {{ figure(Math.abs(u.difference), 'displacement', session.units, { unit: true }) }}.
    </p>
    <p v-for="(u, i) in footwork?.unknownShims ?? []" :key="i">
      No {{ thickness(u.thickness, session.units) }} shim is recorded under {{ u.pair }} {{ u.side }}. It is
      logged as you say.
    </p>
    <JudgementTable
      v-if="state?.latest.judgement && judgement"
      :judgement="state.latest.judgement"
      :after="judgement"
    />
    <ol class="order">
      <li>Lift only as far as the shim needs; lifting rules apply. Keep hands out from under the feet.</li>
      <li>Thin shims between thick ones, clean, no burrs.</li>
      <li>Tighten criss-cross and watch a dial for shift.</li>
      <li>
        Side moves after the height is right: dials at inboard and outboard, jacking bolts backed off at the
        end.
      </li>
    </ol>
    <template #next>
      <button v-if="waitingForWork && !move.payload.value" type="button" class="next-button" @click="goOn()">
        Go on to measuring
      </button>
      <button v-else type="button" class="next-button" :disabled="!move.payload.value || locked" @click="log">
        Log this move
      </button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
  margin-top: 12px;
}
.want {
  color: var(--brass-on-dye);
  font-weight: 600;
}
.remark {
  grid-column: 1 / -1;
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--scribe-dim);
}
.remark input {
  flex: 1;
  min-height: var(--touch);
  padding: 4px 10px;
  border: 1px solid var(--scribe-dim);
  border-radius: 4px;
  background: var(--dye-deep);
  color: #fff;
}
.order {
  margin: 14px 0 0;
  padding-left: 20px;
  color: var(--muted);
}
.order li + li {
  margin-top: 4px;
}
</style>
