<script setup lang="ts">
import { blankSquare, nameSquareUnits, readSquare, type SquareTexts } from '~~/shared/stages/square/form'
import { squareWorking } from '~~/shared/stages/square/working'
import { endWords, turnsWords } from '~~/shared/wording/baseMoves'
import { meaningOfSquare } from '~~/shared/wording/drive'
import { actionsWords, squareWords, tablesWords } from '~~/shared/wording/en'
import { degrees, gapFigure } from '~~/shared/wording/figures'

/** Two distances from one edge say whether the motor stands square, and what squares it. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => squareWords(telling.value.words))
const t = computed(() => tablesWords(telling.value.words))
const state = computed(() => job.belt!)
const live = computed(() => job.liveBelt ?? state.value)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const { draft: form, clear } = useDraft<SquareTexts>('square', () => blankSquare(session.units))
useUnitsOfDraft(form, nameSquareUnits)
const read = computed(() => readSquare(form.value, telling.value))
watch(
  read,
  ({ payload }) => {
    job.draft = payload ? job.compose({ kind: 'motor-squared', payload }) : null
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  job.draft = null
})
const square = computed(() => live.value.square)
const meaning = computed(() => meaningOfSquare(square.value, read.value.half, telling.value))
const cure = computed(() => {
  const s = square.value
  if (!s || Math.abs(s.difference) < 0.05) return ''
  const by =
    s.turns === null
      ? gapFigure(Math.abs(s.farEndSlide), telling.value, true)
      : turnsWords(s.turns, telling.value)
  return by === '' || by.startsWith('0 ')
    ? ''
    : endWords(machine.value.base, s.farEndSlide > 0 ? 'away' : 'toward', by, telling.value)
})
type Focusable = { focus: () => void }
const sheaveEnd = useTemplateRef<Focusable>('sheaveEnd')
const farEnd = useTemplateRef<Focusable>('farEnd')
const begun = computed(() => form.value.sheaveEnd.trim() !== '' || form.value.farEnd.trim() !== '')
const log = () => {
  const { payload } = read.value
  if (!payload) return
  if (job.log({ kind: 'motor-squared', payload })) clear()
}
const stands = computed(() => state.value.square !== null && state.value.square.verdict !== 'out')
const working = () => (square.value ? squareWorking(square.value, machine.value, telling.value) : [])
onMounted(() => {
  if (!closed.value && !stands.value && matchMedia('(pointer: fine)').matches) sheaveEnd.value?.focus()
})
</script>

<template>
  <BoardFrame :title="w.view.title" :note="w.view.edges[form.edge]">
    <SquareBoard :edge="form.edge" :turn="square?.turn ?? 0" :base="machine.base.kind" :words="telling.words">
      <template #sheaveEnd>
        <NumberBox
          ref="sheaveEnd"
          v-model="form.sheaveEnd"
          :label="w.view.sheaveEnd"
          measure="distance"
          :units="session.units"
          on-dye
          :disabled="closed"
          :note="read.faults.sheaveEnd ?? ''"
          :note-is-fault="'sheaveEnd' in read.faults"
          @enter="farEnd?.focus()"
        />
      </template>
      <template #farEnd>
        <NumberBox
          ref="farEnd"
          v-model="form.farEnd"
          :label="w.view.farEnd"
          measure="distance"
          :units="session.units"
          on-dye
          :disabled="closed"
          :note="read.faults.farEnd ?? ''"
          :note-is-fault="'farEnd' in read.faults"
          @enter="log"
        />
      </template>
    </SquareBoard>
    <ChoiceRow
      v-if="!closed"
      v-model="form.edge"
      :label="w.view.edge"
      show-label
      on-dye
      :options="(['far-side', 'driven-side'] as const).map((value) => ({ value, name: w.view.edges[value] }))"
    />
    <StepList v-if="cure" :name="w.step" :steps="[cure, w.heldEnd]" />
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <FigureTable v-if="square" :head="['', t.found, t.limit]">
      <tr>
        <td>{{ w.view.difference }}</td>
        <td class="figure">
          <VerdictMark :mark="square.verdict" /> {{ gapFigure(Math.abs(square.difference), telling, true) }}
        </td>
        <td class="figure">{{ gapFigure(square.limit, telling, true) }}</td>
      </tr>
      <tr>
        <td>{{ w.view.turn }}</td>
        <td class="figure">{{ degrees(Math.abs(square.turn)) }}</td>
        <td class="figure">{{ degrees(square.limitAngle) }}</td>
      </tr>
    </FigureTable>
    <ShowWorking v-if="square" :steps="working" />
    <template #next>
      <PassOver v-if="!closed && !state.square" stage="square" :title="w.view.passOver" />
      <el-button v-if="closed || (stands && !begun)" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <el-button v-else class="next-button" :disabled="!read.payload" @click="log">{{ w.log }}</el-button>
    </template>
  </LedgerFrame>
</template>
