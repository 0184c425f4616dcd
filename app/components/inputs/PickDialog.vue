<script setup lang="ts">
/** Several things to choose from, each a button; pressing one takes it. */
defineProps<{
  title: string
  options: readonly { readonly value: string; readonly name: string }[]
  picked: string
}>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ pick: [value: string] }>()
const list = useTemplateRef<HTMLElement>('list')
const inHand = () =>
  list.value?.querySelector<HTMLElement>('[aria-pressed="true"]') ??
  list.value?.querySelector<HTMLElement>('button')
useFirstFocus(shown, inHand)
const pick = (value: string) => {
  emit('pick', value)
  shown.value = false
}
/** Arrows walk the buttons in the order they are read. */
const walk = (by: 1 | -1) => {
  const all = [...(list.value?.querySelectorAll<HTMLElement>('button') ?? [])]
  const at = all.findIndex((b) => b === document.activeElement)
  all[(at + by + all.length) % all.length]?.focus()
}
</script>

<template>
  <el-dialog v-model="shown" :title="title" width="min(520px, 96vw)" append-to-body destroy-on-close>
    <div ref="list" class="options" @keydown.down.right.prevent="walk(1)" @keydown.up.left.prevent="walk(-1)">
      <el-button
        v-for="o in options"
        :key="o.value"
        class="quiet-button"
        :aria-pressed="o.value === picked"
        @click="pick(o.value)"
        >{{ o.name }}</el-button
      >
    </div>
  </el-dialog>
</template>

<style scoped>
.options {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(210px, 100%), 1fr));
  gap: 10px;
}
.options .el-button {
  margin: 0;
  min-height: var(--touch);
  height: auto;
  justify-content: flex-start;
  white-space: normal;
  text-align: left;
}
.options [aria-pressed='true'] {
  border-color: var(--ink);
  border-width: 2px;
  font-weight: 600;
}
</style>
