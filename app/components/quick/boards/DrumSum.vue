<script setup lang="ts">
import { planeOf } from '~~/shared/stages/tram/drawing'
import { drumFollows, type DrumAnswered } from '~~/shared/quick/drumSum'
import { drumWords } from '~~/shared/wording/en'
import { figure } from '~~/shared/wording/figures'

/** A tram as read: each difference on the scale of its window, and the motor beside its drum where it is known. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => drumWords(telling.value.words))
const follows = computed(() =>
  props.result ? drumFollows(props.result as DrumAnswered, session.units) : null,
)
</script>

<template>
  <div v-if="follows" class="drum-sum">
    <WindowScale
      v-for="c in follows.checks"
      :key="c.dial + c.what"
      :name="`${w.register.dials[c.dial]}, ${w.register.whats[c.what]}`"
      :band="c.band"
      :now="c.value"
      :says="figure(c.value, 'displacement', session.units, { sign: c.value !== 0, unit: true })"
      :verdict="c.verdict"
      :units="session.units"
    />
    <template v-for="plane in ['v', 'h'] as const" :key="plane">
      <TramView
        v-if="planeOf(follows.line, plane)"
        :plane="plane"
        :now="planeOf(follows.line, plane)"
        :after="null"
        :feet="follows.feet"
        :foot-names="[]"
        :notes="[]"
      />
    </template>
  </div>
</template>

<style scoped>
.drum-sum {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 12px 26px;
  color: var(--scribe);
}
</style>
