<script setup lang="ts">
import { DEFLECTION_SHARE } from '~~/core/belt/tension'
import { toCore } from '~~/core/units/unitSystem'
import { typedValue } from '~~/shared/forms/typed'
import { drawnSizes } from '~~/shared/quick/beltDrive'
import { drawingsWords, tablesWords, tensionWords } from '~~/shared/wording/en'
import { gapFigure, figure } from '~~/shared/wording/figures'
import { forceFigure, hertzFigure } from '~~/shared/wording/forces'
import { quickWords } from '~~/shared/wording/viewWords'
import DriveSizes from './DriveSizes.vue'

/** The drive from the side to scale, its sizes typed on it, with the gauge on the strand that is pushed. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const words = useWords()
const { mm, text } = useSumBoard()
const w = quickWords.drive
const v = tensionWords(words).view
interface Found {
  readonly C?: number
  readonly span?: number
  readonly force?: number
  readonly deflection?: number
  readonly dC?: number | null
  readonly turnsRounded?: number | null
}
const found = computed(() => props.result as Found | null)
const core = (x: number) => toCore(x, 'distance', session.units)
const sizes = computed(() =>
  drawnSizes(
    mm('d', 'distance'),
    mm('D', 'distance'),
    mm('C', 'distance') ?? (found.value?.C === undefined ? null : core(found.value.C)),
  ),
)
const length = (x: number) => gapFigure(x, { units: session.units }, true)
/** What the gauge shows and what is done with it; no gauge where nothing is pushed. */
const gauge = computed(() => {
  const r = found.value
  const blank = { figure: '', what: '', pushed: false, deflection: 0 }
  if (props.id === 'belt-tension') {
    const deflection = r?.deflection === undefined ? null : core(r.deflection)
    return {
      figure:
        r?.force === undefined
          ? '–'
          : forceFigure(toCore(r.force, 'force', session.units), session.units, true),
      what: deflection === null ? v.pushHere : w.pushTo(length(deflection)),
      pushed: true,
      deflection: deflection ?? sizes.value.centre * DEFLECTION_SHARE,
    }
  }
  if (props.id !== 'belt-reading') return blank
  const hertz = typedValue(text('frequency'), 'plain', session.units)
  if (hertz !== null) return { ...blank, figure: hertzFigure(hertz), what: v.tap }
  const deflection = mm('deflection', 'distance')
  return {
    figure: text('force') === '' ? '–' : text('force'),
    what: deflection === null ? v.pushHere : w.pushedTo(length(deflection)),
    pushed: true,
    deflection: deflection ?? sizes.value.centre * DEFLECTION_SHARE,
  }
})
const names = computed(() => ({
  motor: drawingsWords(words).motor,
  driven: tablesWords(words).driven.toLowerCase(),
}))
/** What the drawing comes to, under it. */
const under = computed(() => {
  const r = found.value
  if (props.id === 'belt-geometry' && r?.span !== undefined)
    return w.span(figure(core(r.span), 'distance', session.units, { unit: true }))
  if (props.id === 'belt-takeup' && typeof r?.dC === 'number')
    return w.motor(length(Math.abs(core(r.dC))), r.dC > 0)
  return ''
})
</script>

<template>
  <div class="drive-sum">
    <BeltSide
      :diameters="sizes"
      :centre="sizes.centre"
      :deflection="gauge.deflection"
      :figure="gauge.figure"
      :what="gauge.what"
      :pushed="gauge.pushed"
      :names="names"
      :words="words"
    />
    <p v-if="under" class="under">{{ under }}</p>
    <DriveSizes />
  </div>
</template>

<style scoped>
.drive-sum {
  max-width: 720px;
}
.under {
  margin: 2px 0 8px;
  color: var(--scribe);
}
</style>
