<script setup lang="ts" generic="T extends string">
/** A few exclusive choices side by side; native radios underneath, so that keys and readers work. */
const props = defineProps<{
  label: string
  modelValue: T
  options: readonly { value: T; name: string }[]
  onDye?: boolean
  showLabel?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const group = useId()
const choose = (value: T) => value !== props.modelValue && emit('update:modelValue', value)
</script>

<template>
  <fieldset class="choice" :class="{ dye: onDye }">
    <legend :class="{ 'visually-hidden': !showLabel }">{{ label }}</legend>
    <div class="row">
      <label v-for="o in options" :key="o.value" :class="{ on: o.value === modelValue }">
        <input
          type="radio"
          class="visually-hidden"
          :name="group"
          :value="o.value"
          :checked="o.value === modelValue"
          @change="choose(o.value)"
        />
        {{ o.name }}
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
.choice {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
legend {
  padding: 0;
  margin-bottom: 5px;
  font-size: 14px;
}
.row {
  display: inline-flex;
  border: 1px solid var(--field-line);
  border-radius: 4px;
  overflow: hidden;
}
label {
  position: relative;
  display: flex;
  align-items: center;
  justify-content: center;
  min-width: 48px;
  min-height: 42px;
  padding: 0 11px;
  white-space: nowrap;
  cursor: pointer;
}
label.on {
  background: var(--ink);
  color: var(--panel);
}
label:has(:focus-visible) {
  outline: 3px solid var(--brass);
  outline-offset: -3px;
}
.dye .row {
  border-color: var(--scribe-dim);
}
.dye legend {
  color: var(--scribe-dim);
}
.dye label.on {
  background: var(--scribe);
  color: var(--dye-deep);
}
.dye label:has(:focus-visible) {
  outline-color: var(--brass-on-dye);
}
</style>
