<script setup lang="ts">
import type { Misalignment } from '~~/core/frame/planes'
import { settleTolerance } from '~~/core/judge/tolerance'
import { toCore } from '~~/core/units/unitSystem'

/** The line a sum comes to, in both views: where the shaft stands, or where it is to be set. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const { mm, rows } = useSumBoard()
const { drawings } = useWords()

type Told = { readonly [Q in 'offset' | 'slope']: { readonly v: number | null; readonly h: number | null } }
const told = computed((): Told | null => {
  const r = props.result as { coupling?: Told; combined?: Told | null; target?: Told } | null
  return r?.coupling ?? r?.combined ?? r?.target ?? null
})
/** Drawn to the starter's gate at an ordinary speed: the sum itself may have none. */
const tolerance = settleTolerance({ form: 'speed-rule', mode: 'plane', grade: 'standard', source: '' }, 1800)
const line = computed((): Misalignment | null => {
  const at = told.value
  if (!at) return null
  const plane = (of: 'offset' | 'slope', p: 'v' | 'h') =>
    at[of][p] === null ? 0 : toCore(at[of][p], of === 'offset' ? 'displacement' : 'slope', session.units)
  return {
    offset: { v: plane('offset', 'v'), h: plane('offset', 'h') },
    slope: { v: plane('slope', 'v'), h: plane('slope', 'h') },
  }
})
const feet = computed(() => {
  const list = ['feet', 'values'].find((path) => rows(path).length > 0) ?? 'feet'
  const found = rows(list).flatMap((_, i) => {
    const x = mm(`${list}/${i}/x`, 'distance')
    return x === null || x <= 0 ? [] : [{ id: String(i), x }]
  })
  return found.length > 0 ? found : [{ id: '0', x: 300 }]
})
</script>

<template>
  <OverlaidShafts
    v-if="line"
    :feet="feet"
    :tolerance="tolerance"
    :found="null"
    :left="line"
    :name="id === 'growth' || id === 'hot-check' ? drawings.coldTarget : drawings.now"
    gateless
  />
</template>
