<script setup lang="ts">
import type { JudgedValue } from '~~/core/judge/judge'
import { signWord } from '~~/shared/wording/directions'
import { figure } from '~~/shared/wording/figures'

/** A judged figure with the word of its sign under it: a sign never stands alone. */
const props = defineProps<{ quantity: JudgedValue; value: number | null }>()
const session = useSession()
const shown = computed(() =>
  figure(props.value, props.quantity.kind, session.units, { sign: props.quantity.low !== 0 }),
)
const word = computed(() => signWord(props.quantity, props.value, session.units))
</script>

<template>
  <span class="signed"
    ><span class="figure">{{ shown }}</span
    ><span class="word">{{ word }}</span></span
  >
</template>

<style scoped>
.signed {
  display: inline-grid;
  justify-items: end;
  line-height: 1.2;
}
.word {
  font: 400 13px/1.2 var(--text);
  opacity: 0.85;
  white-space: nowrap;
}
</style>
