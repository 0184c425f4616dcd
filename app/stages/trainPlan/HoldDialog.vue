<script setup lang="ts">
import { trainWords } from '~~/shared/wording/en'

/** Which machine of the line may move in this job, where it is not as the register says; and why. */
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const words = useWords()
const w = computed(() => trainWords(words).plan)
const state = computed(() => job.train!)
const machine = ref(state.value.machines[0]?.part.id ?? '')
const held = computed(() => state.value.machines.find((m) => m.part.id === machine.value)?.held.held ?? false)
const name = computed(
  () => state.value.machines.find((m) => m.part.id === machine.value)?.part.name.toLowerCase() ?? '',
)
const why = ref('')
const say = () => {
  if (why.value.trim() === '') return
  const payload = { machine: machine.value, may: held.value, why: why.value.trim() }
  if (job.log({ kind: 'machine-freed', payload })) shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.freeTitle" width="min(460px, 94vw)" append-to-body>
    <form class="hold" @submit.prevent="say">
      <el-radio-group v-model="machine" :aria-label="w.freeTitle">
        <el-radio v-for="m in state.machines" :key="m.part.id" :value="m.part.id">{{
          m.held.held ? w.mayMove(m.part.name.toLowerCase()) : w.staysHere(m.part.name.toLowerCase())
        }}</el-radio>
      </el-radio-group>
      <label
        ><span>{{ w.whyFree }}</span>
        <el-input v-model="why" :aria-label="w.whyFree" maxlength="500" autocomplete="off" />
      </label>
      <el-button native-type="submit" class="next-button" :disabled="why.trim() === ''">{{
        held ? w.mayMove(name) : w.staysHere(name)
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.hold {
  display: grid;
  gap: 14px;
}
.hold :deep(.el-radio-group) {
  display: grid;
  justify-items: start;
}
.hold :deep(.el-radio) {
  min-height: 44px;
}
label span {
  display: block;
  margin-bottom: 5px;
}
</style>
