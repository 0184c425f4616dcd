<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import IconKeyboard from '~icons/lucide/keyboard'
import IconMoon from '~icons/lucide/moon'

const session = useSession()
const words = useWords()
const w = shellWords(words)
const { mapOpen } = useKeyEvents()
</script>

<template>
  <div class="controls">
    <ChoiceRow
      :label="w.units"
      :model-value="session.units"
      :options="[
        { value: 'inch', name: w.unitNames.inch },
        { value: 'metric', name: w.unitNames.metric },
      ]"
      @update:model-value="session.switchUnits($event)"
    />
    <WhoIsWriting />
    <el-button
      link
      class="icon"
      :aria-pressed="session.bay === 'dim'"
      :aria-label="w.dimBay"
      :title="w.dimBay"
      @click="session.bay = session.bay === 'dim' ? 'bright' : 'dim'"
    >
      <IconMoon aria-hidden="true" />
    </el-button>
    <el-button link class="icon keys" :aria-label="w.keys" :title="w.keysHint" @click="mapOpen = true">
      <IconKeyboard aria-hidden="true" />
    </el-button>
  </div>
</template>

<style scoped>
.controls {
  display: flex;
  align-items: center;
  gap: 10px;
}
.icon {
  width: var(--touch);
  height: var(--touch);
  border: 1px solid transparent;
  background: none;
  border-radius: 4px;
  cursor: pointer;
  display: grid;
  place-items: center;
  color: var(--muted);
  font-size: 18px;
}
.icon:hover,
.icon[aria-pressed='true'] {
  border-color: var(--field-line);
  color: var(--ink);
}
@media (max-width: 640px) {
  .controls {
    flex: 1;
    gap: 6px;
    min-width: 0;
  }
  /* A phone has no keys to show. */
  .keys {
    display: none;
  }
}
</style>
