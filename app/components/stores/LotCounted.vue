<script setup lang="ts">
import dayjs from 'dayjs'
import type { LotAnswer } from '~~/shared/api/answers'
import { storeWords } from '~~/shared/wording/viewWords'

/** Who counted a lot last and when, how that was off what should have lain there, and that it must be counted again. */
const props = defineProps<{ lot: Pick<LotAnswer, 'counted' | 'now' | 'lastCount'> }>()
const said = computed(() => {
  const { lastCount, counted } = props.lot
  return lastCount
    ? storeWords.counted(lastCount.counted, lastCount.by, dayjs(lastCount.at).format('D MMM'))
    : storeWords.neverCounted(counted)
})
const off = computed(() =>
  props.lot.lastCount ? props.lot.lastCount.counted - props.lot.lastCount.expected : 0,
)
</script>

<template>
  <span class="counted">
    {{ said }}
    <span v-if="off" class="muted"><br />{{ storeWords.missing(off) }}</span>
    <span v-if="lot.now < 0"><br />{{ storeWords.less }}</span>
  </span>
</template>

<style scoped>
.counted {
  font-size: 13px;
}
</style>
