<script setup lang="ts">
import { gearPrepareWords, lookWords } from '~~/shared/wording/en'
import { loadedAhead } from '../ahead'
import PlacesPanel from '../look/PlacesPanel.vue'

const LayersPanel = loadedAhead(() => import('./LayersPanel.vue'))

/** The opened gearset before anything comes out: its places, and the layers and pins to be marked. */
const look = reactive(useLookForm())
provide(lookKey, look)
const words = useWords()
const w = gearPrepareWords(words)
const panel = ref<'places' | 'layers'>('places')
const PANELS = { places: PlacesPanel, layers: LayersPanel }
const options = [
  { value: 'places' as const, name: w.look.places },
  { value: 'layers' as const, name: w.look.layers },
]
</script>

<template>
  <component :is="PANELS[panel]">
    <template #tools>
      <ChoiceRow
        v-model="panel"
        class="panels"
        :label="lookWords(words).view.panel"
        on-dye
        :options="options"
      />
    </template>
  </component>
</template>

<style scoped>
.panels {
  margin: 6px 0 12px;
}
</style>
