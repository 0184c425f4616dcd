<script setup lang="ts">
import { pagesWords, trainWords } from '~~/shared/wording/en'
import type { ComponentPublicInstance } from 'vue'
import { recordWords } from '~~/shared/wording/viewWords'
import { MOST_PAIRS, withPairs } from '~~/shared/register/coupledBoxes'
import {
  blankRecord,
  openedBy,
  recordLike,
  readRecord,
  recordBoxes,
  recordTexts,
} from '~~/shared/register/form'
import type { CoupledFields } from '~~/shared/register/coupledMachine'
import { withUnits } from '~~/shared/register/trainBoxes'
import { FEWEST_UNITS, MOST_UNITS } from '~~/core/register/trainMachine'
import { withBolts } from '~~/shared/register/flangeBoxes'
import { FEWEST_BOLTS, MOST_BOLTS } from '~~/core/register/flangeMachine'
import type { RecordBox } from '~~/shared/register/boxes'
import type { MachineFields, MachineRecord } from '~~/shared/register/machine'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { newId } from '~/device/newId'

/** What the register says of a machine, changed or written for the first time, in the machine's own units. */
const props = defineProps<{
  machine: MachineRecord | null
  /** A new one begins as a copy of this: the same drive, its own tag. */
  like?: MachineRecord
}>()
const emit = defineEmits<{ saved: [tag: string] }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const { form: w, machines } = pagesWords(useWords())
const line = trainWords(useWords()).register

const drive = ref<MachineFields['drive']>('coupled')
const units = ref<MachineFields['units']>('inch')
const base = shallowRef<MachineFields>(blankRecord('coupled', 'inch'))
const boxes = computed(() => recordBoxes(base.value, session.works?.footWords))
const groups = computed(() => [...new Set(boxes.value.map((f) => f.group))])
const texts = ref<Record<string, string>>({})
const faults = ref<Readonly<Record<string, string>>>({})
const message = ref('')
const version = ref(0)
const newMachineId = ref('')

const begin = (record: MachineFields, blank: boolean) => {
  base.value = record
  const filled = recordTexts(record, boxes.value)
  // A zero in a new record is a box nobody filled yet.
  texts.value = blank
    ? Object.fromEntries(
        Object.entries(filled).map(([path, t]) => [path, t === '0' && path !== 'base.lineAngle' ? '' : t]),
      )
    : filled
  faults.value = {}
  message.value = ''
}
const form = useTemplateRef<ComponentPublicInstance>('form')
useFirstFocus(shown, () => (form.value?.$el as HTMLElement | undefined)?.querySelector('input'))
useOnShown(shown, () => {
  if (props.machine) {
    const { id: _, version: v, ...record } = props.machine
    version.value = v
    begin(record, false)
  } else {
    newMachineId.value = newId()
    if (props.like) {
      begin(recordLike(props.like), false)
      return
    }
    units.value = session.units
    begin(blankRecord(drive.value, units.value), true)
  }
})
/** A choice that asks for other boxes: what is typed in the rest stays. */
const choose = (box: RecordBox, value: string) => {
  const opened = openedBy(base.value, box, value)
  texts.value[box.path] = value
  if (opened === base.value) return
  base.value = opened
  const blank = recordTexts(opened, boxes.value)
  for (const f of boxes.value)
    if (!(f.path in texts.value)) texts.value[f.path] = blank[f.path] === '0' ? '' : (blank[f.path] ?? '')
}
/** A pair of feet more or less of one machine: what is typed in the rest stays. */
const pairs = (role: 'movable' | 'stationary', by: 1 | -1) => {
  base.value = withPairs(base.value, role, by)
  const blank = recordTexts(base.value, boxes.value)
  for (const f of boxes.value)
    if (!(f.path in texts.value)) texts.value[f.path] = blank[f.path] === '0' ? '' : (blank[f.path] ?? '')
}
const feetOf = (role: 'movable' | 'stationary') => ('feet' in base.value ? base.value.feet[role].length : 0)
/** Whose pairs there may be more or fewer of: a drum stands on none. */
const pairRoles = computed(() =>
  base.value.drive === 'drum' ? (['movable'] as const) : (['movable', 'stationary'] as const),
)
/** Another number of bolts: what is typed in the rest stays. */
const bolts = (count: number | undefined) => {
  base.value = withBolts(base.value, count ?? 0)
  for (const f of boxes.value) texts.value[f.path] ??= ''
}
/** Another number of machines on the line: what is typed in the rest stays. */
const lengthen = (count: number) => {
  base.value = withUnits(base.value, count)
  const blank = recordTexts(base.value, boxes.value)
  for (const f of boxes.value) texts.value[f.path] ??= blank[f.path] === '0' ? '' : (blank[f.path] ?? '')
}
const another = () => begin(blankRecord(drive.value, units.value), true)

/** The machine as typed so far, drawn as soon as its feet have a place; what can't be read yet stays as it was. */
const drawn = computed(() => {
  const { record } = readRecord(texts.value, base.value, boxes.value)
  const { drive: joined, feet } = record as MachineFields & { feet?: { movable: { x: number }[] } }
  const places = feet?.movable.map((f) => f.x) ?? []
  const outward = places.every((x, i) => x > (places[i - 1] ?? 0))
  return joined === 'coupled' && places.length > 1 && outward ? (record as CoupledFields) : null
})

const save = async () => {
  const read = readRecord(texts.value, base.value, boxes.value)
  faults.value = read.faults
  if (Object.keys(read.faults).length > 0) {
    message.value = w.someWrong
    return
  }
  const record = read.record as MachineFields
  try {
    if (props.machine)
      await askServer(`/api/machines/${encodeURIComponent(props.machine.tag)}`, {
        method: 'PUT',
        body: { ...record, version: version.value },
      })
    else await askServer('/api/machines', { method: 'POST', body: { ...record, id: newMachineId.value } })
    shown.value = false
    emit('saved', record.tag)
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    message.value = error.message
    faults.value = Object.fromEntries((error.answer.issues ?? []).map((i) => [i.path, i.message]))
    // What was typed stays; the next save is against the row as it now stands.
    const current = error.answer.current as MachineRecord | undefined
    if (current && props.machine) version.value = current.version
  }
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="machine ? w.change(machine.tag) : like ? w.like(like.tag) : machines.register"
    width="min(820px, 96vw)"
    append-to-body
    destroy-on-close
  >
    <div v-if="!machine && !like" class="kind">
      <ChoiceRow
        v-model="drive"
        :label="w.joinedBy"
        show-label
        :options="[
          { value: 'coupled', name: w.drives.coupled },
          { value: 'train', name: w.drives.train },
          { value: 'flange', name: w.drives.flange },
          { value: 'drum', name: w.drives.drum },
          { value: 'gear', name: w.drives.gear },
          { value: 'belt', name: w.drives.belt },
        ]"
        @update:model-value="another"
      />
      <ChoiceRow
        v-model="units"
        :label="w.keptIn"
        show-label
        :options="[
          { value: 'inch', name: w.units.inch },
          { value: 'metric', name: w.units.metric },
        ]"
        @update:model-value="another"
      />
    </div>
    <div v-if="drawn" class="drawn">
      <MachineDrawing :machine="drawn" :units="base.units" />
    </div>
    <el-form ref="form" label-position="top" class="form" @submit.prevent="save">
      <template v-for="group in groups" :key="group">
        <h3>{{ group }}</h3>
        <template v-for="f in boxes.filter((x) => x.group === group)" :key="f.path">
          <NumberBox
            v-if="f.kind === 'number' || f.kind === 'shims'"
            v-model="texts[f.path]!"
            :label="f.label"
            :measure="f.kind === 'number' ? f.measure : 'displacement'"
            :list="f.kind === 'shims' || (f.kind === 'number' && f.optional === true && !texts[f.path])"
            :units="base.units"
            :signed="f.kind === 'number' && f.signed"
            :note="faults[f.path] ?? ''"
            :note-is-fault="!!faults[f.path]"
            @enter="save"
          />
          <el-form-item v-else :label="f.label" :error="faults[f.path]">
            <el-input v-if="f.kind === 'text'" v-model="texts[f.path]" :aria-label="f.label" />
            <el-select
              v-else-if="f.kind === 'choice'"
              :model-value="texts[f.path]"
              :aria-label="f.label"
              @update:model-value="choose(f, $event)"
            >
              <el-option v-for="o in f.options" :key="o.value" :value="o.value" :label="o.name" />
            </el-select>
            <el-switch
              v-else
              v-model="texts[f.path]"
              :aria-label="f.label"
              active-value="true"
              inactive-value="false"
              :active-text="w.locked"
              :inactive-text="w.mayBeMoved"
            />
          </el-form-item>
        </template>
      </template>
      <el-form-item v-if="base.drive === 'flange'" :label="recordWords.boltCount">
        <el-input-number
          :model-value="base.flange.bolts"
          :min="FEWEST_BOLTS"
          :max="MOST_BOLTS"
          :aria-label="recordWords.boltCount"
          @update:model-value="bolts($event)"
        />
      </el-form-item>
      <template v-if="base.drive === 'train'">
        <el-form-item :label="line.count">
          <el-input-number
            :model-value="base.machines.length"
            :min="FEWEST_UNITS"
            :max="MOST_UNITS"
            :aria-label="line.count"
            @update:model-value="lengthen(($event as number | undefined) ?? 0)"
          />
        </el-form-item>
        <p class="wide muted">{{ line.hint }}</p>
      </template>
      <div v-if="'feet' in base" class="wide pairs">
        <template v-for="role in pairRoles" :key="role">
          <el-button v-if="feetOf(role) < MOST_PAIRS" class="quiet-button" @click="pairs(role, 1)">{{
            recordWords.addPair[role]
          }}</el-button>
          <el-button
            v-if="feetOf(role) > (role === 'movable' ? 2 : 0)"
            class="quiet-button"
            @click="pairs(role, -1)"
            >{{ recordWords.dropPair[role] }}</el-button
          >
        </template>
      </div>
      <p class="wide muted">
        {{ w.keptAs(UNIT_NAMES[base.units].distance, UNIT_NAMES[base.units].displacement) }}
      </p>
      <p v-if="message" class="wide fault" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button wide">{{
        machine ? w.save : w.registerIt
      }}</el-button>
    </el-form>
  </el-dialog>
</template>

<style scoped>
.pairs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.drawn {
  max-width: 560px;
  margin: 0 auto 8px;
}
.kind {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  margin-bottom: 8px;
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 10px 16px;
  align-items: start;
}
.form :deep(.el-form-item) {
  margin-bottom: 0;
}
h3,
.wide {
  grid-column: 1 / -1;
}
h3 {
  font-size: 16px;
  margin-top: 10px;
}
.fault {
  color: var(--out);
}
</style>
