<script setup lang="ts" generic="P extends string">
import IconFine from '~icons/lucide/check'
import IconRight from '~icons/lucide/plus'
import IconReport from '~icons/lucide/flag'
import IconUnseen from '~icons/lucide/circle-dashed'
import type { Found } from '~~/core/stages/look/entries'

/** Places to look at, each with what was found there; up and down walk them. */
const props = defineProps<{
  label: string
  places: readonly {
    readonly place: P
    readonly name: string
    readonly found: Found | null
    readonly state: string
  }[]
}>()
const chosen = defineModel<P>({ required: true })
const ICONS = { fine: IconFine, 'put-right': IconRight, 'to-report': IconReport }
const list = useTemplateRef<HTMLElement>('list')
const walk = (by: 1 | -1) => {
  const n = props.places.length
  const at = props.places.findIndex((p) => p.place === chosen.value)
  const next = props.places[(at + by + n) % n]
  if (!next) return
  chosen.value = next.place
  void nextTick(() => list.value?.querySelector<HTMLElement>('[aria-pressed="true"]')?.focus())
}
</script>

<template>
  <div
    ref="list"
    class="list"
    role="group"
    :aria-label="label"
    @keydown.down.prevent="walk(1)"
    @keydown.up.prevent="walk(-1)"
  >
    <el-button
      v-for="p in places"
      :key="p.place"
      class="place"
      :class="{ chosen: p.place === chosen }"
      :aria-pressed="p.place === chosen"
      @click="chosen = p.place"
    >
      <component :is="p.found ? ICONS[p.found] : IconUnseen" class="icon" />
      <span class="name">{{ p.name }}</span>
      <span class="state">{{ p.state }}</span>
    </el-button>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 4px 8px;
  align-content: start;
}
.place {
  min-height: var(--touch);
  height: auto;
  margin: 0;
  padding: 2px 10px;
  border: 1px solid var(--dye-line);
  background: transparent;
  color: var(--scribe);
  justify-content: flex-start;
  --el-button-hover-bg-color: var(--dye-deep);
  --el-button-hover-text-color: #fff;
  --el-button-hover-border-color: var(--scribe-dim);
  --el-button-active-bg-color: var(--dye-deep);
  --el-button-active-text-color: #fff;
}
.place.chosen {
  border: 2px solid var(--brass-on-dye);
  background: var(--dye-deep);
}
.place :deep(> span) {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr);
  gap: 0 8px;
  width: 100%;
  text-align: left;
  white-space: normal;
  line-height: 1.2;
}
.icon {
  grid-row: 1 / 3;
  align-self: center;
}
.state {
  font-size: 13px;
  color: var(--scribe-dim);
}
</style>
