<script setup lang="ts">
import { LARGEST_JOB_FILE } from '~~/shared/files/size'
import type { JobFileAnswer } from '~~/shared/api/answers'
import { jobFileWords } from '~~/shared/wording/en/jobFile'

/** A job out of its file: the server says what it would do, and does it when it is told to. */
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const w = jobFileWords(useWords())
const text = ref('')
const would = shallowRef<JobFileAnswer | null>(null)
const faults = shallowRef<readonly { readonly at: string; readonly message: string }[] | null>(null)
const said = ref('')
const working = ref(false)
const clear = () => {
  would.value = null
  faults.value = null
  said.value = ''
  text.value = ''
}
useOnShown(shown, clear)

const ask = async (write: boolean): Promise<JobFileAnswer | null> => {
  working.value = true
  try {
    return await askServer<JobFileAnswer>(`/api/files/job?write=${write ? 'yes' : 'no'}`, {
      method: 'POST',
      file: new Blob([text.value], { type: 'application/json' }),
      seconds: 45,
    })
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    would.value = null
    faults.value = (failure.answer.issues ?? [failure.answer]).map(({ message }) => ({ at: '', message }))
    return null
  } finally {
    working.value = false
  }
}
const look = async (chosen: string) => {
  clear()
  text.value = chosen
  if (chosen === '') {
    faults.value = [{ at: '', message: w.faults.tooLarge }]
    return
  }
  would.value = await ask(false)
  if (would.value) faults.value = []
}
const take = async () => {
  const answer = await ask(true)
  if (!answer) return
  clear()
  said.value = w.done
  emit('taken')
}
const wanted = computed(() =>
  would.value && would.value.is !== 'same' ? would.value.entries : (would.value?.photographs ?? 0),
)
const sentences = computed(() => {
  const a = would.value
  if (!a) return []
  const is = a.is === 'same' ? w.is.same(a.tag) : w.is[a.is](a.tag, a.entries)
  return [
    is,
    ...(a.is === 'new' ? [w.machine[a.machine](a.tag)] : []),
    ...(a.people.length > 0 ? [w.people(a.people)] : []),
    ...(a.photographs > 0 ? [w.photographs(a.photographs)] : []),
    ...(a.otherwise > 0 ? [w.otherwise(a.otherwise)] : []),
  ]
})
</script>

<template>
  <FileIntake
    v-model="shown"
    :title="w.title"
    :hint="w.hint"
    :choose="w.choose"
    accept=".json,application/json"
    width="min(640px, 96vw)"
    :faults="faults"
    :wanted="wanted"
    :take="w.take"
    :said="said"
    :working="working"
    :largest="LARGEST_JOB_FILE"
    @read="look"
    @take="take"
  >
    <ul v-if="would">
      <li v-for="s in sentences" :key="s">{{ s }}</li>
    </ul>
  </FileIntake>
</template>
