<script setup lang="ts">
import { vibrationWords } from '~~/shared/wording/en'
import { machineNames } from '~~/shared/wording/machineNames'
import { vibrationReadWords } from '~~/shared/wording/vibration'

/** What was noted of vibration, and a dialog to note it before or after the work. */
defineProps<{ moment: 'before' | 'after' }>()
const job = useJob()
const telling = useTelling()
const w = computed(() => vibrationWords(telling.value.words))
const state = computed(() => job.shaken!)
const lines = computed(() =>
  vibrationReadWords(state.value.vibration, machineNames(state.value), telling.value),
)
const shown = ref(false)
const later = useLater(shown)
</script>

<template>
  <div class="vibration">
    <p v-for="line in lines" :key="line" class="muted">{{ line }}</p>
    <el-button v-if="!state.closing" link class="text-button" @click="shown = true">{{
      w.note[moment]
    }}</el-button>
    <LazyElDialog
      v-if="later"
      v-model="shown"
      :title="w.title[moment]"
      width="min(620px, 94vw)"
      append-to-body
      destroy-on-close
    >
      <LazyVibrationForm :moment="moment" @kept="shown = false" />
    </LazyElDialog>
  </div>
</template>

<style scoped>
.vibration p + p {
  margin-top: 4px;
}
</style>
