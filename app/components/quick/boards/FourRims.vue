<script setup lang="ts">
import { quickWords } from '~~/shared/wording/viewWords'
import { tapped, type Contact, type Touch } from '~~/shared/stages/lineUp/form'

/** Two faces with the edge across them: which of the four rims does it touch? */
defineProps<{ id: string; result: unknown }>()
const { form, set } = useSumBoard()
const w = quickWords.line

const PATHS: Readonly<Record<Contact, string>> = {
  referenceFar: 'reference/far',
  referenceNear: 'reference/near',
  otherNear: 'other/near',
  otherFar: 'other/far',
}
const touchAt = (contact: Contact): Touch => {
  const said = form.at(PATHS[contact])
  return said === true ? 'touch' : said === false ? 'gap' : null
}
const contacts = computed(() => ({
  referenceFar: touchAt('referenceFar'),
  referenceNear: touchAt('referenceNear'),
  otherNear: touchAt('otherNear'),
  otherFar: touchAt('otherFar'),
}))
const tap = (contact: Contact) => {
  const next = tapped(contacts.value[contact])
  set(PATHS[contact], next === null ? null : next === 'touch')
}
/** A rim that stands off is drawn off by this much; no figure is known here. */
const SEEN = 3
const gap = (contact: Contact) => (contacts.value[contact] === 'gap' ? SEEN : 0)
const drawing = computed(() => ({
  edgeOn: 'driven' as const,
  edgeSide: 'outer' as const,
  contacts: contacts.value,
  gaps: { p1: gap('otherNear'), p2: gap('otherFar'), r1: gap('referenceFar'), r2: gap('referenceNear') },
  depths: { reference: 10, other: 10 },
  figures: null,
}))
</script>

<template>
  <div class="rims">
    <BeltLine
      :centre="620"
      :diameters="{ motor: 220, driven: 320 }"
      :drawing="drawing"
      :names="{ motor: w.other, driven: w.reference }"
      :locked="false"
      :note="w.tap"
      @tap="tap"
    />
  </div>
</template>

<style scoped>
.rims {
  max-width: 760px;
}
</style>
