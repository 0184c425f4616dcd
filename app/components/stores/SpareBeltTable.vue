<script setup lang="ts">
import type { SpareBeltsAnswer } from '~~/shared/api/answers'
import { spareName } from '~~/shared/wording/spareBelts'
import { storeWords } from '~~/shared/wording/viewWords'

/** Spare belts by section and length: where they lie, how many, who counted last. */
const props = defineProps<{
  belts: readonly SpareBeltsAnswer[]
  halls: readonly string[]
  /** Sections that the register's drives run on. */
  sections: readonly string[]
}>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const words = useWords()
const w = storeWords.belts
const narrow = useMediaQuery('(max-width: 760px)')
const named = (lot: SpareBeltsAnswer) => spareName(lot, { words, units: session.units })
const placed = (lot: SpareBeltsAnswer) => lot.place || storeWords.noPlace
const rows = computed(() =>
  props.belts.map((lot) => ({
    lot,
    id: lot.id,
    name: named(lot),
    place: placed(lot),
  })),
)
const known = (of: readonly string[]) => [...new Set(of)].filter((x) => x !== '').sort()
const places = computed(() => known([...props.belts.map((b) => b.place), ...props.halls]))
const allSections = computed(() => known([...props.belts.map((b) => b.section), ...props.sections]))
const counting = ref(false)
const editing = ref(false)
const { picked, later, open } = usePicked<SpareBeltsAnswer, 'counting' | 'editing'>({ counting, editing })
</script>

<template>
  <section :aria-label="w.title">
    <StoresHead :title="w.title">
      <el-button v-if="session.may('stores')" class="quiet-button" @click="open('editing', null)">{{
        w.add
      }}</el-button>
    </StoresHead>
    <el-empty v-if="rows.length === 0" class="panel" :image-size="1" :description="w.none" />
    <el-table v-else :data="rows" row-key="id" class="panel lots">
      <el-table-column :label="w.columns.belts" min-width="210">
        <template #default="{ row }">
          <strong>{{ row.name }}</strong>
          <span v-if="narrow" class="muted small"><br />{{ row.place }}</span>
        </template>
      </el-table-column>
      <el-table-column v-if="!narrow" :label="w.columns.place" prop="place" min-width="110" />
      <el-table-column :label="w.columns.now" :min-width="narrow ? 100 : 110">
        <template #default="{ row }">
          <strong class="figure">{{ row.lot.now }}</strong>
          <span
            v-if="row.lot.isLow"
            class="order"
            :title="row.lot.low ? storeWords.lowTold(row.lot.low) : undefined"
            >{{ storeWords.low }}</span
          >
        </template>
      </el-table-column>
      <el-table-column v-if="!narrow" :label="w.columns.counted" min-width="150">
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
            @click="open('counting', row.lot as SpareBeltsAnswer)"
            >{{ storeWords.count }}</el-button
          >
          <el-button
            v-if="session.may('stores')"
            link
            class="text-button"
            @click="open('editing', row.lot as SpareBeltsAnswer)"
            >{{ storeWords.change }}</el-button
          >
        </template>
      </el-table-column>
    </el-table>
    <p class="muted rule">{{ w.rule }}</p>
    <LazyCountForm
      v-if="later"
      v-model="counting"
      :lot="picked"
      :title="picked ? w.countTitle(named(picked), placed(picked)) : ''"
      address="/api/stores/belts"
      @saved="emit('changed')"
    />
    <LazySpareBeltForm
      v-if="later"
      v-model="editing"
      :known="picked"
      :places="places"
      :sections="allSections"
      @saved="emit('changed')"
    />
  </section>
</template>

<style scoped>
.lots :deep(.cell) {
  line-height: 1.35;
}
.small {
  font-size: 13px;
}
.order {
  margin-left: 10px;
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
