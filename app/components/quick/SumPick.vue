<script setup lang="ts">
import { choiceWords } from '~~/shared/quick/labels'

/** One of many words of the contract, picked from a list. */
defineProps<{
  modelValue: string
  label: string
  options: readonly string[]
  row?: boolean
  clearable?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string] }>()
</script>

<template>
  <label>
    <span :class="{ 'visually-hidden': row }">{{ label }}</span>
    <el-select
      :model-value="modelValue"
      :aria-label="label"
      :placeholder="row ? label : ''"
      :clearable="clearable"
      @update:model-value="emit('update:modelValue', ($event as string | undefined) ?? '')"
    >
      <el-option v-for="o in options" :key="o" :value="o" :label="choiceWords(o)" />
    </el-select>
  </label>
</template>
