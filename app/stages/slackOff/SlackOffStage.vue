<script setup lang="ts">
import { moveWords, weightWords } from '~~/shared/wording/baseMoves'
import { meaningOfSlack } from '~~/shared/wording/drive'
import { actionsWords, beltsWords, slackOffWords } from '~~/shared/wording/en'

/** The motor brought in on its own base until the belts lift off by hand. */
const job = useJob()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => slackOffWords(telling.value.words))
const state = computed(() => job.belt!)
const base = computed(() => state.value.machine.base)
const closed = computed(() => state.value.closing !== null)
const meaning = computed(() => meaningOfSlack(state.value, telling.value))
const weight = computed(() => weightWords(base.value, telling.value))
const steps = computed(() => [
  w.value.view.rules[0]!,
  moveWords(base.value, 'toward', null, telling.value),
  ...w.value.view.rules.slice(1),
])
const { draft: form, clear } = useDraft('slack-off', () => ({ words: '' }))
const log = (belts: 'loose' | 'off') => {
  if (!job.log({ kind: 'slacked-off', payload: { belts, words: form.value.words.trim() } })) return
  clear()
  goOn()
}
</script>

<template>
  <BoardFrame :title="w.view.title" :note="beltsWords(telling.words).bases[base.kind]">
    <BaseBoard :base="base" way="toward" :words="telling.words" />
    <StepList :name="w.view.steps" :steps="steps" />
    <SheetLinks on-dye />
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="weight && state.slack" class="muted">{{ weight }}</p>
    <p class="caution">{{ beltsWords(telling.words).fingers }}</p>
    <label v-if="!closed && !state.slack" class="remark">
      <span>{{ w.view.words }}</span>
      <el-input v-model="form.words" :aria-label="w.view.words" maxlength="2000" />
    </label>
    <template #next>
      <template v-if="closed || state.slack">
        <el-button v-if="!closed" link class="text-button" @click="log('off')">{{ w.view.again }}</el-button>
        <el-button class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
      </template>
      <template v-else>
        <PassOver stage="slack-off" :title="w.view.passOver" />
        <el-button class="quiet-button" @click="log('loose')">{{ w.logs.loose }}</el-button>
        <el-button class="next-button" @click="log('off')">{{ w.logs.off }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.remark span {
  display: block;
  margin-bottom: 5px;
}
</style>
