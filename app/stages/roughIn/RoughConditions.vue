<script setup lang="ts">
import { roughInWords } from '~~/shared/wording/en'
import type { FeelerLimits } from '~~/core/register/hubs'
import type { RoughTexts } from '~~/shared/stages/roughIn/form'

/** What the feelers at the hubs rest on: the circle, the drag of the blade, a floating shaft, hubs that differ. */
const props = defineProps<{
  texts: RoughTexts
  faults: Readonly<Record<string, string>>
  notes: Readonly<Record<string, string>>
  limits: FeelerLimits
  stationary: string
  movable: string
  locked: boolean
}>()
const emit = defineEmits<{ change: [texts: Partial<RoughTexts>] }>()
const session = useSession()
const words = useWords()
const roughIn = roughInWords(words)
const v = roughIn.view
const hubsShown = ref(false)
const tape = (box: 'diameter' | 'stationaryHub' | 'movableHub') => ({
  modelValue: props.texts[box],
  measure: 'distance' as const,
  units: session.units,
  onDye: true,
  disabled: props.locked,
  note: props.faults[box] ?? props.notes[box] ?? '',
  noteIsFault: box in props.faults,
  'onUpdate:modelValue': (text: string) => emit('change', { [box]: text }),
})
</script>

<template>
  <div class="circle"><NumberBox v-bind="tape('diameter')" :label="v.diameter" /></div>
  <ChoiceRow
    :model-value="texts.drag"
    :label="v.drag"
    show-label
    on-dye
    :disabled="locked"
    :options="[
      { value: 'front', name: v.drags.front },
      { value: 'even', name: v.drags.even },
      { value: 'back', name: v.drags.back },
    ]"
    @update:model-value="emit('change', { drag: $event })"
  />
  <ChoiceRow
    v-if="limits.float > 0"
    :model-value="texts.pushed ? 'yes' : 'no'"
    :label="v.pushed"
    show-label
    on-dye
    :disabled="locked"
    :options="[
      { value: 'no', name: v.pushedNames.no },
      { value: 'yes', name: v.pushedNames.yes },
    ]"
    @update:model-value="emit('change', { pushed: $event === 'yes' })"
  />
  <template v-if="limits.radiusDifference === null">
    <el-button v-if="!hubsShown && !texts.stationaryHub" link class="text-button" @click="hubsShown = true">{{
      v.hubs
    }}</el-button>
    <div v-else class="hubs">
      <NumberBox v-bind="tape('stationaryHub')" :label="v.driven(stationary)" />
      <NumberBox v-bind="tape('movableHub')" :label="v.driven(movable)" />
    </div>
  </template>
</template>

<style scoped>
.circle {
  width: 170px;
}
.hubs {
  display: flex;
  gap: 12px;
  width: 260px;
}
</style>
