<script setup lang="ts">
import { targetsWords } from '~~/shared/wording/en'
import { MATERIALS } from '~~/core/growth/materials'

/** What a foot or a shaft is made of: a material of the table, or another whose expansion is typed. */
defineProps<{
  modelValue: string
  /** Names it where several stand on one board; the material alone where nothing is said. */
  label?: string
  disabled?: boolean
  fault?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [material: string] }>()
const words = useWords()
const options = [
  ...MATERIALS.map((m) => ({ value: m as string, name: targetsWords(words).materials[m] })),
  { value: 'own', name: targetsWords(words).ownMaterial },
]
</script>

<template>
  <div>
    <span>{{ targetsWords(words).view.material }}</span>
    <PickOne
      on-dye
      :model-value="modelValue"
      :label="label ?? targetsWords(words).view.material"
      :options="options"
      :disabled="disabled"
      @update:model-value="emit('update:modelValue', $event)"
    />
    <span v-if="fault" class="fault" role="alert">{{ fault }}</span>
  </div>
</template>

<style scoped>
div > span:first-child {
  display: block;
  color: var(--scribe-dim);
  font-size: 14px;
  margin-bottom: 5px;
}
.fault {
  color: var(--out-on-dye);
  font-size: 14px;
}
</style>
