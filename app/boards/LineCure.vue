<script setup lang="ts">
import { beltsWords } from '~~/shared/wording/en'
import type { BaseKind } from '~~/core/register/beltMachine'
import type { BaseMarks } from '~~/shared/stages/lineUp/drawing'
import type { CureStep } from '~~/shared/wording/lines'

/** What to shim, turn and slide, in order, beside the motor's base where it is done. */
defineProps<{ steps: readonly CureStep[]; base: BaseKind; marks: BaseMarks; drivenName: string }>()
const words = useWords()
const w = beltsWords(words)
</script>

<template>
  <div class="cure">
    <div>
      <h3>{{ w.view.corrections }}</h3>
      <ol>
        <li v-for="s in steps" :key="s.step" :class="{ idle: s.figure === '' }">
          <span class="badge figure" aria-hidden="true">{{ s.number }}</span>
          <div>
            <p>{{ s.what }}</p>
            <p v-if="s.figure" class="figure big">{{ s.figure }}</p>
            <p v-if="s.detail" class="quiet">{{ s.detail }}</p>
            <el-collapse v-if="s.how" class="unfolds">
              <el-collapse-item :title="w.bushing.title" name="how">
                <ol class="how">
                  <li v-for="point in s.how" :key="point">{{ point }}</li>
                </ol>
              </el-collapse-item>
            </el-collapse>
          </div>
        </li>
      </ol>
    </div>
    <MotorBase :kind="base" :turn="marks.turn" :slide="marks.slide" :driven-name="drivenName" />
  </div>
</template>

<style scoped>
.cure {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 290px);
  gap: 16px;
  align-items: start;
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
h3 {
  font-size: 16px;
  color: #fff;
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 30px 1fr;
  gap: 10px;
}
.badge {
  display: grid;
  place-items: center;
  width: 28px;
  height: 28px;
  border-radius: 50%;
  background: var(--brass-on-dye);
  color: var(--dye-deep);
  font-weight: 700;
}
.idle .badge {
  background: none;
  border: 1px solid var(--scribe-dim);
  color: var(--scribe);
}
.big {
  font-size: 20px;
  line-height: 1.3;
  color: var(--brass-on-dye);
}
.how {
  display: block;
  list-style: decimal;
  padding-left: 20px;
  font-size: 14px;
  color: var(--scribe);
}
.how li {
  display: list-item;
  padding: 2px 0;
}
.unfolds {
  --el-collapse-header-bg-color: transparent;
  --el-collapse-content-bg-color: transparent;
  --el-collapse-header-text-color: var(--scribe);
  --el-collapse-content-text-color: var(--scribe);
  --el-collapse-border-color: var(--dye-line);
}
.quiet {
  font-size: 14px;
  color: var(--scribe-dim);
}
@media (max-width: 640px) {
  .cure {
    grid-template-columns: 1fr;
  }
}
</style>
