<script setup lang="ts">
import { flangeWords, lookWords } from '~~/shared/wording/en'
import { loadedAhead } from '../ahead'
import PlacesPanel from '../look/PlacesPanel.vue'

const BoltShimsPanel = loadedAhead(() => import('./BoltShimsPanel.vue'))
const SheetPanel = loadedAhead(() => import('../look/SheetPanel.vue'))
const SpigotPanel = loadedAhead(() => import('./SpigotPanel.vue'))

/** The opened machine before anything comes out: its places, the shims under its bolts, its spigot, and shims to be cut. */
const look = reactive(useLookForm())
provide(lookKey, look)
const words = useWords()
const w = flangeWords(words)
const PANELS = { places: PlacesPanel, shims: BoltShimsPanel, spigot: SpigotPanel, sheet: SheetPanel }
const panel = computed(() => (look.form.panel === 'base' ? 'places' : look.form.panel))
const options = [
  { value: 'places' as const, name: w.panels.places },
  { value: 'shims' as const, name: w.panels.shims },
  { value: 'spigot' as const, name: w.panels.spigot },
  { value: 'sheet' as const, name: lookWords(words).view.panels.sheet },
]
</script>

<template>
  <component :is="PANELS[panel]">
    <template #tools>
      <ChoiceRow
        v-model="look.form.panel"
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
