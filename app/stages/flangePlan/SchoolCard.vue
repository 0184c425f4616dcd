<script setup lang="ts">
import { flangeWords, verdictsWords } from '~~/shared/wording/en'
import type { FlangeBolt } from '~~/core/flange/flangeShims'
import type { SchoolPlan } from '~~/core/stages/flangePlan/plans'
import { figure } from '~~/shared/wording/figures'
import { rockWords } from '~~/shared/wording/flange'

/** One school of shimming beside the other: its shims round the clock as bars, and the rock they make. */
const props = defineProps<{ plan: SchoolPlan; bolts: readonly FlangeBolt[]; picked: boolean }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => flangeWords(telling.value.words))
const small = (t: number) => figure(t, 'displacement', session.units)
const bars = computed(() => {
  const packs = props.plan.packs?.packs ?? []
  const most = Math.max(0.0001, ...packs.map((p) => p.added))
  const step = 190 / Math.max(1, packs.length)
  const wide = Math.min(18, step * 0.62)
  return packs.map((p, i) => ({
    id: p.id,
    x: 6 + step * i + (step - wide) / 2,
    wide,
    h: (42 * p.added) / most,
  }))
})
const says = computed(() => {
  const { packs, rock } = props.plan
  if (!packs || !rock) return ''
  const added = packs.packs.map((p) => p.added)
  return rockWords(props.bolts, added, packs.plane, rock.limit, telling.value)
})
</script>

<template>
  <div class="card" :class="{ picked, lacks: !plan.packs }">
    <p class="head">
      <b>{{ w.school[plan.school] }}</b> <span>{{ w.schoolSays[plan.school] }}</span>
    </p>
    <template v-if="plan.packs && plan.rock">
      <div class="row">
        <svg class="bars" viewBox="0 0 202 50" aria-hidden="true">
          <rect v-for="b in bars" :key="b.id" :x="b.x" :y="46 - b.h" :width="b.wide" :height="b.h" />
          <path d="M2 46.5H200" />
        </svg>
        <p class="rock" :class="plan.rock.verdict">
          <span class="size">{{ small(plan.rock.value) }}</span>
          <span class="limit">{{ w.rock.short }}, {{ w.rock.limit(small(plan.rock.limit)) }}</span>
          <span class="verdict"
            ><VerdictMark :mark="plan.rock.verdict" on-dye />
            {{ verdictsWords(telling.words)[plan.rock.verdict] }}</span
          >
        </p>
      </div>
      <p class="says">{{ says }}</p>
      <p class="count">
        {{ w.counts.opened(plan.packs.opened, plan.packs.leaves) }}
        {{ w.counts.gap(figure(plan.packs.plane.centre, 'displacement', session.units, { unit: true })) }}
      </p>
    </template>
    <p v-else class="says">{{ plan.lacks ? w.lacks[plan.lacks] : '' }}</p>
  </div>
</template>

<style scoped>
.card {
  width: 100%;
  padding: 10px 14px;
  border: 1.5px solid var(--dye-line);
  border-radius: 4px;
  color: var(--scribe);
  background: #272c72;
  text-align: left;
  white-space: normal;
}
.card.picked {
  border-color: #fff;
  background: var(--dye-deep);
}
p {
  margin: 0;
}
.head b {
  color: #fff;
  font-size: 16px;
}
.head span,
.count {
  font-size: 13.5px;
  color: var(--scribe-dim);
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 12px;
  align-items: center;
  margin: 4px 0;
}
.bars {
  width: 100%;
  height: 50px;
}
rect {
  fill: #474d97;
  stroke: var(--scribe);
}
.picked rect {
  fill: rgb(224 176 74 / 42%);
  stroke: var(--brass-on-dye);
}
path {
  stroke: var(--scribe-dim);
}
.rock {
  display: grid;
  grid-template-columns: auto auto;
  column-gap: 8px;
  align-items: center;
  font-size: 13.5px;
}
.size {
  grid-row: span 2;
  font-family: var(--figures);
  font-size: 27px;
  color: var(--in-on-dye);
}
.rock.out .size {
  color: var(--out-on-dye);
}
.rock.edge .size {
  color: var(--edge-on-dye);
}
.says {
  font-size: 14px;
  color: #fff;
}
</style>
