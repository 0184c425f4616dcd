<script setup lang="ts">
import IconChevron from '~icons/lucide/chevron-down'

/** The name that entries are signed with; two taps pass the tablet to another hand. */
const session = useSession()
const { shell: w } = useWords()
const open = ref(false)
const list = useTemplateRef('list')
useFirstFocus(open, () => list.value?.querySelector<HTMLElement>('[aria-pressed="true"]'))
const choose = (id: string) => {
  session.authorId = id
  open.value = false
}
</script>

<template>
  <el-button class="who" aria-haspopup="dialog" @click="open = true">
    <span class="visually-hidden">{{ w.whoIsWritingNow }}</span>
    <span class="name">{{ session.author?.name ?? w.whoIsWriting }}</span>
    <IconChevron aria-hidden="true" />
  </el-button>
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
.who {
  width: 196px;
  min-height: var(--touch);
  padding: 0 12px;
}
.who :deep(> span) {
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-align: left;
  text-overflow: ellipsis;
}
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
@media (max-width: 760px) {
  .who {
    width: 150px;
  }
}
@media (max-width: 640px) {
  .who {
    flex: 1;
    width: auto;
    min-width: 0;
  }
}
</style>
