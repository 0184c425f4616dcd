<script setup lang="ts">
import { peopleWords } from '~~/shared/wording/en'
import SecretBox from './SecretBox.vue'

/** Changes one's own PIN; every other device asks for the new one. */
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const words = useWords()
const { menu, signIn } = peopleWords(words)
const { working, message, refused, send } = useSending()
const old = ref('')
const fresh = ref('')
const changed = ref(false)
const oldBox = useTemplateRef<{ focus: () => void }>('oldBox')
onMounted(() => oldBox.value?.focus())
const change = async () => {
  if (await send(() => session.post('/secret', { secret: old.value, chosen: fresh.value })))
    changed.value = true
}
</script>

<template>
  <div v-if="changed" class="own" role="status">
    <p>{{ menu.changed }}</p>
    <el-button class="quiet-button" @click="emit('done')">{{ menu.back }}</el-button>
  </div>
  <form v-else class="own" @submit.prevent="change">
    <SecretBox ref="oldBox" v-model="old" :label="menu.old" :fault="refused.secret" />
    <SecretBox v-model="fresh" :label="menu.new" :fault="refused.chosen" fresh />
    <p class="muted">{{ signIn.yoursNote }}</p>
    <p v-if="message && !refused.secret && !refused.chosen" class="fault" role="alert">{{ message }}</p>
    <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
      menu.save
    }}</el-button>
    <el-button link class="back" @click="emit('done')">{{ signIn.back }}</el-button>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  gap: 14px;
}
.fault {
  color: var(--out);
}
.muted {
  font-size: 14px;
}
.back {
  min-height: var(--touch);
  justify-self: start;
}
</style>
