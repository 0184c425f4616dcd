<script setup lang="ts">
import { barOnPipeWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { PipeRead, PipeTexts } from '~~/shared/stages/setUp/form'
import { figure } from '~~/shared/wording/figures'

/** A bracket turned once round a stiff pipe: what its dial shows at each quarter, and how far the bar hangs by it. */
const props = defineProps<{ bar: string; texts: PipeTexts; read: PipeRead | null; units: UnitSystem }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ text: [at: keyof PipeTexts, text: string]; take: [hang: number] }>()
const w = barOnPipeWords(useWords())
const first = useTemplateRef<{ focus: () => void }>('first')
useFirstFocus(shown, () => first.value)

const hang = computed(() =>
  props.read ? figure(props.read.hang, 'displacement', props.units, { unit: true }) : '',
)
const box = (at: keyof PipeTexts) => ({
  modelValue: props.texts[at],
  measure: 'displacement' as const,
  units: props.units,
  signed: true,
  onDye: true,
  'onUpdate:modelValue': (text: string) => emit('text', at, text),
  onEnter: take,
})
const take = () => {
  if (!props.read || props.read.faults.length > 0) return
  emit('take', props.read.hang)
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title(bar)" width="min(640px, 96vw)" append-to-body destroy-on-close>
    <p>{{ w.how }}</p>
    <div class="board pipe">
      <svg viewBox="0 0 300 240" aria-hidden="true">
        <circle class="wall" cx="150" cy="120" r="62" />
        <circle class="bore" cx="150" cy="120" r="50" />
        <path class="bar" d="M150 120V198" />
        <circle class="dial" cx="150" cy="206" r="15" />
        <path class="bar" d="M150 191v-9" />
        <path class="turn" d="M92 70A78 78 0 0 1 208 70" />
        <path class="turn" d="M208 70l-3 -11m3 11l-11 -1" />
      </svg>
      <NumberBox class="back" v-bind="box('back')" :label="w.back" />
      <NumberBox class="nine" v-bind="box('at9')" :label="w.at9" />
      <NumberBox class="three" v-bind="box('at3')" :label="w.at3" />
      <NumberBox ref="first" class="six" v-bind="box('at6')" :label="w.at6" />
    </div>
    <p class="muted">{{ w.optional }}</p>
    <p aria-live="polite">
      <strong>{{ read ? w.hangs(hang) : w.waits }}</strong>
    </p>
    <p v-for="f in read?.faults ?? []" :key="f" class="fault">{{ w.faults[f] }}</p>
    <el-button class="next-button" :disabled="!read || read.faults.length > 0" @click="take">{{
      w.take(hang)
    }}</el-button>
  </el-dialog>
</template>

<style scoped>
.pipe {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) 130px;
  grid-template-areas: '. back .' 'nine pipe three' '. six .';
  gap: 6px 12px;
  align-items: center;
  justify-items: center;
  padding: 12px;
  background: var(--dye);
  border-radius: var(--radius);
}
.pipe > svg {
  grid-area: pipe;
  width: 100%;
  max-height: 210px;
}
.pipe > :not(svg) {
  width: 130px;
}
.back {
  grid-area: back;
}
.nine {
  grid-area: nine;
}
.three {
  grid-area: three;
}
.six {
  grid-area: six;
}
.wall {
  fill: #2b3180;
  stroke: var(--scribe);
  stroke-width: 2;
}
.bore {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
}
.bar {
  stroke: var(--brass-on-dye);
  stroke-width: 3;
}
.dial {
  fill: var(--dye-deep);
  stroke: var(--brass-on-dye);
  stroke-width: 2.5;
}
.turn {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-width: 2;
}
.fault {
  color: var(--out);
}
@media (max-width: 560px) {
  .pipe {
    grid-template-columns: 1fr 1fr;
    grid-template-areas: 'pipe pipe' 'six back' 'three nine';
  }
}
</style>
