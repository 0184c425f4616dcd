<script setup lang="ts">
import { BELT_CONSTRUCTIONS } from '~~/core/register/beltMachine'
import { CONVERSIONS, type UnitSystem } from '~~/core/units/unitSystem'
import type { SectionRecord } from '~~/shared/sections/section'
import {
  blankRow,
  convertSection,
  readSection,
  ROW_BOX_NAMES,
  ROW_BOXES,
  SECTION_BOX_NAMES,
  SECTION_BOXES,
  typedAs,
  type RowBox,
  type SectionTexts,
} from '~~/shared/sections/form'
import { shellWords } from '~~/shared/wording/en'
import { recordWords, sectionWords } from '~~/shared/wording/viewWords'
import IconRemove from '~icons/lucide/x'

/** One belt section, written or changed: its figures, where they come from, the chart of forces by small sheave. */
const props = defineProps<{
  /** What the boxes begin with. */
  begin: SectionTexts
  /** The one that is changed; null for a new one. */
  known: SectionRecord | null
  /** Sections in use, one of which this would take the place of. */
  inUse: readonly SectionRecord[]
}>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = sectionWords
const { texts, fault, working, message, save } = useTableForm({
  shown,
  begin: () => props.begin,
  known: () => props.known,
  read: (typed: SectionTexts) => readSection(typed, words),
  address: '/api/sections',
  saved: () => emit('saved'),
})
const rowFault = (i: number) => {
  const box = ROW_BOX_NAMES.find((n) => fault(`rows.${String(i)}.${n}`))
  return box ? `${w.form.row[box]}: ${fault(`rows.${String(i)}.${box}`)}` : ''
}
const replaced = computed(() => {
  const { section, construction, inUse } = texts.value
  if (!inUse) return null
  return (
    props.inUse.find(
      (s) =>
        s.id !== props.known?.id &&
        s.section.trim().toLowerCase() === section.trim().toLowerCase() &&
        (s.construction ?? '') === construction,
    ) ?? null
  )
})
const toUnits = (units: UnitSystem) => {
  texts.value = convertSection(texts.value, units)
}
const unitOfBox = (measure: 'distance' | 'massPerLength' | 'force' | null) =>
  measure === null ? '' : CONVERSIONS[texts.value.units][measure].unit
const unitOfRow = (box: RowBox) =>
  box === 'speedFrom' || box === 'speedTo' ? w.form.speedUnit[texts.value.units] : unitOfBox(ROW_BOXES[box])
</script>

<template>
  <el-dialog v-model="shown" :title="w.form.title" width="min(920px, 96vw)" append-to-body destroy-on-close>
    <form class="section" @submit.prevent="save">
      <div class="facts">
        <label>
          <span>{{ w.form.section }}</span>
          <el-input v-model="texts.section" :aria-label="w.form.section" maxlength="20" />
          <span v-if="fault('section')" class="fault" role="alert">{{ fault('section') }}</span>
        </label>
        <label>
          <span>{{ w.form.construction }}</span>
          <el-select v-model="texts.construction" :aria-label="w.form.construction" :empty-values="[null]">
            <el-option value="" :label="w.anyConstruction" />
            <el-option
              v-for="c in BELT_CONSTRUCTIONS"
              :key="c"
              :value="c"
              :label="recordWords.constructions[c]"
            />
          </el-select>
        </label>
        <label class="wide">
          <span>{{ w.form.source }}</span>
          <el-input v-model="texts.source" :aria-label="w.form.source" maxlength="200" />
          <span v-if="fault('source')" class="fault" role="alert">{{ fault('source') }}</span>
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
      <div class="boxes">
        <NumberBox
          v-for="b in SECTION_BOX_NAMES"
          :key="b"
          v-model="texts.boxes[b]"
          :label="[w.form.boxes[b], unitOfBox(SECTION_BOXES[b])].filter(Boolean).join(', ')"
          :measure="typedAs(SECTION_BOXES[b])"
          :units="texts.units"
          :note="fault(b)"
          :note-is-fault="fault(b) !== ''"
          big
        />
      </div>
      <p class="muted">{{ w.form.empty }}</p>
      <h3>{{ w.form.chart }}</h3>
      <div class="rows">
        <div v-if="texts.rows.length > 0" class="line head" aria-hidden="true">
          <span v-for="b in ROW_BOX_NAMES" :key="b"
            >{{ w.form.row[b] }}<small>{{ unitOfRow(b) }}</small></span
          >
          <span />
        </div>
        <template v-for="(r, i) in texts.rows" :key="i">
          <div class="line">
            <NumberBox
              v-for="b in ROW_BOX_NAMES"
              :key="b"
              v-model="r[b]"
              :label="w.form.box(i + 1, w.form.row[b])"
              hide-label
              :measure="typedAs(ROW_BOXES[b])"
              :units="texts.units"
              :placeholder="b === 'to' || b === 'speedTo' ? w.form.open : ''"
              :note-is-fault="fault(`rows.${i}.${b}`) !== ''"
              big
            />
            <el-button
              link
              class="text-button"
              :aria-label="w.form.removeRow(i + 1)"
              :title="w.form.removeRow(i + 1)"
              @click="texts.rows.splice(i, 1)"
              ><IconRemove aria-hidden="true"
            /></el-button>
          </div>
          <p v-if="rowFault(i)" class="fault" role="alert">{{ w.form.inTheRow(i + 1) }}{{ rowFault(i) }}</p>
        </template>
        <p v-if="fault('rows')" class="fault" role="alert">{{ fault('rows') }}</p>
        <el-button
          class="quiet-button"
          :disabled="texts.rows.length >= 60"
          @click="texts.rows.push(blankRow())"
          >{{ w.form.addRow }}</el-button
        >
      </div>
      <el-checkbox v-model="texts.inUse">{{ w.form.inUse }}</el-checkbox>
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
.section {
  display: grid;
  gap: 12px;
}
.facts,
.boxes {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px 18px;
}
.boxes {
  grid-template-columns: repeat(3, minmax(0, 1fr));
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
  grid-template-columns: repeat(8, minmax(0, 1fr)) 40px;
  gap: 6px;
  align-items: start;
}
.line.head {
  font-size: 13px;
  line-height: 1.25;
  color: var(--muted);
  align-items: end;
}
.head small {
  display: block;
}
.fault {
  display: block;
  color: var(--out);
  font-size: 14px;
}
@media (max-width: 640px) {
  .facts,
  .boxes {
    grid-template-columns: 1fr;
  }
  .line {
    grid-template-columns: repeat(2, minmax(0, 1fr));
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
