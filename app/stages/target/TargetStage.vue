<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { lineWords } from '~~/shared/wording/directions'
import { actionsWords, targetsWords } from '~~/shared/wording/en'
import { drawGrowth } from '~~/shared/stages/target/drawing'
import { LINE_BOXES, sameAtBothEnds, pairKey, tapedPlace, type LineBox } from '~~/shared/stages/target/form'
import { targetWorking } from '~~/shared/stages/target/working'
import { growsBy, meaningOfTarget, targetAtFeet } from '~~/shared/wording/targets'
import { capital } from '~~/shared/wording/capital'
import { farEnd } from '~~/shared/wording/telling'
import { tryTarget } from '~~/core/stages/target/target'

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, pairs, read, changed, shown, inForce, state, begin } = useTargetForm()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => targetsWords(telling.value.words))
const v = computed(() => w.value.view)
const closed = computed(() => state.value.closing !== null)
const names = computed(() => machineNames(state.value))
const far = computed(() => farEnd(state.value.feet.movable, telling.value))
const meaning = computed(() => {
  const told = meaningOfTarget(
    shown.value,
    state.value.tolerance,
    names.value.movable,
    far.value,
    telling.value,
  )
  // What is typed is not yet what the job says.
  return changed.value ? { ...told, mark: 'todo' as const } : told
})
const drawn = computed(() =>
  drawGrowth(pairs.value, shown.value.growth, shown.value.line, (pair) =>
    tapedPlace(form.value, pair, session.units),
  ),
)
const rises = computed(() =>
  Object.fromEntries(
    (shown.value.growth?.machines ?? []).flatMap((m) =>
      m.feet.map((f) => [pairKey({ machine: m.role, id: f.id }), growsBy(f.rise.v, telling.value)]),
    ),
  ),
)
const atFeet = computed(() => targetAtFeet(shown.value.line, state.value.feet.movable, telling.value))
const registered = computed(() => {
  const { target } = state.value.machine
  if (!target || inForce.value.from !== 'job') return ''
  return v.value.register(lineWords(tryTarget(target).line, far.value, telling.value))
})
const lineBox = (box: LineBox) => {
  const remark = read.value.remarks[box]
  const offset = box.startsWith('offset')
  const plane = box.endsWith('v') ? 'v' : 'h'
  return {
    modelValue: form.value.line[box],
    label: offset ? v.value.offset[plane] : v.value.slope[plane],
    measure: offset ? ('displacement' as const) : ('plain' as const),
    units: session.units,
    onDye: true,
    signed: true,
    disabled: closed.value,
    note: remark?.text ?? '',
    noteIsFault: remark?.fault ?? false,
    'onUpdate:modelValue': (typed: string) => (form.value.line[box] = typed),
  }
}
const cold = computed(() => read.value.remarks.cold)
const take = () => {
  const { payload } = read.value
  if (closed.value || !payload || !ask.mayGo()) return
  if (job.log({ kind: 'target-set', payload })) {
    begin()
    goOn()
  }
}
const takeRegister = () => {
  const { target } = state.value.machine
  if (target && job.log({ kind: 'target-set', payload: target })) begin()
}
const working = () => targetWorking(shown.value, state.value.feet.movable, names.value, telling.value)
</script>

<template>
  <BoardFrame :title="v.title">
    <div class="tools">
      <ChoiceRow
        v-model="form.way"
        :label="v.way"
        show-label
        on-dye
        :disabled="closed"
        :options="[
          { value: 'none', name: v.ways.none },
          { value: 'growth', name: v.ways.growth },
          { value: 'line', name: v.ways.line },
        ]"
      />
      <div v-if="form.way === 'growth'" class="cold">
        <NumberBox
          v-model="form.cold"
          :label="`${v.cold}, ${session.units === 'inch' ? '°F' : '°C'}`"
          measure="plain"
          :units="session.units"
          signed
          on-dye
          :disabled="closed"
          :note="cold?.text ?? ''"
          :note-is-fault="cold?.fault ?? false"
        />
      </div>
      <label v-if="form.way !== 'none'" class="source">
        <span>{{ v.sourceBox }}</span>
        <el-input
          v-model="form.source"
          :aria-label="v.sourceBox"
          :placeholder="v.sourceAsk"
          :disabled="closed"
          maxlength="200"
        />
      </label>
    </div>
    <GrowthBoard
      v-if="form.way === 'growth'"
      :texts="form"
      :drawn="drawn"
      :remarks="read.remarks"
      :rises="rises"
      :names="names"
      :foot-name="(p) => telling.footNames(p.id, p.machine)"
      :still="read.still"
      :units="session.units"
      :locked="closed"
      @like="sameAtBothEnds(form, pairs, $event)"
      @rise="(pair, texts) => Object.assign(form.feet[pair]!, texts)"
      @distance="(pair, text) => (form.distances[pair] = text)"
    />
    <div v-else-if="form.way === 'line'" class="line">
      <NumberBox v-for="box in LINE_BOXES" :key="box" v-bind="lineBox(box)" />
    </div>
    <OverlaidShafts
      v-if="form.way !== 'growth'"
      :feet="state.feet.movable"
      :tolerance="state.tolerance"
      :target="shown.line"
      :found="null"
      :left="shown.line"
      :name="v.setTo"
    />
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <FigureTable :head="[v.atFeet, v.vertical, v.horizontal]">
      <tr v-for="f in atFeet" :key="f.id">
        <td>{{ capital(telling.footNames(f.id)) }}</td>
        <td>{{ f.v }}</td>
        <td>{{ f.h }}</td>
      </tr>
    </FigureTable>
    <template v-if="registered">
      <p class="muted">{{ registered }}</p>
      <el-button v-if="!closed" link class="text-button" @click="takeRegister">{{
        v.takeRegister
      }}</el-button>
    </template>
    <p v-if="state.plan && changed" class="muted">{{ v.after }}</p>
    <ShowWorking :steps="working" />
    <template #next>
      <el-button v-if="closed || !changed" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <el-button v-else class="next-button" @click="take">{{
        form.way === 'none' ? v.takeStraight : v.take
      }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
  margin: 4px 0 12px;
}
.cold {
  width: 150px;
}
.source {
  flex: 1;
  min-width: 160px;
}
.source span {
  display: block;
  color: var(--scribe-dim);
  font-size: 14px;
  margin-bottom: 5px;
}
.line {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 14px;
  align-items: end;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
