<script setup lang="ts" generic="T extends string">
/** A few exclusive choices side by side. */
defineProps<{
  label: string
  modelValue: T
  options: readonly { readonly value: T; readonly name: string }[]
  onDye?: boolean
  showLabel?: boolean
  disabled?: boolean
  /** A sentence about what is chosen. */
  note?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const id = useId()
const row = useTemplateRef<HTMLElement>('row')
defineExpose({ focus: () => row.value?.querySelector<HTMLInputElement>('input:checked')?.focus() })
</script>

<template>
  <div ref="row" class="choice" :class="{ dye: onDye }">
    <span :id="id" :class="{ 'visually-hidden': !showLabel }">{{ label }}</span>
    <el-radio-group
      :model-value="modelValue"
      :aria-labelledby="id"
      :disabled="disabled"
      @update:model-value="emit('update:modelValue', $event as T)"
    >
      <el-radio-button v-for="o in options" :key="o.value" :value="o.value">{{ o.name }}</el-radio-button>
    </el-radio-group>
    <p v-if="note" class="note" role="alert">{{ note }}</p>
  </div>
</template>

<style scoped>
.choice {
  min-width: 0;
}
span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  line-height: 1.25;
}
.choice :deep(.el-radio-group) {
  flex-wrap: nowrap;
}
.choice :deep(.el-radio-button__inner) {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 12px;
  font-size: 15px;
}
.note {
  max-width: 260px;
  margin: 4px 0 0;
  font-size: 13px;
  line-height: 1.3;
  color: var(--out);
}
.dye > .note {
  color: var(--out-on-dye);
}
.dye > span {
  color: var(--scribe-dim);
}
</style>
