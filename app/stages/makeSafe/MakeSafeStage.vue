<script setup lang="ts">
import { meaningOfSafety } from '~~/shared/wording/makeSafe'
import { powerWhy } from '~~/shared/wording/safety'
import { actionsWords, beltsWords, makeSafeWords, safetyWords, sheetWords } from '~~/shared/wording/en'
import { timeWords } from '~~/shared/wording/days'
import type { SafetyPoint } from '~~/core/stages/makeSafe/entries'

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { draft: typed } = useDraft('safety', () => ({ permit: '' }))
const asking = ref<'power' | 'waive' | null>(null)
const ledger = useTemplateRef<{ focusNext: () => void }>('ledger')

const w = computed(() => makeSafeWords(telling.value.words))
const s = computed(() => safetyWords(telling.value.words))
const safety = computed(() => job.folded!.state.safety)
const closed = computed(() => job.folded?.state.closing != null)
const confirmation = (point: SafetyPoint) => safety.value.confirmed.find((c) => c.payload.point === point)
const next = computed(() => (closed.value ? null : (safety.value.missing[0] ?? null)))
const meaning = computed(() => meaningOfSafety(safety.value, closed.value, telling.value))
const powerCameBack = computed(() =>
  safety.value.history.filter((e) => e.kind !== 'safety-confirmed' && e.kind !== 'lockout-waived'),
)
const note = computed(() => job.folded?.state.opening?.payload.note)

const confirm = (point: SafetyPoint) => {
  const last = safety.value.missing.length === 1
  if (!job.log({ kind: 'safety-confirmed', payload: { point, permit: typed.value.permit.trim() } })) return
  if (last) goOn()
  else void nextTick(() => ledger.value?.focusNext())
}
const say = (why: string) => {
  if (asking.value === 'power') job.log({ kind: 'power-restored', payload: { why } })
  else if (job.log({ kind: 'lockout-waived', payload: { why } })) goOn()
}
const askingShown = computed({ get: () => asking.value !== null, set: (on) => !on && (asking.value = null) })
</script>

<template>
  <BoardFrame :title="sheetWords(telling.words).stages['make-safe'].name" :note="w.note">
    <ol class="points">
      <li
        v-for="(point, i) in safety.points"
        :key="point"
        :class="{ turn: point === next, done: confirmation(point) }"
      >
        <span class="number figure">{{ i + 1 }}</span>
        <div class="what">
          <h3>{{ s.points[point] }}</h3>
          <p>{{ w.details[point] }}</p>
        </div>
        <p v-if="confirmation(point)" class="by">
          <VerdictMark mark="done" on-dye /> {{ timeWords(confirmation(point)!.madeAt) }},
          {{ session.personName(confirmation(point)!.author) }}
        </p>
        <el-button v-else class="dye-button" :disabled="closed" @click="confirm(point)">{{
          w.confirm
        }}</el-button>
      </li>
    </ol>
    <div class="permit">
      <label for="permit">{{ w.permitNumber }}</label>
      <el-input id="permit" v-model="typed.permit" maxlength="60" :disabled="closed" />
    </div>
  </BoardFrame>
  <LedgerFrame ref="ledger" own :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="!closed">{{ w.logged }}</p>
    <p class="muted">{{ w.law }}</p>
    <p v-if="job.folded?.kind === 'belt'" class="muted">{{ beltsWords(telling.words).fingers }}</p>
    <!-- Where the sheet has no stage before this one, the machine still runs here. -->
    <template v-if="job.belt || job.gear">
      <VibrationNote moment="before" />
      <CorrectOpening v-if="!closed" />
    </template>
    <p v-if="safety.permit">
      {{ w.permit }} <strong class="figure">{{ safety.permit }}</strong>
    </p>
    <p v-if="note" class="muted">{{ w.jobNote(note) }}</p>
    <ul v-if="powerCameBack.length" class="history">
      <li v-for="e in powerCameBack" :key="e.id">
        {{ timeWords(e.madeAt) }}, {{ session.personName(e.author) }}:
        {{ s.powerBack(powerWhy(e, telling)) }}
      </li>
    </ul>
    <el-button v-if="safety.confirmed.length && !closed" link class="text-button" @click="asking = 'power'">
      {{ w.powerBack }}
    </el-button>
    <el-button v-if="next && !safety.waived" link class="text-button" @click="asking = 'waive'">
      {{ w.waive }}
    </el-button>
    <WhyDialog
      v-model="askingShown"
      :title="asking === 'power' ? w.powerBack : s.waiveTitle"
      :question="asking === 'power' ? w.whyPower : s.whyWaive"
      :action="asking === 'power' ? w.logPower : actionsWords(telling.words).logIt"
      @say="say"
    />
    <template #next>
      <el-button v-if="next" class="next-button" @click="confirm(next)">
        {{ w.confirmNext(s.points[next].toLowerCase()) }}
      </el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.points {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
  flex: 1;
  display: grid;
  align-content: start;
  gap: 10px;
}
li {
  display: grid;
  grid-template-columns: 34px 1fr auto;
  gap: 14px;
  align-items: center;
  min-height: 88px;
  padding: 12px 16px;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
}
.history {
  margin: 0;
  padding: 0;
  list-style: none;
}
.history li {
  display: block;
  min-height: 0;
  padding: 4px 0;
  border: 0;
  font-size: 14px;
}
li.turn {
  border-color: var(--brass-on-dye);
}
.number {
  font-size: 24px;
  color: var(--scribe-dim);
}
h3 {
  font-size: 18px;
  color: #fff;
}
.what p,
.by {
  color: var(--scribe-dim);
}
.by {
  font-size: 14px;
  text-align: right;
  max-width: 170px;
}
.by svg {
  vertical-align: -2px;
}
.permit {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding-top: 12px;
  color: var(--scribe-dim);
}
.permit .el-input {
  flex: 1;
  min-width: 180px;
  max-width: 260px;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 24px 1fr;
    padding: 10px 12px;
  }
  li > .el-button,
  .by {
    grid-column: 2;
    justify-self: start;
    text-align: left;
  }
}
</style>
