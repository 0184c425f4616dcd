<script setup lang="ts">
import type { LogEntry } from '~~/core/logbook/entry'
import { standingEntries } from '~~/core/logbook/standing'
import { openingBody, readSpeed, saysOtherwise, textsOfOpening } from '~~/shared/stages/open/form'
import { actionsWords, openingWords } from '~~/shared/wording/en'

/** The opening as it stands, to be put right: by an entry that takes its place and says why. */
const emit = defineEmits<{ logged: [] }>()
const job = useJob()
const words = useWords()
const w = openingWords(words).view
const a = actionsWords(words)

// A line's opening names the speed of its motor, whichever part is in view.
const was = standingEntries(job.logbook).find((e): e is LogEntry<'job-opened'> => e.kind === 'job-opened')!
const blank = () => ({ of: was.id, texts: textsOfOpening(was.payload), why: '' })
const { draft } = useDraft('correct-opening', blank)
// What was typed about an opening that somebody else has put right meanwhile is of no use.
if (draft.value.of !== was.id) draft.value = blank()
const texts = computed(() => draft.value.texts)
const read = computed(() => readSpeed(texts.value.speed, job.whole?.rpm ?? was.payload.rpm, words))
const ask = useAskOnce(() => (read.value.question ? [read.value.question] : []))
const changed = computed(() => saysOtherwise(texts.value, was.payload, read.value.rpm))
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(ref(true), () => box.value)

const log = () => {
  const { rpm } = read.value
  if (rpm === null || !changed.value || draft.value.why.trim() === '' || !ask.mayGo()) return
  if (job.log(openingBody(texts.value, rpm), { entry: was.id, reason: draft.value.why.trim() })) {
    draft.value = blank()
    emit('logged')
  }
}
</script>

<template>
  <el-form label-position="top" @submit.prevent="log">
    <OpeningFields
      ref="box"
      v-model="draft.texts"
      :drive="job.whole!.drive"
      :note="ask.shown.value.length ? '' : read.remark.text"
      :note-is-fault="read.remark.fault"
      @enter="log"
    />
    <el-form-item :label="w.wrong">
      <el-input v-model="draft.why" :aria-label="w.wrong" maxlength="400" />
    </el-form-item>
    <p v-if="ask.shown.value.length" class="asked" role="alert">{{ ask.shown.value[0] }}</p>
    <p v-else class="muted">{{ changed || read.rpm === null ? w.correctDetail : w.same }}</p>
    <p v-if="job.refusal" role="alert">{{ job.refusal }}</p>
    <el-button
      native-type="submit"
      class="next-button"
      :disabled="read.rpm === null || !changed || draft.why.trim() === ''"
      >{{ a.logCorrection }}</el-button
    >
  </el-form>
</template>

<style scoped>
.asked {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.asked,
.muted {
  margin-bottom: 12px;
}
</style>
