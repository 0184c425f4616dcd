<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import { loadedAhead } from '~/stages/ahead'

const DayPicker = loadedAhead(() => import('./DayPicker.vue'))

/** A day: shown as it stands, with a calendar once it is to be another. `YYYY-MM-DD`. */
const props = defineProps<{ label: string; modelValue: string }>()
const emit = defineEmits<{ 'update:modelValue': [day: string] }>()
const w = shellWords(useWords())
const changing = ref(false)
const shown = computed(() => dayjs(props.modelValue).format('D MMM YYYY'))
</script>

<template>
  <DayPicker
    v-if="changing"
    :label="label"
    :model-value="modelValue"
    @update:model-value="emit('update:modelValue', $event)"
  />
  <el-button v-else class="quiet-button day" :aria-label="w.picked(label, shown)" @click="changing = true">{{
    shown
  }}</el-button>
</template>

<style scoped>
.day {
  width: 100%;
  min-height: var(--touch);
  justify-content: flex-start;
}
</style>
