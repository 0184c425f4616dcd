<script setup lang="ts">
import { readTypedNumber, type TypedMeasure } from '~~/core/units/typedNumber'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import type { MachineFields, MachineRecord } from '~~/shared/register/machine'
import { TYPED_FAULTS } from '~~/shared/wording/names'

/** Changes what the register says of a machine, in the machine's own units. */
const props = defineProps<{ machine: MachineRecord }>()
const emit = defineEmits<{ changed: [] }>()
const shown = defineModel<boolean>({ required: true })

const NUMBERS = {
  rpm: { label: 'Nameplate speed, rpm', measure: 'plain' },
  powerKw: { label: 'Power, kW', measure: 'plain' },
  rimPlane: { label: 'Rim dial’s usual plane', measure: 'distance' },
  faceDiameter: { label: 'Face circle, diameter', measure: 'distance' },
  inboard: { label: 'Coupling to inboard feet', measure: 'distance' },
  outboard: { label: 'Coupling to outboard feet', measure: 'distance' },
  inboardPlus: { label: 'Inboard room toward 3', measure: 'displacement' },
  inboardMinus: { label: 'Inboard room toward 9', measure: 'displacement' },
  outboardPlus: { label: 'Outboard room toward 3', measure: 'displacement' },
  outboardMinus: { label: 'Outboard room toward 9', measure: 'displacement' },
  maxPack: { label: 'Highest pack under a foot', measure: 'displacement' },
} as const satisfies Record<string, { label: string; measure: TypedMeasure }>
type NumberName = keyof typeof NUMBERS

const texts = ref({} as Record<NumberName, string>)
const names = ref({ name: '', area: '', movableName: '', stationaryName: '', couplingKind: '' })
const faults = ref<Readonly<Record<string, string>>>({})
const message = ref('')
const version = ref(0)

const fill = (m: MachineRecord) => {
  const [a, b] = m.feet
  const of = (x: number) => String(x)
  texts.value = {
    rpm: of(m.rpm),
    powerKw: of(m.powerKw),
    rimPlane: of(m.usual.rimPlane),
    faceDiameter: of(m.usual.faceDiameter),
    inboard: of(a.x),
    outboard: of(b.x),
    inboardPlus: of(a.sidePlus),
    inboardMinus: of(a.sideMinus),
    outboardPlus: of(b.sidePlus),
    outboardMinus: of(b.sideMinus),
    maxPack: of(a.maxPack),
  }
  names.value = {
    name: m.name,
    area: m.area,
    movableName: m.movableName,
    stationaryName: m.stationaryName,
    couplingKind: m.couplingKind,
  }
  version.value = m.version
}
watch(shown, (now) => {
  if (!now) return
  fill(props.machine)
  faults.value = {}
  message.value = ''
})

const save = async () => {
  const read = Object.fromEntries(
    Object.entries(texts.value).map(([k, t]) => [
      k,
      readTypedNumber(t, NUMBERS[k as NumberName].measure, props.machine.units),
    ]),
  ) as Record<NumberName, ReturnType<typeof readTypedNumber>>
  const bad = Object.entries(read).filter(([, r]) => !r.ok)
  faults.value = Object.fromEntries(bad.map(([k, r]) => [k, r.ok ? '' : TYPED_FAULTS[r.fault]]))
  if (bad.length > 0) return
  const v = (name: NumberName) => {
    const r = read[name]
    return r.ok ? r.value : 0
  }
  const { id: _, version: __, ...kept } = props.machine
  const [a, b] = kept.feet
  const fields: MachineFields = {
    ...kept,
    ...names.value,
    rpm: v('rpm'),
    powerKw: v('powerKw'),
    usual: { ...kept.usual, rimPlane: v('rimPlane'), faceDiameter: v('faceDiameter') },
    feet: [
      {
        ...a,
        x: v('inboard'),
        sidePlus: v('inboardPlus'),
        sideMinus: v('inboardMinus'),
        maxPack: v('maxPack'),
      },
      {
        ...b,
        x: v('outboard'),
        sidePlus: v('outboardPlus'),
        sideMinus: v('outboardMinus'),
        maxPack: v('maxPack'),
      },
    ],
  }
  try {
    await askServer(`/api/machines/${encodeURIComponent(props.machine.tag)}`, {
      method: 'PUT',
      body: { ...fields, version: version.value },
    })
    shown.value = false
    emit('changed')
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    message.value = error.message
    faults.value = Object.fromEntries(
      (error.answer.issues ?? []).map((i) => [FIELD_OF[i.path] ?? i.path, i.message]),
    )
    // What was typed stays; the next save is against the row as it now stands.
    const current = error.answer.current as MachineRecord | undefined
    if (current) version.value = current.version
  }
}
/** Where the server's paths stand on this form. */
const FIELD_OF: Readonly<Record<string, NumberName>> = {
  rpm: 'rpm',
  powerKw: 'powerKw',
  'usual.rimPlane': 'rimPlane',
  'usual.faceDiameter': 'faceDiameter',
  'feet.0.x': 'inboard',
  'feet.1.x': 'outboard',
  'feet.0.sidePlus': 'inboardPlus',
  'feet.0.sideMinus': 'inboardMinus',
  'feet.1.sidePlus': 'outboardPlus',
  'feet.1.sideMinus': 'outboardMinus',
  'feet.0.maxPack': 'maxPack',
}
const NAMES = {
  name: 'Name',
  area: 'Where it stands',
  movableName: 'What is moved',
  stationaryName: 'What it drives',
  couplingKind: 'Coupling',
} as const
</script>

<template>
  <el-dialog v-model="shown" :title="`Change the register, ${machine.tag}`" width="720" append-to-body>
    <form class="form" @submit.prevent="save">
      <label v-for="(label, key) in NAMES" :key="key"
        >{{ label }}<el-input v-model="names[key]" /><span v-if="faults[key]" class="fault">{{
          faults[key]
        }}</span></label
      >
      <NumberBox
        v-for="(spec, key) in NUMBERS"
        :key="key"
        v-model="texts[key]"
        :label="spec.label"
        :measure="spec.measure"
        :units="machine.units"
        :signed="key === 'rimPlane'"
        :note="faults[key] ?? ''"
        :note-is-fault="!!faults[key]"
        @enter="save"
      />
      <p class="wide muted">
        In {{ UNIT_NAMES[machine.units].distance }} and {{ UNIT_NAMES[machine.units].displacement }}, as this
        machine is kept. Open jobs keep the machine as it was on their day.
      </p>
      <p v-if="message" class="wide fault" role="alert">{{ message }}</p>
      <button type="submit" class="next-button wide">Save the change</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px 16px;
  align-items: start;
}
.form > label {
  display: grid;
  gap: 4px;
  font-size: 14px;
}
.wide {
  grid-column: 1 / -1;
}
.fault {
  color: var(--out);
}
</style>
