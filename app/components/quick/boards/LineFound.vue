<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import type { Misalignment } from '~~/core/frame/planes'
import { UNJUDGED } from '~~/shared/quick/keepMeasurement'
import { toCore } from '~~/core/units/unitSystem'

/** The line a sum comes to, in both views: where the shaft stands, or where it is to be set. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const { rows, feetIn } = useSumBoard()
const words = useWords()
const drawings = drawingsWords(words)

type Told = { readonly [Q in 'offset' | 'slope']: { readonly v: number | null; readonly h: number | null } }
const told = computed((): Told | null => {
  const r = props.result as { coupling?: Told; combined?: Told | null; target?: Told } | null
  return r?.coupling ?? r?.combined ?? r?.target ?? null
})
const { whole: line, stale } = useLastWhole((): Misalignment | null => {
  const at = told.value
  if (!at) return null
  const plane = (of: 'offset' | 'slope', p: 'v' | 'h') =>
    at[of][p] === null ? 0 : toCore(at[of][p], of === 'offset' ? 'displacement' : 'slope', session.units)
  return {
    offset: { v: plane('offset', 'v'), h: plane('offset', 'h') },
    slope: { v: plane('slope', 'v'), h: plane('slope', 'h') },
  }
})
const feet = computed(() =>
  feetIn(rows('values').length > 0 && rows('feet').length === 0 ? 'values' : 'feet'),
)
</script>

<template>
  <OverlaidShafts
    v-if="line"
    :class="{ stale }"
    :feet="feet"
    :tolerance="UNJUDGED"
    :found="null"
    :left="line"
    :name="id === 'growth' ? drawings.coldTarget : drawings.now"
    gateless
  />
</template>

<style scoped>
.stale {
  opacity: 0.45;
}
</style>
