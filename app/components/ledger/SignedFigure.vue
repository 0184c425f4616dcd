<script setup lang="ts">
import type { JudgedValue } from '~~/core/judge/judge'
import { signWord } from '~~/shared/wording/directions'
import { figure } from '~~/shared/wording/figures'

/** A judged figure with its verdict before it and the word of its sign under it: neither stands alone. */
const props = defineProps<{
  quantity: Pick<JudgedValue, 'name' | 'kind' | 'low'>
  value: number | null
  verdict?: JudgedValue['verdict']
  onDye?: boolean
}>()
const session = useSession()
const telling = useTelling()
const shown = computed(() =>
  figure(props.value, props.quantity.kind, session.units, { sign: props.quantity.low !== 0 }),
)
const word = computed(() => signWord(props.quantity, props.value, telling.value))
</script>

<template>
  <span class="signed"
    ><span class="figure"><VerdictMark v-if="verdict" :mark="verdict" :on-dye="onDye" /> {{ shown }}</span
    ><span class="word">{{ word }}</span></span
  >
</template>

<style scoped>
.signed {
  display: inline-grid;
  justify-items: end;
  line-height: 1.2;
}
.figure {
  white-space: nowrap;
}
.figure svg {
  vertical-align: -2px;
}
.word {
  font: 400 13px/1.2 var(--text);
  opacity: 0.85;
  white-space: nowrap;
}
</style>
