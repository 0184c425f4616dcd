<script setup lang="ts">
import { flipSign, readTypedNumber, type TypedMeasure } from '~~/core/units/typedNumber'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { TYPED_FAULTS } from '~~/shared/wording/names'

/**
 * A box for one measured number. It keeps exactly what was typed, shows what it understood when
 * that was said another way, and says in a sentence what it can't read.
 */
const props = withDefaults(
  defineProps<{
    modelValue: string
    label: string
    measure: TypedMeasure
    units: UnitSystem
    /** Signed boxes turn their sign on the minus key. */
    signed?: boolean
    onDye?: boolean
    big?: boolean
    required?: boolean
    /** A sentence from outside: a limit, a slip, a refusal. */
    note?: string
    noteIsFault?: boolean
    active?: boolean
    hideLabel?: boolean
    describedBy?: string
  }>(),
  { note: '' },
)
const emit = defineEmits<{ 'update:modelValue': [text: string]; enter: []; step: [by: 1 | -1] }>()

const box = useTemplateRef<HTMLInputElement>('box')
const id = useId()
const touched = ref(false)
const touchOnly = ref(false)

const unitName = computed(() =>
  props.measure === 'plain'
    ? ''
    : props.measure === 'distance'
      ? props.units === 'inch'
        ? 'in'
        : 'mm'
      : props.units === 'inch'
        ? 'mil'
        : 'mm',
)
const read = computed(() => readTypedNumber(props.modelValue, props.measure, props.units))
const understood = computed(() => {
  const r = read.value
  return r.ok && !r.plain
    ? `= ${String(Number(r.value.toPrecision(6))).replace('-', '−')} ${unitName.value}`
    : ''
})
const fault = computed(() => {
  const r = read.value
  if (r.ok) return props.noteIsFault ? props.note : ''
  if (r.fault === 'empty') return touched.value && props.required ? TYPED_FAULTS.empty : ''
  return TYPED_FAULTS[r.fault]
})
const shown = computed(() => fault.value || understood.value || props.note)

const onKey = (event: KeyboardEvent) => {
  if (event.key === 'Enter') {
    event.preventDefault()
    touched.value = true
    emit('enter')
  } else if (event.key === 'ArrowRight' && atEnd(1)) {
    emit('step', 1)
    event.preventDefault()
  } else if (event.key === 'ArrowLeft' && atEnd(-1)) {
    emit('step', -1)
    event.preventDefault()
  } else if ((event.key === '-' || event.key === '−') && props.signed && !event.ctrlKey) {
    emit('update:modelValue', flipSign(props.modelValue))
    event.preventDefault()
  }
}
/** Arrows walk on only from the end of the text, so that they still move inside a number. */
const atEnd = (way: 1 | -1) => {
  const el = box.value
  if (!el) return true
  return way === 1
    ? el.selectionEnd === el.value.length
    : el.selectionStart === 0 || el.selectionStart !== el.selectionEnd
}
const onPointer = (event: PointerEvent) => {
  touchOnly.value = event.pointerType === 'touch'
}
const keypad = useKeypad()
const onFocus = () => {
  box.value?.select()
  if (touchOnly.value)
    keypad.open({
      label: props.label,
      unit: unitName.value,
      signed: props.signed ?? false,
      text: () => props.modelValue,
      set: (text) => emit('update:modelValue', text),
      done: () => {
        touched.value = true
        emit('enter')
      },
      understood: () => shown.value,
    })
  else keypad.close()
}
defineExpose({ focus: () => box.value?.focus(), value: read })
</script>

<template>
  <div class="number" :class="{ dye: onDye, big, faulty: !!fault, active }">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <div class="field">
      <input
        :id="id"
        ref="box"
        class="figure"
        type="text"
        autocomplete="off"
        spellcheck="false"
        :inputmode="touchOnly ? 'none' : 'text'"
        :value="modelValue"
        :aria-invalid="!!fault"
        :aria-describedby="describedBy ?? `${id}-note`"
        @input="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
        @keydown="onKey"
        @pointerdown="onPointer"
        @focus="onFocus"
        @blur="touched = true"
      />
      <span v-if="unitName && !big" class="unit">{{ unitName }}</span>
    </div>
    <p :id="`${id}-note`" class="note" :class="{ fault }" :role="fault ? 'alert' : undefined">{{ shown }}</p>
  </div>
</template>

<style scoped>
.number {
  min-width: 0;
}
label {
  display: block;
  font-size: 14px;
  margin-bottom: 4px;
}
.field {
  display: flex;
  align-items: center;
  border: 1px solid var(--field-line);
  border-radius: 4px;
  background: var(--panel);
  min-height: var(--touch);
}
.field:focus-within {
  outline: 3px solid var(--brass);
  outline-offset: 1px;
}
input {
  flex: 1;
  min-width: 0;
  width: 100%;
  border: 0;
  background: none;
  padding: 6px 10px;
  font-size: 18px;
  text-align: right;
  outline: none;
}
.unit {
  padding-right: 10px;
  color: var(--muted);
  font-size: 14px;
}
.note {
  font-size: 13px;
  color: var(--muted);
  min-height: 0;
  margin-top: 3px;
}
.note:empty {
  display: none;
}
.note.fault {
  color: var(--out);
}
.faulty .field {
  border-color: var(--out);
  border-width: 2px;
}
.dye label {
  color: var(--scribe-dim);
}
.dye .field {
  background: var(--dye-deep);
  border-color: var(--scribe-dim);
  color: #fff;
}
.dye .unit,
.dye .note {
  color: var(--scribe-dim);
}
.dye .note.fault {
  color: var(--out-on-dye);
}
.dye.faulty .field {
  border-color: var(--out-on-dye);
}
.dye .field:focus-within,
.dye.active .field {
  outline: 2px solid var(--brass-on-dye);
  outline-offset: 0;
  border-color: var(--brass-on-dye);
}
.big input {
  font-size: 22px;
}
</style>
