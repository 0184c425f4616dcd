<script setup lang="ts">
import { measuringWords } from '~~/shared/wording/en'
/** What may be told of a set of dials beside its figures. */
const props = defineProps<{
  reading: ReturnType<typeof useReadingForm>
  playToFind: boolean
  tellsAngles: boolean
}>()
const { form } = props.reading
const telling = useTelling()
const w = computed(() => measuringWords(telling.value.words))
</script>

<template>
  <div class="asides">
    <el-checkbox v-if="playToFind" v-model="form.turnedBack">{{ w.play.turnBack }}</el-checkbox>
    <el-checkbox v-if="tellsAngles" v-model="form.ownAngles">{{ w.view.ownAngles }}</el-checkbox>
  </div>
</template>

<style scoped>
.asides {
  display: flex;
  flex-wrap: wrap;
  gap: 0 24px;
  --el-checkbox-text-color: var(--scribe);
  --el-checkbox-checked-text-color: #fff;
}
.asides .el-checkbox {
  min-height: var(--touch);
}
</style>
