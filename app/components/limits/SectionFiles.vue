<script setup lang="ts">
import { readSectionsFile, type ReadSection, type SectionsRead } from '~~/shared/sections/files'
import type { SectionRecord } from '~~/shared/sections/section'
import { recordWords, sectionWords } from '~~/shared/wording/viewWords'
import { newId } from '~/device/newId'

/** Belt sections out of a file. */
const props = defineProps<{ known: readonly SectionRecord[] }>()
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const w = sectionWords.files
const nameOf = ({ fields: { section, construction } }: ReadSection) =>
  `${section} ${construction ? recordWords.constructions[construction].toLowerCase() : ''}`.trim()
const { read, intake } = useFileTake<SectionsRead, ReadSection>({
  shown,
  words: w,
  read: (text) => readSectionsFile(text, props.known),
  wanted: ({ sections }) => sections.filter((s) => s.is !== 'same'),
  send: ({ fields, known }) =>
    known
      ? askServer(`/api/sections/${known.id}`, {
          method: 'PUT',
          body: { ...fields, version: known.version },
        })
      : askServer('/api/sections', { method: 'POST', body: { ...fields, id: newId() } }),
  name: nameOf,
  faults: ({ faults }) => faults,
  done: () => emit('taken'),
})
</script>

<template>
  <FileIntake v-model="shown" v-bind="intake" accept=".csv,text/csv" width="min(640px, 96vw)">
    <ul v-if="read && read.sections.length > 0">
      <li v-for="s in read.sections" :key="nameOf(s)">
        <strong>{{ nameOf(s) }}</strong> {{ w.is[s.is] }}
      </li>
    </ul>
  </FileIntake>
</template>
