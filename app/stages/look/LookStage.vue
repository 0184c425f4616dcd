<script setup lang="ts">
import { lookWords } from '~~/shared/wording/en'
import { loadedAhead } from '../ahead'
import PlacesPanel from './PlacesPanel.vue'

const BasePanel = loadedAhead(() => import('./BasePanel.vue'))
const SheetPanel = loadedAhead(() => import('./SheetPanel.vue'))
const ShimsPanel = loadedAhead(() => import('./ShimsPanel.vue'))

/** The opened machine before anything comes out: its places, its shims, its base, and shims to be cut. */
const look = reactive(useLookForm())
provide(lookKey, look)
const words = useWords()
const w = lookWords(words)
const PANELS = { places: PlacesPanel, shims: ShimsPanel, base: BasePanel, sheet: SheetPanel }
const panel = computed(() => (look.form.panel === 'spigot' ? 'places' : look.form.panel))
</script>

<template>
  <component :is="PANELS[panel]">
    <template #tools>
      <ChoiceRow
        v-model="look.form.panel"
        class="panels"
        :label="w.view.panel"
        on-dye
        :options="
          (['places', 'shims', 'base', 'sheet'] as const).map((value) => ({
            value,
            name: w.view.panels[value],
          }))
        "
      />
    </template>
  </component>
</template>

<style scoped>
.panels {
  margin: 6px 0 12px;
}
</style>
