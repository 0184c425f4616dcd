<script setup lang="ts">
import { quickWords } from '~~/shared/wording/viewWords'
import { labelOf, choiceWords } from '~~/shared/quick/labels'
import type { Field } from '~~/shared/quick/field'
import { openedOf, type TextGroup, type TextList } from '~~/shared/quick/texts'
import { CONVERSIONS } from '~~/core/units/unitSystem'

/** One part of a form built from an operation's schema, and all that is in it. `path` leads to it, by slashes. */
const props = defineProps<{
  field: Field
  path: string
  label: string
  note?: string
  /** In a row under a head that names it: no label of its own. */
  row?: boolean
  /** The part above it has its name already. */
  unnamed?: boolean
}>()
const session = useSession()
const w = quickWords
const form = inject(sumFormKey)!
const here = computed(() => form.at(props.path))
const text = computed(() => (typeof here.value === 'string' ? here.value : ''))
const list = computed(() => (Array.isArray(here.value) ? here.value : []))
const down = (name: string | number) => (props.path === '' ? String(name) : `${props.path}/${name}`)
const set = (value: Parameters<typeof form.set>[1]) => form.set(props.path, value)

const closed = computed(() => here.value === null || here.value === undefined)
const issue = computed(() => form.issue(props.path))
const unit = computed(() =>
  props.field.kind === 'number' && props.field.measured
    ? CONVERSIONS[session.units][props.field.measured].unit
    : '',
)
const typed = computed(() =>
  props.field.kind === 'number' &&
  (props.field.measured === 'displacement' || props.field.measured === 'distance')
    ? props.field.measured
    : 'plain',
)
/** So many letters of choices stand side by side, pressed at once; more are laid out when asked for. */
const ROW = 44
const choices = computed(() => {
  const { field } = props
  if (field.kind !== 'choice') return []
  const options = field.options.map((value) => ({ value, name: choiceWords(value) }))
  return field.required ? options : [{ value: '', name: w.notGiven }, ...options]
})
const sideBySide = computed(() => !props.row && choices.value.map((c) => c.name).join('').length <= ROW)
/** Optional parts that may be opened: groups, lists and choices of shape. */
const opens = computed(
  () =>
    !props.field.required && ['group', 'list', 'either', 'map', 'flag', 'inner'].includes(props.field.kind),
)
const plainFields = (of: Field) =>
  of.kind === 'group' && of.fields.every((f) => ['number', 'choice', 'text'].includes(f.field.kind))
/** What must be given first, then what may be. Where nothing must be, all stands together. */
const parts = computed(() => {
  if (props.field.kind !== 'group') return []
  const fields = props.field.fields.filter((f) => !form.taken(down(f.name)))
  const must = fields.filter((f) => f.field.required)
  const may = fields.filter((f) => !f.field.required)
  return must.length === 0 || may.length === 0
    ? [{ name: '', fields }]
    : [
        { name: '', fields: must },
        { name: w.may, fields: may },
      ]
})
const addRow = (of: Field) => set([...(list.value as TextList), openedOf(of)])
const dropRow = (i: number) => set(list.value.filter((_, n) => n !== i))
const pick = computed(() => ((here.value as TextGroup | null)?.pick as string | undefined) ?? '0')
const innerField = computed(() => {
  if (props.field.kind !== 'inner') return null
  const above = props.path.split('/').slice(0, -1).join('/')
  const beside = form.at(above === '' ? 'operation' : `${above}/operation`)
  return typeof beside === 'string' ? form.inner(beside) : null
})
</script>

<template>
  <div v-if="closed && opens" class="opener">
    <el-button link class="text-button on-dye" @click="set(openedOf(field))">{{
      w.optional(label)
    }}</el-button>
  </div>
  <NumberBox
    v-else-if="field.kind === 'number'"
    class="number"
    :model-value="text"
    :label="unit && typed === 'plain' ? `${label}, ${unit}` : label"
    :measure="typed"
    :units="session.units"
    :hide-label="row"
    on-dye
    signed
    :note="issue || note"
    :note-is-fault="issue !== ''"
    @update:model-value="set($event)"
  />
  <div v-else-if="field.kind === 'choice'" class="choice">
    <ChoiceRow
      v-if="sideBySide"
      :model-value="text"
      :label="label"
      :options="choices"
      on-dye
      show-label
      @update:model-value="set($event)"
    />
    <template v-else>
      <span v-if="!row" class="label">{{ label }}</span>
      <PickOne
        :model-value="text"
        :label="label"
        :options="choices"
        on-dye
        @update:model-value="set($event)"
      />
    </template>
    <p v-if="issue" class="fault" role="alert">{{ issue }}</p>
  </div>
  <div v-else-if="field.kind === 'text'" class="text">
    <label>
      <span :class="{ 'visually-hidden': row }">{{ label }}</span>
      <el-input :model-value="text" :aria-label="label" maxlength="200" @update:model-value="set($event)" />
    </label>
    <p v-if="issue" class="fault" role="alert">{{ issue }}</p>
  </div>
  <div v-else-if="field.kind === 'flag'" class="flag">
    <el-checkbox :model-value="here === true" @update:model-value="set($event === true)">{{
      label
    }}</el-checkbox>
  </div>
  <fieldset v-else class="part" :class="{ top: path === '' }">
    <legend v-if="path !== '' && !row && !unnamed">
      {{ label }}
      <el-button
        v-if="opens"
        link
        class="text-button on-dye"
        :aria-label="w.drop(label)"
        @click="set(null)"
        >{{ w.away }}</el-button
      >
    </legend>
    <p v-if="note && path !== ''" class="note">{{ note }}</p>
    <template v-if="field.kind === 'group'">
      <template v-for="part in parts" :key="part.name">
        <h2 v-if="part.name && path === ''">{{ part.name }}</h2>
        <div class="fields">
          <SumField
            v-for="f in part.fields"
            :key="f.name"
            :field="f.field"
            :path="down(f.name)"
            :label="labelOf(f.name)"
            :note="f.note"
            :row="row && plainFields(field)"
          />
        </div>
      </template>
    </template>
    <template v-else-if="field.kind === 'list'">
      <div
        v-if="!field.fixed && plainFields(field.item) && field.item.kind === 'group'"
        class="head row-grid"
        :style="{ '--columns': field.item.fields.length }"
      >
        <span v-for="f in field.item.fields" :key="f.name">{{ labelOf(f.name) }}</span>
        <span />
      </div>
      <div v-for="(_, i) in field.fixed ? [0, 1] : list" :key="i" class="list-row">
        <div
          v-if="plainFields(field.item) && field.item.kind === 'group'"
          class="row-grid"
          :style="{ '--columns': field.item.fields.length }"
        >
          <SumField
            v-for="f in field.item.fields"
            :key="f.name"
            :field="f.field"
            :path="`${down(i)}/${f.name}`"
            :label="`${labelOf(f.name)} ${i + 1}`"
            row
          />
          <el-button
            link
            class="text-button on-dye"
            :aria-label="w.dropRow(i + 1)"
            :disabled="list.length <= field.least"
            @click="dropRow(i)"
            >{{ w.away }}</el-button
          >
        </div>
        <template v-else>
          <SumField
            :field="field.item"
            :path="down(i)"
            :label="field.fixed ? (i === 0 ? w.low : w.high) : `${label} ${i + 1}`"
          />
          <el-button
            v-if="!field.fixed"
            link
            class="text-button on-dye"
            :aria-label="w.dropRow(i + 1)"
            :disabled="list.length <= field.least"
            @click="dropRow(i)"
            >{{ w.away }}</el-button
          >
        </template>
      </div>
      <el-button
        v-if="!field.fixed && list.length < field.most"
        class="dye-button"
        @click="addRow(field.item)"
        >{{ w.addRow }}</el-button
      >
    </template>
    <template v-else-if="field.kind === 'either'">
      <ChoiceRow
        :model-value="pick"
        :label="w.pick(label)"
        on-dye
        :options="field.names.map((n, i) => ({ value: String(i), name: choiceWords(labelOf(n) && n) }))"
        @update:model-value="set({ pick: $event, of: openedOf(field.options[Number($event)]!) })"
      />
      <SumField
        :key="pick"
        class="of"
        :field="field.options[Number(pick)]!"
        :path="down('of')"
        :label="label"
        :row="field.options[Number(pick)]!.kind !== 'group'"
        unnamed
      />
    </template>
    <template v-else-if="field.kind === 'map'">
      <div v-for="(_, i) in list" :key="i" class="row-grid" :style="{ '--columns': 2 }">
        <SumField
          :field="{ kind: 'text', required: true }"
          :path="`${down(i)}/name`"
          :label="`${labelOf('id')} ${i + 1}`"
          row
        />
        <SumField :field="field.item" :path="`${down(i)}/value`" :label="`${label} ${i + 1}`" row />
        <el-button link class="text-button on-dye" :aria-label="w.dropRow(i + 1)" @click="dropRow(i)">{{
          w.away
        }}</el-button>
      </div>
      <el-button
        class="dye-button"
        @click="set([...(list as TextList), { name: '', value: openedOf(field.item) }])"
        >{{ w.addRow }}</el-button
      >
    </template>
    <template v-else-if="field.kind === 'inner'">
      <SumField v-if="innerField" :field="innerField" :path="path" :label="label" row />
      <p v-else class="note">{{ w.inner }}</p>
    </template>
  </fieldset>
</template>

<style scoped>
.part {
  border: 0;
  border-left: 2px solid var(--dye-line);
  margin: 0;
  padding: 0 0 0 14px;
  min-width: 0;
  grid-column: 1 / -1;
}
.part.top {
  border: 0;
  padding: 0;
}
h2 {
  color: var(--scribe-dim);
  font-size: 14px;
  font-weight: 400;
  margin: 18px 0 8px;
}
.fields + .fields {
  margin-top: 12px;
}
legend {
  color: #fff;
  font-weight: 600;
  padding: 0 0 4px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 12px 18px;
  align-items: start;
}
.row-grid {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr)) 44px;
  gap: 6px 10px;
  align-items: start;
}
.of {
  margin-top: 10px;
}
.head {
  color: var(--scribe-dim);
  font-size: 14px;
}
.list-row {
  margin-bottom: 8px;
}
label span,
.choice .label {
  display: block;
  color: var(--scribe-dim);
  font-size: 14px;
  margin-bottom: 5px;
  line-height: 1.25;
}
.choice:has(.el-radio-group) {
  grid-column: span 2;
}
.choice :deep(.el-radio-group) {
  flex-wrap: wrap;
}
@media (max-width: 480px) {
  .choice:has(.el-radio-group) {
    grid-column: 1 / -1;
  }
}
.note {
  color: var(--scribe-dim);
  font-size: 14px;
  margin-bottom: 6px;
}
.fault {
  color: var(--out-on-dye);
  font-size: 14px;
}
.opener {
  align-self: center;
}
.on-dye {
  color: var(--scribe);
}
.flag :deep(.el-checkbox__label) {
  color: var(--scribe);
}
</style>
