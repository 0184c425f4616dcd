<script setup lang="ts">
import { plansWords } from '~~/shared/wording/en'
import type { PickedLeaf } from '~~/shared/stages/plan/packs'
import { thickness } from '~~/shared/wording/figures'

/** What to take from the shelf for a plan, and what goes back. */
const props = defineProps<{ picked: readonly PickedLeaf[] }>()
const session = useSession()
const words = useWords()
const plans = plansWords(words)
const w = plans.packs
const listed = (way: 'take' | 'back') =>
  props.picked
    .filter((l) => l[way] > 0)
    .map((l) => {
      const leaves = w.take(l[way], thickness(l.thickness, session.units))
      return way === 'take' && l.peeled ? `${leaves} (${w.peeled})` : leaves
    })
    .join(', ')
</script>

<template>
  <div v-if="picked.length > 0">
    <h3>{{ w.pick }}</h3>
    <p v-if="listed('take')" class="figure">{{ listed('take') }}</p>
    <p v-if="listed('back')" class="muted">{{ w.back }}: {{ listed('back') }}</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 16px;
  margin-bottom: 6px;
}
</style>
