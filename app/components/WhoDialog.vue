<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'

/** Passes the tablet to another hand. */
const open = defineModel<boolean>({ required: true })
const session = useSession()
const words = useWords()
const w = shellWords(words)
const list = useTemplateRef('list')
useFirstFocus(open, () => list.value?.querySelector<HTMLElement>('[aria-pressed="true"]'))
const choose = (id: string) => {
  session.authorId = id
  open.value = false
}
</script>

<template>
  <el-dialog v-model="open" :title="w.whoIsWriting" width="min(380px, 94vw)" append-to-body>
    <ul ref="list">
      <li v-for="p in session.people" :key="p.id">
        <el-button class="person" :aria-pressed="p.id === session.authorId" @click="choose(p.id)">
          <span>{{ p.name }}</span>
          <span class="muted">{{ p.role }}</span>
        </el-button>
      </li>
    </ul>
  </el-dialog>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
  max-height: 60vh;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}
.person {
  width: 100%;
  min-height: var(--touch);
}
.person :deep(> span) {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
}
.person[aria-pressed='true'] {
  border-color: var(--ink);
  font-weight: 600;
}
</style>
