<script setup lang="ts">
/** The kit's calendar, open for typing or picking as soon as it is there. */
defineProps<{ label: string; modelValue: string }>()
const emit = defineEmits<{ 'update:modelValue': [day: string] }>()
const picker = useTemplateRef<{ focus: () => void }>('picker')
onMounted(() => nextTick(() => picker.value?.focus()))
</script>

<template>
  <el-date-picker
    ref="picker"
    :model-value="modelValue"
    type="date"
    value-format="YYYY-MM-DD"
    format="D MMM YYYY"
    :clearable="false"
    :aria-label="label"
    @update:model-value="emit('update:modelValue', ($event as string | null) ?? '')"
  />
</template>
