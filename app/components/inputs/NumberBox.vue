<script setup lang="ts">
import { typingWords } from '~~/shared/wording/en'
import { flipSign, readTypedNumber, type TypedMeasure } from '~~/core/units/typedNumber'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { unitOf } from '~~/shared/forms/typed'

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
    disabled?: boolean
    /** A sentence from outside: a limit, a slip, a refusal. */
    note?: string
    noteIsFault?: boolean
    /** Several numbers in one box, like shims: read by whoever asks for them, not here. */
    list?: boolean
    hideLabel?: boolean
    placeholder?: string
  }>(),
  { note: '', placeholder: '' },
)
const emit = defineEmits<{ 'update:modelValue': [text: string]; enter: []; step: [by: 1 | -1] }>()

const box = useTemplateRef<{ input?: HTMLInputElement; focus: () => void; select: () => void }>('box')
const id = useId()
const words = useWords()
const typing = typingWords(words)
const touched = ref(false)
const touchOnly = ref(false)

const unitName = computed(() => unitOf(props.measure, props.units))
const read = computed(() => readTypedNumber(props.modelValue, props.measure, props.units))
const understood = computed(() => {
  const r = read.value
  return !props.list && r.ok && !r.plain
    ? `= ${String(Number(r.value.toPrecision(6))).replace('-', '−')} ${unitName.value}`
    : ''
})
const fault = computed(() => {
  const r = read.value
  if (props.list || r.ok) return props.noteIsFault ? props.note : ''
  if (r.fault === 'empty' && props.noteIsFault) return props.note
  if (r.fault === 'empty') return touched.value && props.required ? typing.faults.empty : ''
  return typing.faults[r.fault]
})
const shown = computed(
  () => fault.value || [understood.value, props.noteIsFault ? '' : props.note].filter(Boolean).join(' · '),
)

const element = () => box.value?.input
const onKey = (raw: Event | KeyboardEvent) => {
  if (!(raw instanceof KeyboardEvent)) return
  if (raw.key === 'Enter') {
    raw.preventDefault()
    touched.value = true
    emit('enter')
  } else if (raw.key === 'ArrowRight' && atEnd(1)) {
    emit('step', 1)
    raw.preventDefault()
  } else if (raw.key === 'ArrowLeft' && atEnd(-1)) {
    emit('step', -1)
    raw.preventDefault()
  } else if ((raw.key === '-' || raw.key === '−') && props.signed && !raw.ctrlKey && !selected()) {
    // With a selection the minus is typed over it like any other key.
    emit('update:modelValue', flipSign(props.modelValue))
    raw.preventDefault()
  }
}
const selected = (): boolean => {
  const el = element()
  return !!el && el.selectionStart !== el.selectionEnd
}
/** Arrows walk on only from the end of the text, so that they still move inside a number. */
const atEnd = (way: 1 | -1) => {
  const el = element()
  if (!el) return true
  return way === 1
    ? el.selectionEnd === el.value.length
    : el.selectionStart === 0 || el.selectionStart !== el.selectionEnd
}
const onPointer = (event: PointerEvent) => {
  touchOnly.value = event.pointerType === 'touch'
}
/** A dialog that comes up takes the focus for a moment and hands it back: nobody has left the box. */
const onBlur = ({ relatedTarget }: FocusEvent) => {
  if (relatedTarget instanceof Element && relatedTarget.classList.contains('el-dialog')) return
  touched.value = true
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
defineExpose({ focus: () => box.value?.focus() })
</script>

<template>
  <div
    class="number"
    :class="{ dye: onDye, big, faulty: !!fault, long: modelValue.length > 6, longer: modelValue.length > 8 }"
  >
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <el-input
      :id="id"
      ref="box"
      class="figure"
      type="text"
      autocomplete="off"
      spellcheck="false"
      :inputmode="touchOnly ? 'none' : 'text'"
      :model-value="modelValue"
      :disabled="disabled"
      :placeholder="placeholder"
      :aria-invalid="!!fault"
      :aria-describedby="`${id}-note`"
      @update:model-value="emit('update:modelValue', $event)"
      @keydown="onKey"
      @pointerdown="onPointer"
      @focus="onFocus"
      @blur="onBlur"
    >
      <template v-if="unitName && !big" #suffix>{{ unitName }}</template>
    </el-input>
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
  line-height: 1.25;
  margin-bottom: 4px;
}
.number :deep(.el-input__wrapper) {
  padding: 1px 9px;
}
.number :deep(.el-input__inner) {
  font: 400 18px/1 var(--figures);
  text-align: right;
  height: 40px;
}
.number :deep(.el-input__suffix) {
  font: 400 14px/1 var(--text);
  color: var(--muted);
  margin-left: 5px;
}
.note {
  font-size: 13px;
  line-height: 1.3;
  color: var(--muted);
  margin-top: 3px;
}
.note:empty {
  display: none;
}
.note.fault {
  color: var(--out);
}
.faulty :deep(.el-input__wrapper) {
  box-shadow: 0 0 0 2px var(--out) inset;
}
.dye label,
.dye .note,
.dye :deep(.el-input__suffix) {
  color: var(--scribe-dim);
}
.dye .note.fault {
  color: var(--out-on-dye);
}
.dye.faulty :deep(.el-input__wrapper) {
  box-shadow: 0 0 0 2px var(--out-on-dye) inset;
}
.big :deep(.el-input__wrapper) {
  padding: 1px 6px;
}
.big :deep(.el-input__inner) {
  font-size: clamp(17px, 1.6vw, 22px);
  letter-spacing: -0.02em;
}
/* Whatever is typed stays in sight whole. */
.long :deep(.el-input__inner.el-input__inner) {
  font-size: 15px;
  letter-spacing: -0.03em;
}
.longer :deep(.el-input__inner.el-input__inner) {
  font-size: 13px;
  letter-spacing: -0.04em;
}
</style>
