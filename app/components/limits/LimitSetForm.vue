<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { limitSetWords } from '~~/shared/wording/viewWords'
import IconRemove from '~icons/lucide/x'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { blankRow, boxOf, convertLimits, MEASURE, ROW_BOXES, type LimitTexts } from '~~/shared/limits/form'
import { readLimits } from '~~/shared/limits/readForm'
import type { LimitSetRecord } from '~~/shared/limits/limitSet'

/** One table of limits, written or changed: what it holds for, where it comes from, its rows by speed. */
const props = defineProps<{
  /** What the boxes begin with. */
  begin: LimitTexts
  /** The table that is changed; null for a new one. */
  known: LimitSetRecord | null
  /** Tables in force, one of which this would take the place of. */
  inForce: readonly LimitSetRecord[]
  /** Kinds of coupling in the register. */
  kinds: readonly string[]
}>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = limitSetWords
const { texts, fault, working, message, save } = useTableForm({
  shown,
  begin: () => props.begin,
  known: () => props.known,
  read: (typed: LimitTexts) => readLimits(typed, words),
  address: '/api/limits',
  saved: () => emit('saved'),
})
const named = ['name', 'source', 'revision'] as const
const replaced = computed(() => {
  const { level, coupling, inForce } = texts.value
  if (!inForce) return null
  return (
    props.inForce.find(
      (s) =>
        s.id !== props.known?.id &&
        s.level === level &&
        (level === 'works' || s.coupling.trim().toLowerCase() === coupling.trim().toLowerCase()),
    ) ?? null
  )
})
const toUnits = (units: UnitSystem) => {
  texts.value = convertLimits(texts.value, units)
}
const addRow = () => texts.value.rows.push(blankRow())
const removeRow = (i: number) => texts.value.rows.splice(i, 1)
</script>

<template>
  <el-dialog v-model="shown" :title="w.form.add" width="min(880px, 96vw)" append-to-body destroy-on-close>
    <form class="set" @submit.prevent="save">
      <div class="facts">
        <ChoiceRow
          v-model="texts.level"
          :label="w.form.level"
          show-label
          :options="(['works', 'coupling'] as const).map((value) => ({ value, name: w.levels[value] }))"
        />
        <label v-if="texts.level === 'coupling'">
          <span>{{ w.form.coupling }}</span>
          <el-select
            v-model="texts.coupling"
            filterable
            allow-create
            default-first-option
            :aria-label="w.form.coupling"
          >
            <el-option v-for="k in kinds" :key="k" :value="k" :label="k" />
          </el-select>
          <span v-if="fault('coupling')" class="fault" role="alert">{{ fault('coupling') }}</span>
        </label>
        <label v-for="field in named" :key="field" :class="field">
          <span>{{ w.form[field] }}</span>
          <el-input v-model="texts[field]" :aria-label="w.form[field]" maxlength="200" />
          <span v-if="fault(field)" class="fault" role="alert">{{ fault(field) }}</span>
        </label>
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
      </div>
      <div class="rows">
        <div class="line head">
          <span>{{ w.form.upTo }}</span>
          <span v-for="b in ROW_BOXES" :key="b.grade + b.quantity"
            ><b>{{ w.grades[b.grade] }}</b> {{ w.short[b.quantity] }},
            {{ UNIT_NAMES[texts.units][MEASURE[b.quantity]] }}</span
          >
          <span />
        </div>
        <div v-for="(r, i) in texts.rows" :key="i" class="line">
          <NumberBox
            v-model="r.upTo"
            :label="w.form.speedBox(i + 1)"
            hide-label
            measure="plain"
            :units="texts.units"
            :placeholder="w.form.upToHint"
            :note="fault(`rows.${i}.upTo`)"
            :note-is-fault="fault(`rows.${i}.upTo`) !== ''"
            big
          />
          <NumberBox
            v-for="b in ROW_BOXES"
            :key="b.grade + b.quantity"
            v-model="r[b.grade][b.quantity]"
            :label="w.form.box(i + 1, w.grades[b.grade], w.short[b.quantity])"
            hide-label
            :measure="boxOf(b.quantity)"
            :units="texts.units"
            :note="fault(`rows.${i}.${b.grade}.${b.quantity}`)"
            :note-is-fault="fault(`rows.${i}.${b.grade}.${b.quantity}`) !== ''"
            big
          />
          <el-button
            link
            class="text-button"
            :disabled="texts.rows.length === 1"
            :aria-label="w.form.removeRow(i + 1)"
            :title="w.form.removeRow(i + 1)"
            @click="removeRow(i)"
            ><IconRemove aria-hidden="true"
          /></el-button>
        </div>
        <p v-if="fault('rows.0') || fault('rows')" class="fault" role="alert">
          {{ fault('rows.0') || fault('rows') }}
        </p>
        <p class="muted">{{ w.form.empty }}</p>
        <el-button class="quiet-button" :disabled="texts.rows.length >= 20" @click="addRow">{{
          w.form.addRow
        }}</el-button>
      </div>
      <el-checkbox v-model="texts.inForce">{{ w.form.inForce }}</el-checkbox>
      <p v-if="replaced">{{ w.form.takesPlace(replaced.name) }}</p>
      <p class="muted">{{ w.stays }}</p>
      <p v-if="message" class="fault" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
        w.form.save
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.set {
  display: grid;
  gap: 12px;
}
.facts {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px 18px;
}
label > span:first-child {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.rows {
  display: grid;
  gap: 5px;
}
.line {
  display: grid;
  grid-template-columns: 100px repeat(6, minmax(0, 1fr)) 40px;
  gap: 6px;
  align-items: start;
}
.line.head {
  font-size: 13px;
  line-height: 1.25;
  color: var(--muted);
  align-items: end;
}
.head b {
  display: block;
  color: var(--ink);
}
.fault {
  display: block;
  color: var(--out);
  font-size: 14px;
}
@media (max-width: 640px) {
  .facts {
    grid-template-columns: 1fr;
  }
  .line {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    border-bottom: 1px solid var(--hairline);
    padding-bottom: 8px;
  }
  .line.head {
    display: none;
  }
  .line :deep(label.visually-hidden) {
    position: static;
    width: auto;
    height: auto;
    clip-path: none;
  }
}
</style>
