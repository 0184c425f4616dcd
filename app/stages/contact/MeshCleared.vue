<script setup lang="ts">
import { LIGHT_LOADS, type LightLoad } from '~~/core/stages/contact/entries'
import { clearPayload } from '~~/shared/stages/contact/form'
import { gearWords } from '~~/shared/wording/en'

/** Before the teeth are turned: fingers out, who turns, how the light load is made. Confirming it is an entry. */
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const telling = useTelling()
const w = computed(() => gearWords(telling.value.words))
const v = computed(() => w.value.view)
const { draft: form } = useDraft('mesh', () => ({
  load: 'helper-drags' as LightLoad,
  helper: '',
  words: '',
}))
const read = computed(() => clearPayload(form.value, telling.value))
const asked = ref(false)
const confirm = () => {
  const { payload } = read.value
  asked.value = payload === null
  if (!payload || !job.log({ kind: 'mesh-cleared', payload })) return
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="v.clearTitle" width="min(520px, 94vw)" append-to-body destroy-on-close>
    <form class="question" @submit.prevent="confirm">
      <p class="caution">{{ w.caution }}</p>
      <p>{{ w.cautionLoad }}</p>
      <div>
        <span>{{ v.howLoaded }}</span>
        <PickOne
          :label="v.howLoaded"
          :model-value="form.load"
          :options="LIGHT_LOADS.map((value) => ({ value, name: w.loads[value] }))"
          @update:model-value="form.load = $event as LightLoad"
        />
      </div>
      <label>
        <span>{{ v.helper }}</span>
        <el-input v-model="form.helper" :aria-label="v.helper" maxlength="60" />
      </label>
      <label>
        <span>{{ v.words }}</span>
        <el-input v-model="form.words" :aria-label="v.words" maxlength="2000" />
      </label>
      <p v-if="asked && read.fault" class="fault" role="alert">{{ read.fault }}</p>
      <el-button native-type="submit" class="next-button">{{ v.clear }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.fault {
  color: var(--out);
}
</style>
