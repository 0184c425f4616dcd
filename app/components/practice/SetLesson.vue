<script setup lang="ts">
import dayjs from 'dayjs'
import { LESSONS, type LessonId } from '~~/core/practice/lessons'
import type { PracticeTask } from '~~/shared/practice/result'
import { practiceWords } from '~~/shared/wording/en/practice'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { newId } from '~/device/newId'

/** A lead sets a lesson with a date, and takes it back. */
defineProps<{ tasks: readonly PracticeTask[] }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const w = practiceWords(useWords())
const { lessonNames } = practiceBenchWords(useWords())
const lesson = ref<LessonId>('foot-that-rocks')
const until = ref(dayjs().add(7, 'day').format('YYYY-MM-DD'))
const note = ref('')
const refusal = ref('')
const send = async (path: string, method: 'POST' | 'PUT', body: object) => {
  refusal.value = ''
  try {
    await askServer(path, { method, body })
    note.value = ''
    emit('changed')
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    refusal.value = failure.message
  }
}
const set = () =>
  send('/api/practice/tasks', 'POST', {
    id: newId(),
    by: session.authorId,
    lesson: lesson.value,
    until: until.value,
    note: note.value,
  })
const drop = (id: string) => send(`/api/practice/tasks/${id}`, 'PUT', { by: session.authorId })
</script>

<template>
  <section class="set">
    <h2>{{ w.set.title }}</h2>
    <el-form inline @submit.prevent="set">
      <el-form-item :label="w.set.lesson">
        <el-select v-model="lesson" :aria-label="w.set.lesson" class="lesson">
          <el-option v-for="l in LESSONS" :key="l.id" :value="l.id" :label="lessonNames[l.id]" />
        </el-select>
      </el-form-item>
      <el-form-item :label="w.set.day">
        <PickDay v-model="until" :label="w.set.day" />
      </el-form-item>
      <el-form-item :label="w.set.note">
        <el-input v-model="note" :aria-label="w.set.note" maxlength="200" />
      </el-form-item>
      <el-button native-type="submit" class="quiet-button">{{ w.set.save }}</el-button>
    </el-form>
    <p v-if="refusal" role="alert">{{ refusal }}</p>
    <ul v-if="tasks.length">
      <li v-for="t in tasks" :key="t.id">
        {{ lessonNames[t.lesson] }} · {{ w.set.until(dayjs(t.until).format('D MMM YYYY')) }}
        <el-button link class="text-button" @click="drop(t.id)">{{ w.set.drop }}</el-button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.set {
  margin-top: 28px;
}
.lesson {
  width: 230px;
}
ul {
  list-style: none;
  padding: 0;
}
</style>
