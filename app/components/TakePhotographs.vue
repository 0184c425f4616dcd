<script setup lang="ts">
import { lookWords } from '~~/shared/wording/en'
import type { UploadFile } from 'element-plus'
import IconCamera from '~icons/lucide/camera'
import IconTrash from '~icons/lucide/trash-2'
import { MOST_PHOTOGRAPHS } from '~~/shared/photographs/photographs'
import { forgetPhotographs, keepPicture } from '~/device/photographs'

/** Photographs of one place: taken or chosen, scaled down and kept on this device until their entry is sent. */
const props = defineProps<{ ids: readonly string[]; place: string }>()
const emit = defineEmits<{ 'update:ids': [ids: string[]] }>()
const job = useJob()
const words = useWords()
const w = lookWords(words)
const working = ref(0)
const fault = ref('')
// Several files come one after another, faster than the parent answers.
let ids = [...props.ids]
watch(
  () => props.ids,
  (now) => {
    ids = [...now]
  },
)
const add = async ({ raw }: UploadFile) => {
  if (!raw) return
  fault.value = ''
  if (ids.length + working.value >= MOST_PHOTOGRAPHS) {
    fault.value = w.photographs.tooMany(MOST_PHOTOGRAPHS)
    return
  }
  working.value++
  const kept = await keepPicture(job.id, raw)
  working.value--
  if ('fault' in kept) fault.value = w.photographs[kept.fault]
  else {
    ids = [...ids, kept.id]
    emit('update:ids', ids)
  }
}
const remove = (id: string) => {
  ids = ids.filter((i) => i !== id)
  emit('update:ids', ids)
  void forgetPhotographs([id]).catch(() => null)
}
</script>

<template>
  <div v-if="!job.practising" class="photographs">
    <div v-for="(id, i) in ids" :key="id" class="one">
      <JobPhotograph :id="id" :name="w.view.photograph(i + 1, place)" />
      <el-button class="remove" :aria-label="w.view.removePhotograph(i + 1)" @click="remove(id)">
        <IconTrash />
      </el-button>
    </div>
    <el-upload
      :auto-upload="false"
      :show-file-list="false"
      accept="image/*"
      multiple
      :on-change="add"
      class="add"
    >
      <!-- The upload is the button: its face is only a face. -->
      <span class="el-button face" :class="{ 'is-disabled': working > 0 }">
        <IconCamera aria-hidden="true" class="icon" />
        {{ working > 0 ? w.view.scaling : w.view.addPhotograph }}
      </span>
    </el-upload>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.photographs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.one {
  position: relative;
}
.remove {
  position: absolute;
  right: 0;
  bottom: 0;
  width: 44px;
  height: 44px;
  padding: 0;
  border-radius: 4px 0 4px 0;
}
.icon {
  margin-right: 8px;
}
.face {
  min-height: var(--touch);
}
.fault {
  flex-basis: 100%;
  color: var(--out-on-dye);
  font-size: 14px;
}
</style>
