<script setup lang="ts">
import { lookWords } from '~~/shared/wording/en'
import { PINS } from '~~/core/stages/look/entries'

/** What was done with the locating pins. */
const look = useSharedLook()
const job = useJob()
const words = useWords()
const w = lookWords(words)
const log = () => {
  const { pins } = look.form
  if (pins === '') return
  const words = look.place.words.trim()
  if (job.log({ kind: 'pins-handled', payload: { did: pins, words } })) look.form.pins = ''
}
</script>

<template>
  <div class="line">
    <ChoiceRow
      v-model="look.form.pins"
      :label="w.view.pins"
      show-label
      on-dye
      :options="PINS.map((value) => ({ value, name: w.pins[value] }))"
    />
    <el-button class="quiet-button" :disabled="look.form.pins === ''" @click="log">{{
      w.view.logPins
    }}</el-button>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: end;
}
</style>
