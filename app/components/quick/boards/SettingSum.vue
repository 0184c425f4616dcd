<script setup lang="ts">
import { settingOf, type SettingAnswered, type SettingAsked } from '~~/shared/quick/beltDrive'
import { drawSheave, rowsShown, usualBelt } from '~~/shared/stages/inspect/settingDrawing'
import { gapFigure } from '~~/shared/wording/figures'
import { eighths } from '~~/shared/wording/lines'
import { quickWords } from '~~/shared/wording/viewWords'

/** A sheave that is opened or closed, cut open to scale, and every half turn of its table. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const words = useWords()
const { form } = useSumBoard()
const w = quickWords.drive
const SHEET = { width: 440, height: 262 }
const follows = computed(() =>
  props.result
    ? settingOf(form.input() as SettingAsked, props.result as SettingAnswered, session.units)
    : null,
)
const drawn = computed(() => {
  const f = follows.value
  if (!f) return null
  const belt = usualBelt(f.was.pitchDiameter)
  return drawSheave(
    f,
    {
      outsideDiameter: null,
      depths: { outer: belt.topWidth, inner: belt.topWidth },
      belt,
    },
    SHEET,
  )
})
const g = (x: number) => gapFigure(Math.abs(x), telling.value, true)
</script>

<template>
  <div class="setting-sum">
    <SheaveBoard
      v-if="drawn && follows"
      class="sheave"
      :drawn="drawn"
      :shift="follows.shift === 0 ? '' : g(follows.shift)"
      :moved="follows.opened === 0 ? '' : g(follows.opened)"
      :left-at="follows.changed ? w.stands : ''"
      :now-at="w.turned(eighths(follows.now), follows.now > 0)"
      :words="words"
      :sheet="SHEET"
    />
    <SettingTable
      v-if="follows && follows.rows.length > 2"
      :follows="follows"
      :rows="rowsShown(follows)"
      :words="words"
      :names="{ now: w.asked, left: w.now }"
    />
    <p v-if="follows" class="from">{{ w.fromNow }}</p>
  </div>
</template>

<style scoped>
.setting-sum {
  max-width: 720px;
}
.sheave {
  display: block;
  width: 100%;
  max-width: 460px;
}
.from {
  color: var(--scribe-dim);
  font-size: 14px;
}
</style>
