<script setup lang="ts">
import type { TramCheck } from '~~/core/drum/drumTram'
import { windowWords } from '~~/shared/wording/drum'
import { drumWords } from '~~/shared/wording/en'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'

/** The readings as they are, each against its window on the works' card. */
defineProps<{ checks: readonly TramCheck[] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => drumWords(telling.value.words))
</script>

<template>
  <FigureTable :head="[`${w.asRead}, ${UNIT_NAMES[session.units].displacement}`, '', w.window]">
    <tr v-for="c in checks" :key="c.dial + c.what">
      <td>
        <VerdictMark :mark="c.verdict" />
        {{ w.register.dials[c.dial] }}, {{ w.register.whats[c.what] }}
      </td>
      <td class="figure">{{ figure(c.value, 'displacement', session.units, { sign: c.value !== 0 }) }}</td>
      <td class="figure">{{ windowWords([c.low, c.high], telling) }}</td>
    </tr>
  </FigureTable>
</template>
