<script setup lang="ts">
import { pagesWords, reasonsWords } from '~~/shared/wording/en'
import { namesFor } from '~~/core/register/drive'
import { JOB_REASONS, REASONS_ONLY_FOR } from '~~/core/stages/open/entries'
import type { MachineRecord } from '~~/shared/register/machine'
import type { OpeningTexts } from '~~/shared/stages/open/form'

/** Why a job is done, the speed on the nameplate, and for whom: as it is opened, and as it is corrected. */
defineProps<{
  drive: MachineRecord['drive']
  /** What is said of the speed that stands there. */
  note: string
  noteIsFault: boolean
}>()
const texts = defineModel<OpeningTexts>({ required: true })
defineEmits<{ enter: [] }>()
const session = useSession()
const words = useWords()
const w = pagesWords(words).startJob
const box = useTemplateRef<{ focus: () => void }>('box')
defineExpose({ focus: () => box.value?.focus() })
</script>

<template>
  <el-form-item :label="w.why">
    <el-select v-model="texts.reason" :aria-label="w.why">
      <el-option
        v-for="r in namesFor(JOB_REASONS, REASONS_ONLY_FOR, drive)"
        :key="r"
        :value="r"
        :label="reasonsWords(words)[r]"
      />
    </el-select>
  </el-form-item>
  <NumberBox
    ref="box"
    v-model="texts.speed"
    :label="w.speed"
    measure="plain"
    :units="session.units"
    :note="note"
    :note-is-fault="noteIsFault"
    required
    @enter="$emit('enter')"
  />
  <div class="for">
    <el-form-item :label="w.customer">
      <el-input v-model="texts.customer" :aria-label="w.customer" maxlength="120" />
    </el-form-item>
    <el-form-item :label="w.site">
      <el-input v-model="texts.site" :aria-label="w.site" maxlength="120" />
    </el-form-item>
  </div>
  <el-form-item :label="w.note">
    <el-input v-model="texts.note" :aria-label="w.note" type="textarea" :rows="2" maxlength="2000" />
  </el-form-item>
</template>

<style scoped>
.for {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: end;
  gap: 0 16px;
  margin-top: 14px;
}
@media (max-width: 480px) {
  .for {
    grid-template-columns: 1fr;
  }
}
</style>
