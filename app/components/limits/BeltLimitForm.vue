<script setup lang="ts">
import { BELT_KINDS } from '~~/core/belt/sheaveLine'
import { CONVERSIONS, type UnitSystem } from '~~/core/units/unitSystem'
import type { BeltLimitsRecord } from '~~/shared/beltLimits/beltLimits'
import {
  BOX_GROUPS,
  convertBeltLimits,
  readBeltLimits,
  typedAs,
  type BeltLimitBox,
  type BeltLimitTexts,
  type BoxGroup,
} from '~~/shared/beltLimits/form'
import { drivesWords, shellWords } from '~~/shared/wording/en'
import { capital } from '~~/shared/wording/capital'
import { beltLimitWords } from '~~/shared/wording/viewWords'

/** What belt drives of one kind of belt, or of every kind, are judged by. */
const props = defineProps<{
  begin: BeltLimitTexts
  /** The one that is changed; null for a new one. */
  known: BeltLimitsRecord | null
  /** Those in force, one of which this would take the place of. */
  inForce: readonly BeltLimitsRecord[]
}>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = beltLimitWords
const { texts, fault, working, message, save } = useTableForm({
  shown,
  begin: () => props.begin,
  known: () => props.known,
  read: (typed: BeltLimitTexts) => readBeltLimits(typed, words),
  address: '/api/belt-limits',
  saved: () => emit('saved'),
})
const replaced = computed(() =>
  texts.value.inForce
    ? (props.inForce.find((l) => l.id !== props.known?.id && (l.kind ?? '') === texts.value.kind) ?? null)
    : null,
)
const toUnits = (units: UnitSystem) => {
  texts.value = convertBeltLimits(texts.value, units)
}
const nameOf = (box: BeltLimitBox) => {
  const { units, offsetBy } = texts.value
  if (box !== 'offset') return w.form.boxes[box]
  const unit = offsetBy === 'groove' ? CONVERSIONS[units].distance.unit : w.form.perSpan[units]
  return `${w.form.boxes.offset}, ${unit}`
}
const groups = Object.keys(BOX_GROUPS) as BoxGroup[]
</script>

<template>
  <el-dialog v-model="shown" :title="w.form.title" width="min(760px, 96vw)" append-to-body destroy-on-close>
    <form class="limits" @submit.prevent="save">
      <div class="facts">
        <FormField :name="w.form.kind">
          <el-select v-model="texts.kind" :aria-label="w.form.kind" :empty-values="[null]">
            <el-option value="" :label="w.everyKind" />
            <el-option
              v-for="k in BELT_KINDS"
              :key="k"
              :value="k"
              :label="capital(drivesWords(words).beltKinds[k])"
            />
          </el-select>
        </FormField>
        <ChoiceRow
          :model-value="texts.units"
          :label="w.form.units"
          show-label
          :options="[
            { value: 'inch', name: shellWords(words).unitNames.inch },
            { value: 'metric', name: shellWords(words).unitNames.metric },
          ]"
          @update:model-value="toUnits"
        />
        <FormField class="wide" :name="w.form.source" :fault="fault('source')">
          <el-input v-model="texts.source" :aria-label="w.form.source" maxlength="200" />
        </FormField>
      </div>
      <fieldset v-for="g in groups" :key="g">
        <legend>{{ w.form.groups[g] }}</legend>
        <ChoiceRow
          v-if="g === 'line'"
          v-model="texts.offsetBy"
          :label="w.form.offsetBy"
          show-label
          :options="(['groove', 'span'] as const).map((value) => ({ value, name: w.form.offsetIs[value] }))"
        />
        <ChoiceRow
          v-if="g === 'tension'"
          v-model="texts.gaugeOf"
          :label="w.form.gaugeOf"
          show-label
          :options="(['span', 'centre'] as const).map((value) => ({ value, name: w.form.gaugeIs[value] }))"
        />
        <div class="boxes">
          <NumberBox
            v-for="b in BOX_GROUPS[g]"
            :key="b"
            v-model="texts.boxes[b]"
            :label="nameOf(b)"
            :measure="typedAs(b, texts)"
            :units="texts.units"
            :note="fault(b)"
            :note-is-fault="fault(b) !== ''"
          />
        </div>
        <p v-if="g === 'tension'" class="muted">{{ w.form.factorsAre }}</p>
      </fieldset>
      <p class="muted">{{ w.form.empty }}</p>
      <el-checkbox v-model="texts.inForce">{{ w.form.inForce }}</el-checkbox>
      <p v-if="replaced">{{ w.form.takesPlace(replaced.source) }}</p>
      <p class="muted">{{ w.stays }}</p>
      <p v-if="message" class="fault" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
        w.form.save
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.limits,
fieldset {
  display: grid;
  gap: 12px;
}
fieldset {
  margin: 0;
  padding: 10px 0 0;
  border: 0;
  border-top: 1px solid var(--hairline);
}
legend {
  float: left;
  font-weight: 600;
}
.facts,
.boxes {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px 18px;
}
.wide {
  grid-column: 1 / -1;
}
.fault {
  color: var(--out);
}
@media (max-width: 640px) {
  .facts,
  .boxes {
    grid-template-columns: 1fr;
  }
}
</style>
