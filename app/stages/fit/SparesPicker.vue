<script setup lang="ts">
import type { SparesFor } from '~~/core/stores/spareBelts'
import { fitWords } from '~~/shared/wording/en'
import { spareName, spareSays } from '~~/shared/wording/spareBelts'

/** Which belts of the stores went on; what lies there, how it compares to the register, or none of them. */
const picked = defineModel<string>({ required: true })
const props = defineProps<{ offers: readonly SparesFor[] }>()
const telling = useTelling()
/** The likeliest of them: more are not told apart at a glance. */
const MOST = 5
const w = computed(() => fitWords(telling.value.words).spares)
const shown = computed(() =>
  props.offers.slice(0, MOST).map((offer) => ({
    id: offer.lot.id,
    name: spareName(offer.lot, telling.value),
    says: spareSays(offer, telling.value),
    enough: offer.enough,
  })),
)
</script>

<template>
  <div class="spares">
    <span id="spares-title" class="title">{{ w.title }}</span>
    <el-radio-group v-if="shown.length > 0" v-model="picked" class="offers" aria-labelledby="spares-title">
      <el-radio v-for="o in shown" :key="o.id" :value="o.id" border class="offer">
        <strong>{{ o.name }}</strong>
        <span class="says" :class="{ few: !o.enough }">{{ o.says }}</span>
      </el-radio>
      <el-radio value="" border class="offer">{{ w.none }}</el-radio>
    </el-radio-group>
    <p v-else class="says">{{ w.empty }}</p>
  </div>
</template>

<style scoped>
.title {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
  gap: 8px;
}
.offer.el-radio {
  height: auto;
  min-height: 48px;
  margin: 0;
  padding: 6px 12px;
  white-space: normal;
  color: var(--scribe);
  border-color: var(--dye-line);
}
.offer.el-radio.is-checked {
  border-color: var(--brass-on-dye);
}
.offer :deep(.el-radio__label) {
  color: #fff;
  line-height: 1.3;
}
.says {
  display: block;
  font-size: 14px;
  color: var(--scribe);
}
.few {
  color: var(--brass-on-dye);
}
</style>
