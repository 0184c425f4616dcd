<script setup lang="ts">
import { shortFoot } from '~~/shared/wording/footPlaces'
import { softFootWords } from '~~/shared/wording/en'
import { diagonalOf } from '~~/core/feet/softFoot'
import type { FootedMachine } from '~~/core/register/footedMachine'
import type { Cure } from '~~/core/stages/feet/cure'
import type { FeetReading } from '~~/core/stages/feet/feetCheck'
import { figure, pack, UNIT_NAMES } from '~~/shared/wording/figures'

/** What to do about the feet as they were read, in sentences: which one foot, by how much, from which leaves, and why. */
const props = defineProps<{ reading: FeetReading; cure: Cure | null; machine: FootedMachine }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => softFootWords(telling.value.words).cure)
const d = (x: number, unit = true) => figure(x, 'displacement', session.units, { unit })
const shims = (list: readonly number[]) =>
  `${pack(list, session.units)} ${UNIT_NAMES[session.units].displacement}`
const steepest = (b: { slopeAlong: number; slopeAcross: number }) =>
  figure(Math.max(Math.abs(b.slopeAlong), Math.abs(b.slopeAcross)), 'slope', session.units, { unit: true })

const howMuch = (c: Cure) => {
  const rest = Math.abs(c.wanted - c.lift)
  return [
    w.value.sum(d(c.larger, false), d(c.smaller, false), d(c.larger - c.smaller)),
    ...(c.halved ? [w.value.half(d(c.wanted))] : []),
    ...(c.springs ? [w.value.spring] : []),
    ...(c.takenOut.length > 0 ? [w.value.stockOut(shims(c.takenOut))] : []),
    ...(c.putIn.length > 0 ? [w.value.stock(shims(c.putIn))] : []),
    ...(c.lift <= 1e-6
      ? [w.value.none]
      : rest > 1e-6 && rest <= props.reading.limit
        ? [w.value.left(d(rest))]
        : []),
  ].join(' ')
}
const because = (c: Cure) =>
  props.reading.felt.some((f) => f.name === c.foot) ? w.value.seen(c.foot) : w.value.rises(c.foot)
/** Bent feet whose gap is a wedge. */
const stepped = computed(() =>
  props.reading.felt.flatMap((f) =>
    f.steps && props.reading.result.bent.some((b) => b.foot === f.name) ? [{ foot: f, recipe: f.steps }] : [],
  ),
)
</script>

<template>
  <div v-if="cure" class="cure">
    <h3>{{ w.fill(cure.foot, d(cure.wanted)) }}</h3>
    <p>{{ howMuch(cure) }}</p>
    <p>
      {{ because(cure) }} <strong>{{ w.never(...diagonalOf(cure.foot).other) }}</strong>
    </p>
    <p>{{ w.then }}</p>
  </div>
  <p v-else-if="reading.result.pipeStrain">{{ w.pipe }}</p>
  <p v-else-if="reading.result.diagnosis === 'springy'">{{ w.springy }}</p>
  <p v-for="b in reading.result.bent" :key="b.foot">{{ w.bent(b.foot, steepest(b)) }}</p>
  <div v-for="s in stepped" :key="`${s.foot.pair}-${s.foot.side}`">
    <p>{{ w.steps(shortFoot(machine, s.foot, telling), w.edges[s.recipe.openEdge]) }}</p>
    <StepLeaves :recipe="s.recipe" :units="session.units" />
    <p class="muted">{{ s.recipe.diagonal ? w.diagonal : w.mismatch(d(s.recipe.mismatch)) }}</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 17px;
}
.cure p + p {
  margin-top: 8px;
}
</style>
