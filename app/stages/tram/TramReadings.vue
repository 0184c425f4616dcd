<script setup lang="ts">
import { drumWords } from '~~/shared/wording/en'
import type { TramCheck } from '~~/core/drum/drumTram'

/** The readings as they are, each against its window on the works' card. */
defineProps<{
  checks: readonly TramCheck[]
  unit: string
  figure: (mm: number) => string
  band: (low: number | null, high: number | null) => string
}>()
const telling = useTelling()
const w = computed(() => drumWords(telling.value.words))
</script>

<template>
  <FigureTable :head="[`${w.asRead}, ${unit}`, '', w.window]">
    <tr v-for="c in checks" :key="c.dial + c.what">
      <td>
        <VerdictMark :mark="c.verdict" />
        {{ w.register.dials[c.dial] }}, {{ w.register.whats[c.what] }}
      </td>
      <td class="figure">{{ figure(c.value) }}</td>
      <td class="figure">{{ band(c.low, c.high) }}</td>
    </tr>
  </FigureTable>
</template>
