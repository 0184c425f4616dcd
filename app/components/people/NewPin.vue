<script setup lang="ts">
import type { PersonInFull } from '~~/shared/people/answers'
import { peopleWords } from '~~/shared/wording/en'
import { oncePin } from '~/people/oncePin'
import PinTold from './PinTold.vue'

/** A lead gives somebody a PIN that lets them in once: theirs was forgotten, or seen. */
const props = defineProps<{ person: PersonInFull | null }>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = peopleWords(words).admin
const { working, message, clear, send } = useSending()
const given = ref('')
useOnShown(shown, () => {
  clear()
  given.value = ''
})
const give = async () => {
  const { person } = props
  if (!person) return
  const secret = oncePin(person.role)
  if (!(await send(() => askServer(`/api/people/${person.id}/secret`, { method: 'POST', body: { secret } }))))
    return
  given.value = secret
  emit('saved')
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="person ? w.newSecretFor(person.name) : ''"
    width="min(440px, 94vw)"
    append-to-body
  >
    <PinTold v-if="given" :pin="given" @told="shown = false" />
    <div v-else class="pin">
      <p>{{ w.onceNote }}</p>
      <p v-if="message" class="fault" role="alert">{{ message }}</p>
      <el-button class="next-button" :loading="working" :disabled="working" @click="give">{{
        w.give
      }}</el-button>
    </div>
  </el-dialog>
</template>

<style scoped>
.pin {
  display: grid;
  gap: 12px;
}
.fault {
  color: var(--out);
}
</style>
