<script setup lang="ts">
import { dataSheetsWords } from '~~/shared/wording/en'
import type { OfferedMethod } from '~~/shared/methods/forms'

/** Data sheets to print, blank or with what is known, for those who write on paper first; of a method, or of a belt drive. */
const props = defineProps<{ method?: OfferedMethod; onDye?: boolean }>()
const job = useJob()
const session = useSession()
const words = useWords()
const w = dataSheetsWords(words)
const sheet = (paper: 'a4' | 'letter', filled: 'yes' | 'no') =>
  `/api/jobs/${job.id}/sheet.pdf?paper=${paper}&units=${session.units}&view=${job.viewFrom}&filled=${filled}${props.method ? `&method=${props.method}` : ''}${job.part ? `&part=${job.part}` : ''}`
</script>

<template>
  <p v-if="!job.practising" class="sheets" :class="{ dye: onDye }">
    <span>{{ w.title }}</span>
    <a :href="sheet('a4', 'no')" target="_blank" rel="noopener">{{ w.blankA4 }}</a>
    <a :href="sheet('letter', 'no')" target="_blank" rel="noopener">{{ w.blankLetter }}</a>
    <a :href="sheet('a4', 'yes')" target="_blank" rel="noopener">{{ w.filledA4 }}</a>
    <a :href="sheet('letter', 'yes')" target="_blank" rel="noopener">{{ w.filledLetter }}</a>
  </p>
</template>

<style scoped>
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
}
.sheets a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  color: var(--ink);
  text-decoration: underline;
}
.dye {
  margin-top: 14px;
  color: var(--scribe-dim);
}
.dye a {
  color: var(--scribe);
}
</style>
