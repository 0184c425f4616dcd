<script setup lang="ts">
import { plansWords } from '~~/shared/wording/en'
import { pairKey } from '~~/core/plan/pairNames'
import type { BoltRoom } from '~~/shared/stages/plan/room'
import { hourOf } from '~~/shared/wording/directions'
import { figure } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'
import { pairName, type Telling } from '~~/shared/wording/telling'

/** Room in the bolt holes, a gauge a foot pair: where the bolt stands now, and where the plan brings it. Millimetres. */
const props = defineProps<{ feet: readonly BoltRoom[]; telling: Telling }>()
const w = computed(() => plansWords(props.telling.words).room)
const W = 180
const gauges = computed(() =>
  props.feet.map((f) => {
    // Drawn from 9 to 3 as the observer sees it.
    const turned = hourOf(1, props.telling) === '9'
    const drawn = (place: number) => (turned ? 1 - place : place) * W
    const d = (x: number) => figure(Math.max(0, x), 'displacement', props.telling.units)
    return {
      key: pairKey(f.id, f.machine),
      name: capital(pairName(props.telling, f)),
      from: drawn(f.from),
      to: drawn(f.to),
      over: f.toward3 < -1e-9 || f.toward9 < -1e-9,
      words: f.locked ? w.value.locked : w.value.left(d(f.toward3), d(f.toward9)),
    }
  }),
)
</script>

<template>
  <dl class="room" :class="{ many: gauges.length > 2 }" :aria-label="w.title">
    <div v-for="g in gauges" :key="g.key">
      <dt>{{ g.name }}</dt>
      <dd>
        <svg :viewBox="`-8 0 ${W + 16} 18`" aria-hidden="true">
          <rect x="0.5" y="4" :width="W - 1" height="10" rx="5" fill="none" stroke="#8F9AD6" />
          <path
            v-if="g.from !== g.to"
            :d="`M${g.from} 9H${g.to}`"
            :stroke="g.over ? '#FF8FA3' : '#E0B04A'"
            stroke-width="3"
          />
          <circle :cx="g.from" cy="9" r="3.5" fill="#FFFFFF" />
          <circle
            :cx="g.to"
            cy="9"
            r="6"
            fill="none"
            :stroke="g.over ? '#FF8FA3' : '#E0B04A'"
            stroke-width="2"
            stroke-dasharray="3 2"
          />
        </svg>
        <span>{{ g.words }}</span>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.room {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  margin: 0;
}
.room > div {
  display: flex;
  align-items: center;
  gap: 10px;
  flex: 1 1 300px;
}
dt {
  color: var(--scribe-dim);
  font-size: 14px;
  min-width: 70px;
}
dd {
  display: flex;
  align-items: center;
  gap: 10px;
  margin: 0;
  flex: 1;
  min-width: 0;
}
svg {
  width: 120px;
  flex: none;
}
/* Two machines: their longer names need the room. */
.many svg {
  width: 76px;
}
dd span {
  font-size: 13px;
  color: var(--scribe);
}
</style>
