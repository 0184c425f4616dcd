<script setup lang="ts">
import type { SavedView } from '~~/shared/search/search'
import { logbookSearchWords } from '~~/shared/wording/en/logbookSearch'
import { newId } from '~/device/newId'

/** Searches that this person keeps under a name, and a way to keep the one in view. */
const props = defineProps<{ address: string; nothing: boolean }>()
const emit = defineEmits<{ show: [address: string] }>()
const session = useSession()
const w = logbookSearchWords(useWords())
const kept = shallowRef<readonly SavedView[]>([])
const naming = ref(false)
const name = ref('')
const fault = ref('')
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(naming, () => box.value)

const ask = async (what: () => Promise<unknown>) => {
  fault.value = ''
  try {
    await what()
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    fault.value = failure.message
  }
}
const fetchAll = () =>
  ask(async () => {
    if (session.authorId)
      kept.value = await askServer<readonly SavedView[]>(`/api/logbook/views?person=${session.authorId}`)
  })
watch(
  () => session.authorId,
  () => void fetchAll(),
  { immediate: true },
)
const keep = () =>
  ask(async () => {
    if (name.value.trim() === '') return
    const body = { id: newId(), person: session.authorId, name: name.value.trim(), query: props.address }
    await askServer('/api/logbook/views', { method: 'POST', body })
    naming.value = false
    name.value = ''
    await fetchAll()
  })
const drop = (view: SavedView) =>
  ask(async () => {
    await askServer(`/api/logbook/views/${view.id}/drop`, { method: 'POST', body: { by: session.authorId } })
    await fetchAll()
  })
</script>

<template>
  <div v-if="kept.length || !nothing" class="kept">
    <span v-if="kept.length" class="muted">{{ w.views }}</span>
    <span v-for="v in kept" :key="v.id" class="one">
      <el-button
        class="quiet-button"
        :aria-label="w.open(v.name)"
        :aria-pressed="v.query === address"
        @click="emit('show', v.query)"
        >{{ v.name }}</el-button
      >
      <el-button link class="text-button" :aria-label="w.drop(v.name)" @click="drop(v)">{{
        w.dropSign
      }}</el-button>
    </span>
    <form v-if="naming" class="naming" @submit.prevent="keep">
      <el-input ref="box" v-model="name" maxlength="60" :aria-label="w.name" :placeholder="w.name" />
      <el-button native-type="submit" class="quiet-button" :disabled="name.trim() === ''">{{
        w.keepIt
      }}</el-button>
    </form>
    <el-button v-else-if="!nothing" link class="text-button" @click="naming = true">{{ w.keep }}</el-button>
    <slot v-if="!nothing" />
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.kept,
.naming,
.one {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
.kept {
  margin-bottom: 14px;
}
.one {
  gap: 0;
}
.naming :deep(.el-input) {
  width: 220px;
}
.fault {
  color: var(--out);
}
</style>
