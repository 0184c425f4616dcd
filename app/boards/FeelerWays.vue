<script setup lang="ts">
import { roughInWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { Remark } from '~~/shared/forms/typed'
import type { RoughTexts } from '~~/shared/stages/roughIn/form'

/** How the hubs are felt: a stack measured or one blade tried, and at which hours the steps are taken. */
defineProps<{
  texts: Pick<RoughTexts, 'how' | 'blade' | 'four'>
  units: UnitSystem
  locked?: boolean
  bladeRemark?: Remark
}>()
const emit = defineEmits<{ how: [how: RoughTexts['how']]; blade: [text: string]; four: [four: boolean] }>()
const words = useWords()
const roughIn = roughInWords(words)
const v = roughIn.view
</script>

<template>
  <ChoiceRow
    :model-value="texts.how"
    :label="v.how"
    on-dye
    :disabled="locked"
    :options="[
      { value: 'measured', name: v.measured },
      { value: 'blade', name: v.blade },
    ]"
    @update:model-value="emit('how', $event)"
  />
  <div v-if="texts.how === 'blade'" class="blade">
    <NumberBox
      :model-value="texts.blade"
      :label="v.bladeThick"
      on-dye
      measure="displacement"
      :units="units"
      :disabled="locked"
      :note="bladeRemark?.text ?? ''"
      :note-is-fault="bladeRemark?.fault ?? false"
      @update:model-value="emit('blade', $event)"
    />
  </div>
  <ChoiceRow
    :model-value="texts.four ? 'four' : 'two'"
    :label="v.four"
    show-label
    on-dye
    :disabled="locked"
    :options="[
      { value: 'two', name: v.twoPlaces },
      { value: 'four', name: v.fourPlaces },
    ]"
    @update:model-value="emit('four', $event === 'four')"
  />
</template>

<style scoped>
.blade {
  width: 170px;
}
</style>
