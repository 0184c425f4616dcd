<script setup lang="ts">
import { sparesFor } from '~~/core/stores/spareBelts'
import { blankFit, nameFitUnits, readFit, takeSpares, type FitTexts } from '~~/shared/stages/fit/form'
import { toCore } from '~~/core/units/unitSystem'
import { meaningOfFit } from '~~/shared/wording/drive'
import { actionsWords, beltsWords, drivesWords, fitWords } from '~~/shared/wording/en'
import { figure } from '~~/shared/wording/figures'
import SparesPicker from './SparesPicker.vue'

/** Belts laid on by hand, the same or a new set. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => fitWords(telling.value.words))
const state = computed(() => job.belt!)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const meaning = computed(() => meaningOfFit(state.value, telling.value))
const { draft: form, clear } = useDraft<FitTexts>('fit', () => blankFit(session.units))
useUnitsOfDraft(form, nameFitUnits)
const offers = computed(() => sparesFor(machine.value, session.works?.spareBelts ?? []))
const took = computed({
  get: () => form.value.spares,
  set: (lot) => takeSpares(form.value, offers.value.find((o) => o.lot.id === lot) ?? null, session.units),
})
const read = computed(() => readFit(form.value, machine.value, telling.value, offers.value))
const wanted = computed(() => {
  const { belts, units } = machine.value
  const length =
    belts.length === undefined
      ? ''
      : figure(toCore(belts.length, 'distance', units), 'distance', session.units, { unit: true })
  const d = drivesWords(telling.value.words)
  return w.value.view.wanted(d.belts(belts.count, d.beltKinds[belts.kind]), belts.section, length)
})
const log = () => {
  const { payload } = read.value
  if (!payload || !job.log({ kind: 'belts-fitted', payload })) return
  clear()
  goOn()
  // What the stores have left follows.
  if (payload.spares) void session.meetWorks().catch(() => null)
}
</script>

<template>
  <BoardFrame :title="w.view.title" :note="wanted">
    <StepList :name="w.asked" :steps="w.rules" />
    <section v-if="!closed && !state.fitted.entry" class="ask">
      <ChoiceRow
        v-model="form.belts"
        :label="w.view.which"
        show-label
        on-dye
        :options="(['same', 'new'] as const).map((value) => ({ value, name: w.view.belts[value] }))"
      />
      <template v-if="form.belts === 'new'">
        <SparesPicker v-if="session.works?.spareBelts?.length" v-model="took" :offers="offers" />
        <NumberBox
          v-model="form.length"
          class="length"
          :label="w.view.length"
          measure="distance"
          :units="session.units"
          on-dye
          :note="read.fault || read.asks"
          :note-is-fault="read.fault !== ''"
          @enter="log"
        />
        <p v-if="read.near" class="near">{{ read.near }}</p>
        <ChoiceRow
          v-if="machine.belts.count > 1"
          v-model="form.matched"
          :label="w.view.matched"
          show-label
          on-dye
          :options="
            (['yes', 'no', 'unknown'] as const).map((value) => ({ value, name: w.view.matchedWords[value] }))
          "
        />
      </template>
      <label class="words">
        <span>{{ w.view.words }}</span>
        <el-input
          v-model="form.words"
          :aria-label="w.view.words"
          maxlength="2000"
          @keydown.enter.prevent="log"
        />
      </label>
    </section>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p class="caution">{{ beltsWords(telling.words).fingers }}</p>
    <p v-if="state.fitted.entry?.payload.words">{{ state.fitted.entry.payload.words }}</p>
    <template #next>
      <el-button v-if="closed || state.fitted.entry" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else>
        <PassOver stage="fit" :title="w.view.passOver" />
        <el-button class="next-button" :disabled="!read.payload" @click="log">{{
          w.log[form.belts]
        }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.near {
  color: var(--scribe);
  font-size: 15px;
}
.ask {
  display: grid;
  gap: 14px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
.length {
  max-width: 240px;
}
.words span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
</style>
