<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { storeWords } from '~~/shared/wording/viewWords'
import { toCore } from '~~/core/units/unitSystem'
import type { LotAnswer, StoresAnswer } from '~~/shared/api/answers'
import { thickness } from '~~/shared/wording/figures'

/** Shims by thickness, kind, size and place: what is here, what plans keep, what is free, who counted last. */
const props = defineProps<{ stores: StoresAnswer; halls: readonly string[] }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const words = useWords()
const w = storeWords
const units = ref(session.units)
/** A phone has room for the leaf and what is free. */
const narrow = useMediaQuery('(max-width: 760px)')
/** On a tablet size and place stand under the leaf. */
const under = useMediaQuery('(max-width: 1000px)')
const leaf = (t: number, of: LotAnswer['units']) => thickness(toCore(t, 'displacement', of), of)
const named = (l: LotAnswer) => `${leaf(l.thickness, l.units)} ${shellWords(words).unitNames[l.units]}`
const tagsOf = (l: LotAnswer) =>
  l.reserved === 0
    ? ''
    : w.reservedFor(
        [
          ...new Set(
            props.stores.wants
              .filter((p) => p.units === l.units && p.taken.some((t) => Math.abs(t - l.thickness) < 1e-3))
              .map((p) => p.tag),
          ),
        ].join(', '),
      )
const rows = computed(() =>
  props.stores.lots
    .filter((l) => l.units === units.value)
    .map((lot) => ({
      lot,
      id: lot.id,
      leaf: leaf(lot.thickness, lot.units),
      kind: lot.layer === null ? w.kinds.plain : w.kinds.laminated(leaf(lot.layer, lot.units)),
      size: lot.size || w.anySize,
      place: lot.place || w.noPlace,
      tags: tagsOf(lot),
    })),
)
const places = computed(() =>
  [...new Set([...props.stores.lots.map((l) => l.place), ...props.halls])].filter((p) => p !== '').sort(),
)
const sizes = computed(() =>
  [...new Set(props.stores.lots.map((l) => l.size))].filter((s) => s !== '').sort(),
)
const counting = ref(false)
const editing = ref(false)
const { picked, later, open } = usePicked<LotAnswer, 'counting' | 'editing'>({ counting, editing })
</script>

<template>
  <section :aria-label="w.shims">
    <StoresHead :title="w.shims">
      <ChoiceRow
        v-model="units"
        :label="w.units"
        :options="[
          { value: 'inch', name: shellWords(words).unitNames.inch },
          { value: 'metric', name: shellWords(words).unitNames.metric },
        ]"
      />
      <el-button v-if="session.may('stores')" class="quiet-button" @click="open('editing', null)">{{
        w.add
      }}</el-button>
    </StoresHead>
    <el-empty v-if="rows.length === 0" class="panel" :image-size="1" :description="w.none" />
    <el-table v-else :data="rows" row-key="id" class="panel lots">
      <el-table-column :label="w.columns.thickness" min-width="150">
        <template #default="{ row }">
          <strong class="figure leaf">{{ row.leaf }}</strong>
          <span class="muted kind">{{ shellWords(words).unitNames[units] }}, {{ row.kind }}</span>
          <span v-if="under" class="muted small"><br />{{ row.size }}, {{ row.place }}</span>
        </template>
      </el-table-column>
      <el-table-column v-if="!under" :label="w.columns.size" prop="size" width="70" />
      <el-table-column v-if="!under" :label="w.columns.place" prop="place" min-width="130" />
      <el-table-column v-if="!narrow" :label="w.columns.now" width="96" align="right">
        <template #default="{ row }"
          ><span class="figure" :title="row.lot.now < 0 ? w.less : undefined">{{
            row.lot.now
          }}</span></template
        >
      </el-table-column>
      <el-table-column v-if="!narrow" :label="w.columns.reserved" min-width="110" align="right">
        <template #default="{ row }"
          ><span v-if="row.lot.reserved" class="figure">{{ row.lot.reserved }}</span>
          <span v-if="row.tags" class="muted small">{{ row.tags }}</span></template
        >
      </el-table-column>
      <el-table-column :label="w.columns.free" :min-width="narrow ? 110 : 140">
        <template #default="{ row }">
          <span class="free" :title="row.lot.low ? w.lowTold(row.lot.low) : undefined">
            <strong class="figure">{{ row.lot.free }}</strong>
            <el-progress
              v-if="row.lot.low && !narrow"
              class="bar"
              :percentage="Math.min(100, Math.round((100 * row.lot.free) / (3 * row.lot.low)))"
              :show-text="false"
              :stroke-width="8"
              :color="row.lot.isLow ? 'var(--ink)' : 'var(--field-line)'"
              aria-hidden="true"
            />
            <span v-if="row.lot.isLow" class="order">{{ w.low }}</span>
          </span>
        </template>
      </el-table-column>
      <el-table-column v-if="!narrow" :label="w.columns.counted" min-width="140">
        <template #default="{ row }">
          <LotCounted :lot="row.lot" />
        </template>
      </el-table-column>
      <el-table-column :width="narrow ? 92 : 140" align="right">
        <template #default="{ row }">
          <el-button
            v-if="session.may('count')"
            link
            class="text-button"
            @click="open('counting', row.lot as LotAnswer)"
            >{{ w.count }}</el-button
          >
          <el-button
            v-if="session.may('stores')"
            link
            class="text-button"
            @click="open('editing', row.lot as LotAnswer)"
            >{{ w.change }}</el-button
          >
        </template>
      </el-table-column>
    </el-table>
    <p class="muted rule">{{ w.rule }}</p>
    <LazyCountForm
      v-if="later"
      v-model="counting"
      :lot="picked"
      :title="picked ? w.form.countTitle(named(picked), picked.place || w.noPlace) : ''"
      address="/api/stores/lots"
      @saved="emit('changed')"
    />
    <LazyLotForm
      v-if="later"
      v-model="editing"
      :known="picked"
      :places="places"
      :sizes="sizes"
      @saved="emit('changed')"
    />
  </section>
</template>

<style scoped>
.lots :deep(.cell) {
  line-height: 1.35;
}
.lots :deep(.el-table__cell) {
  padding: 4px 0;
}
.kind {
  margin-left: 6px;
}
.leaf {
  font-size: 18px;
}
.small {
  font-size: 13px;
}
.free {
  display: flex;
  align-items: center;
  gap: 8px;
}
.free strong {
  min-width: 34px;
  text-align: right;
}
.bar {
  width: 60px;
}
.order {
  padding: 0 8px;
  border: 1px solid var(--field-line);
  border-radius: 9px;
  font-size: 13px;
}
.rule {
  margin-top: 8px;
  font-size: 14px;
}
</style>
