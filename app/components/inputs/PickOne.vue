<script setup lang="ts" generic="T extends string">
import { shellWords } from '~~/shared/wording/en'
import IconChevron from '~icons/lucide/chevron-down'
import { loadedAhead } from '~/stages/ahead'

const PickDialog = loadedAhead(() => import('./PickDialog.vue'))

/** One of several: a button says which, and a press lays all of them out large enough for a glove. */
const props = defineProps<{
  label: string
  modelValue: T
  options: readonly { readonly value: T; readonly name: string }[]
  disabled?: boolean
  onDye?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const w = shellWords(useWords())
const name = computed(() => props.options.find((o) => o.value === props.modelValue)?.name ?? '')
const open = ref(false)
const later = useLater(open)
</script>

<template>
  <span class="pick">
    <el-button
      :class="onDye ? 'dye-button' : 'quiet-button'"
      :disabled="disabled"
      aria-haspopup="dialog"
      :aria-label="w.picked(label, name)"
      @click="open = true"
    >
      <span class="name">{{ name || w.pick }}</span> <IconChevron aria-hidden="true" />
    </el-button>
    <PickDialog
      v-if="later"
      v-model="open"
      :title="label"
      :options="options"
      :picked="modelValue"
      @pick="emit('update:modelValue', $event as T)"
    />
  </span>
</template>

<style scoped>
.pick {
  display: block;
  min-width: 0;
}
.pick .el-button {
  width: 100%;
  max-width: 100%;
  min-height: var(--touch);
}
.pick :deep(.el-button > span) {
  width: 100%;
  justify-content: space-between;
  gap: 8px;
}
.name {
  min-width: 0;
  text-align: left;
  line-height: 1.25;
}
.pick svg {
  flex: none;
}
</style>
