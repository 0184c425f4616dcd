<script setup lang="ts">
import { closingWords } from '~~/shared/wording/en'
import { GLASS, type CustomerSigned } from '~~/core/stages/close/glass'
import { signaturePath } from '~~/shared/drawing/signature'

/** Who signed for the customer, and their hand. */
defineProps<{ signed: CustomerSigned }>()
const words = useWords()
const closing = closingWords(words)
</script>

<template>
  <div class="hand">
    <svg
      v-if="signed.strokes.length > 0"
      :viewBox="`0 0 ${GLASS.width} ${GLASS.height}`"
      role="img"
      :aria-label="closing.customer.drawn"
    >
      <path :d="signaturePath(signed.strokes)" />
    </svg>
    <span>{{ closing.customer.signedBy(signed.name, signed.strokes.length > 0) }}</span>
  </div>
</template>

<style scoped>
.hand {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}
svg {
  width: 190px;
  height: 57px;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 9;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
