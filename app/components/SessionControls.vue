<script setup lang="ts">
const session = useSession()
const { mapOpen } = useKeyEvents()
</script>

<template>
  <div class="controls">
    <ChoiceRow
      label="Units"
      :model-value="session.units"
      :options="[
        { value: 'inch', name: 'mil' },
        { value: 'metric', name: 'mm' },
      ]"
      @update:model-value="session.switchUnits($event)"
    />
    <el-select
      v-model="session.authorId"
      aria-label="Who is writing"
      class="who"
      placeholder="Who is writing"
    >
      <el-option v-for="p in session.people" :key="p.id" :value="p.id" :label="p.name" />
    </el-select>
    <button
      type="button"
      class="icon"
      :aria-pressed="session.bay === 'dim'"
      aria-label="Dim bay"
      title="Dim bay"
      @click="session.bay = session.bay === 'dim' ? 'bright' : 'dim'"
    >
      <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
        <path
          d="M4 17h12M10 17V9m-5 0a5 5 0 0 1 10 0z"
          fill="none"
          stroke="currentColor"
          stroke-width="1.6"
        />
      </svg>
    </button>
    <button type="button" class="icon figure" aria-label="Keys" title="Keys (?)" @click="mapOpen = true">
      ?
    </button>
  </div>
</template>

<style scoped>
.controls {
  display: flex;
  align-items: center;
  gap: 10px;
}
.who {
  width: 196px;
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
@media (max-width: 900px) {
  .who {
    width: 150px;
  }
}
</style>
