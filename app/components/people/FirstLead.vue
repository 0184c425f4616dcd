<script setup lang="ts">
import { peopleWords } from '~~/shared/wording/en'
import { newId } from '~/device/newId'
import SecretBox from './SecretBox.vue'

/** Nobody can sign in yet: whoever stands here becomes the first lead. */
const session = useSession()
const words = useWords()
const w = peopleWords(words).signIn
const { working, message, refused, send } = useSending()
const id = newId()
const name = ref('')
const secret = ref('')
const nameBox = useTemplateRef<{ focus: () => void }>('nameBox')
onMounted(() => nameBox.value?.focus())
const begin = () => send(() => session.post('/first', { id, name: name.value, secret: secret.value }))
</script>

<template>
  <form class="first" @submit.prevent="begin">
    <h1>{{ w.first }}</h1>
    <p>{{ w.firstNote }}</p>
    <label>
      <span>{{ w.name }}</span>
      <el-input ref="nameBox" v-model="name" maxlength="80" autocomplete="username" />
    </label>
    <p v-if="refused.name" class="fault" role="alert">{{ refused.name }}</p>
    <SecretBox v-model="secret" :label="w.yours" :fault="refused.secret" fresh />
    <p class="note">{{ w.yoursNote }}</p>
    <p v-if="message && !refused.name && !refused.secret" class="fault" role="alert">{{ message }}</p>
    <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
      w.firstMake
    }}</el-button>
  </form>
</template>

<style scoped>
.first {
  display: grid;
  gap: 14px;
}
h1 {
  font-size: 22px;
}
label > span {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.note {
  font-size: 14px;
  color: var(--muted);
}
.fault {
  color: var(--out);
}
</style>
