<script setup lang="ts">
import { peopleWords } from '~~/shared/wording/en'
import SecretBox from './SecretBox.vue'

/** Somebody shows their PIN and writes from now on; who was given one chooses their own. */
const props = defineProps<{
  /** Who it is, where that has been tapped. */
  name?: string
}>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const words = useWords()
const w = peopleWords(words).signIn
const { working, message, refused, clear, send } = useSending()
const typedName = ref('')
const secret = ref('')
const chosen = ref('')
const chooses = ref(false)
const nameBox = useTemplateRef<{ focus: () => void }>('nameBox')
const secretBox = useTemplateRef<{ focus: () => void }>('secretBox')
const chosenBox = useTemplateRef<{ focus: () => void }>('chosenBox')
const focus = () => (props.name ? secretBox.value : nameBox.value)?.focus()
defineExpose({ focus })
onMounted(() => void nextTick(focus))
watch(
  () => props.name,
  () => {
    secret.value = ''
    chosen.value = ''
    chooses.value = false
    clear()
    void nextTick(focus)
  },
)
const who = computed(() => props.name ?? typedName.value.trim())
const enter = async () => {
  if (who.value === '' || secret.value === '') return focus()
  const body = {
    name: who.value,
    secret: secret.value,
    ...(chooses.value ? { chosen: chosen.value } : {}),
  }
  if (await send(() => session.post('', body))) {
    secret.value = ''
    chosen.value = ''
    emit('done')
    return
  }
  if (refused.value.chosen) {
    // It is asked for the first time: no fault yet.
    if (!chooses.value) clear()
    chooses.value = true
    await nextTick()
    chosenBox.value?.focus()
  } else {
    secret.value = ''
    secretBox.value?.focus()
  }
}
</script>

<template>
  <form class="sign-in" @submit.prevent="enter">
    <label v-if="!name">
      <span>{{ w.name }}</span>
      <el-input ref="nameBox" v-model="typedName" maxlength="80" autocomplete="username" />
    </label>
    <SecretBox ref="secretBox" v-model="secret" :label="name ? w.secretOf(name) : w.secret" />
    <template v-if="chooses">
      <p class="note">{{ w.chosenNote }}</p>
      <SecretBox ref="chosenBox" v-model="chosen" :label="w.chosen" :fault="refused.chosen" fresh />
    </template>
    <p v-if="message && !refused.chosen" class="fault" role="alert">{{ message }}</p>
    <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
      w.enter
    }}</el-button>
  </form>
</template>

<style scoped>
.sign-in {
  display: grid;
  gap: 14px;
}
label > span {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
label :deep(.el-input__wrapper) {
  min-height: var(--touch);
}
.note {
  font-size: 14px;
  color: var(--muted);
}
.fault {
  color: var(--out);
}
</style>
