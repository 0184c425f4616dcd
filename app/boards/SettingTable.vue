<script setup lang="ts">
import type { SettingFollows, SettingRow } from '~~/core/stages/inspect/setting'
import { drawCurrents } from '~~/shared/stages/inspect/settingDrawing'
import { sheaveSettingWords } from '~~/shared/wording/en'
import { eighths } from '~~/shared/wording/lines'
import { ampsFigure } from '~~/shared/wording/sheaveSetting'
import type { Words } from '~~/shared/wording/words'

/** Every half turn of a sheave that can be set: driven speed, and what the motor may draw against its plate. */
const props = defineProps<{
  follows: SettingFollows
  rows: readonly SettingRow[]
  words: Words
  /** What it stands at now and before is called, where that isn't found and last close. */
  names?: { readonly now: string; readonly left: string }
}>()
const w = computed(() => sheaveSettingWords(props.words).table)
const currents = computed(() => drawCurrents(props.follows, props.rows))
const isNow = (r: SettingRow) => r.turns === props.follows.now
const wasLeft = (r: SettingRow) => r.turns === props.follows.before && props.follows.changed
const bar = (i: number) => {
  const at = currents.value?.bars[i]
  return at ? { bottom: `${at[0] * 100}%`, height: `max(6px, ${(at[1] - at[0]) * 100}%)` } : null
}
/** Halves as one sign: columns are narrow. */
const halves = (turns: number) => `${turns < 0 ? '−' : ''}${eighths(turns).replace(/ ?1\/2$/, '½')}`
const range = (r: SettingRow) =>
  r.current ? w.value.range(ampsFigure(r.current[0]), ampsFigure(r.current[1])) : ''
</script>

<template>
  <section :aria-label="w.title">
    <h3>{{ w.title }}</h3>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="row">{{ w.turns }}</th>
            <th v-for="r in rows" :key="r.turns" scope="col" :class="{ now: isNow(r), left: wasLeft(r) }">
              <small>{{
                isNow(r) ? (names?.now ?? w.now) : wasLeft(r) ? (names?.left ?? w.left) : ''
              }}</small>
              <span class="turns figure">{{ halves(r.turns) }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">{{ w.rpm }}</th>
            <td v-for="r in rows" :key="r.turns" class="figure" :class="{ now: isNow(r) }">
              {{ r.drivenRpm.toFixed(0) }}
            </td>
          </tr>
          <tr v-if="currents" class="amps">
            <th scope="row">
              {{ w.amps }}
              <small v-if="follows.amperes.plate !== null" class="plate">{{
                w.plate(ampsFigure(follows.amperes.plate))
              }}</small>
            </th>
            <td v-for="(r, i) in rows" :key="r.turns" :class="{ now: isNow(r) }">
              <div class="track" aria-hidden="true">
                <span
                  v-if="currents.plate !== null"
                  class="line"
                  :style="{ bottom: `${currents.plate * 100}%` }"
                />
                <span v-if="bar(i)" class="bar" :class="r.verdict ?? ''" :style="bar(i)!" />
              </div>
              <span class="figure amp">{{ range(r) }}</span>
            </td>
          </tr>
          <tr v-if="currents && follows.amperes.plate !== null">
            <th scope="row">{{ w.verdict }}</th>
            <td v-for="r in rows" :key="r.turns" :class="{ now: isNow(r) }" class="says">
              <template v-if="r.verdict"
                ><VerdictMark :mark="r.verdict" silent on-dye /> {{ w.verdicts[r.verdict] }}</template
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="!currents" class="quiet">{{ w.noAmps }}</p>
    <p v-else-if="follows.amperes.plate === null" class="quiet">{{ w.noPlate }}</p>
  </section>
</template>

<style scoped>
h3 {
  color: #fff;
  font-size: 18px;
  margin-bottom: 4px;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  padding: 3px 4px;
  text-align: center;
  color: var(--scribe);
  font-weight: 400;
}
th[scope='row'] {
  width: 92px;
  text-align: left;
  color: var(--scribe-dim);
  font-size: 14px;
}
th small {
  display: block;
  min-height: 18px;
  white-space: nowrap;
  font-size: 13px;
  color: var(--scribe);
}
.turns {
  display: block;
  padding: 6px 0;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
  font-size: 16px;
  white-space: nowrap;
}
.left .turns {
  border: 2px dashed var(--scribe);
}
.now .turns {
  background: #dce3ff;
  color: #15183f;
  font-weight: 700;
}
td.now {
  background: #15183f;
  color: #fff;
}
td.figure {
  font-size: 17px;
}
.track {
  position: relative;
  height: 62px;
}
.line {
  position: absolute;
  left: -4px;
  right: -4px;
  border-top: 2px solid #58d3be;
}
.bar {
  position: absolute;
  left: 50%;
  width: 18px;
  margin-left: -9px;
  border-radius: 3px;
  background: #8f9ad6;
}
.bar.edge {
  background: #f0c060;
}
.bar.out {
  background: #ff8fa3;
}
td.now .bar {
  background: #fff;
}
.amp {
  display: block;
  font-size: 13px;
  white-space: nowrap;
}
.plate {
  color: #58d3be !important;
}
.says {
  font-size: 14px;
  white-space: nowrap;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
@media (max-width: 640px) {
  table {
    width: max-content;
    min-width: 100%;
    table-layout: auto;
  }
}
</style>
