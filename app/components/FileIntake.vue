<script setup lang="ts">
import type { UploadFile } from 'element-plus'

/** Records out of a file: what each would do and what is wrong, by its place, before any of it is taken over. */
const props = defineProps<{
  title: string
  hint: string
  choose: string
  accept: string
  width: string
  /** Null until a file was read. */
  faults: readonly { readonly at: string; readonly message: string }[] | null
  /** How many would be taken over, and what the button says. */
  wanted: number
  take: string
  said: string
  working: boolean
  /** Bytes above which somebody chose another file. */
  largest?: number
  /** Several files may be chosen at once. */
  several?: boolean
}>()
const emit = defineEmits<{ read: [text: string, all: readonly string[]]; take: [] }>()
const shown = defineModel<boolean>({ required: true })
/** Larger than any register in text. */
const LARGEST = 4_000_000
const MOST_SHOWN = 40
const textOf = async (file: Blob) => (file.size > (props.largest ?? LARGEST) ? '' : await file.text())
const files: Blob[] = []
/** Files chosen together are told of one after another, and read together. */
const chosen = async ({ raw }: UploadFile) => {
  if (!raw) return
  files.push(raw)
  await nextTick()
  const [first, ...more] = files.splice(0)
  if (first) emit('read', await textOf(first), await Promise.all([first, ...more].map(textOf)))
}
const told = computed(() => (props.faults ?? []).slice(0, MOST_SHOWN))
</script>

<template>
  <el-dialog v-model="shown" :title="title" :width="width" append-to-body destroy-on-close>
    <p>{{ hint }}</p>
    <el-upload
      :auto-upload="false"
      :show-file-list="false"
      :accept="accept"
      :multiple="several"
      :on-change="chosen"
    >
      <span class="el-button quiet-button">{{ choose }}</span>
    </el-upload>
    <slot name="beside" />
    <p v-if="said" role="status">{{ said }}</p>
    <template v-if="faults">
      <slot name="summary" />
      <ul v-if="told.length > 0" class="faults" role="alert">
        <li v-for="(f, i) in told" :key="i">
          <span class="figure">{{ f.at }}</span> {{ f.message }}
        </li>
      </ul>
      <slot />
      <el-button
        class="next-button"
        :disabled="wanted === 0 || working"
        :loading="working"
        @click="emit('take')"
        >{{ take }}</el-button
      >
    </template>
  </el-dialog>
</template>

<style scoped>
p,
ul {
  margin: 10px 0;
}
.faults,
:slotted(ul) {
  margin: 10px 0;
  padding-left: 20px;
  max-height: 240px;
  overflow: auto;
}
.faults {
  border-left: 3px solid var(--out);
  padding-left: 16px;
  list-style: none;
}
.faults .figure {
  color: var(--muted);
  margin-right: 8px;
}
</style>
