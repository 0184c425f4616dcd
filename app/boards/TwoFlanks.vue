<script setup lang="ts">
import { RUNS, type PaintedZone, type Run, type Runs } from '~~/core/gear/contactFigures'
import type { VerdictOrUnknown } from '~~/core/judge/judge'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { zoneTexts } from '~~/shared/wording/gearContact'

/** Both flanks beside each other, as they are painted or as they were read. */
const props = defineProps<{
  zones: Readonly<Record<Run, PaintedZone | null>>
  /** What stands in the boxes; as the zones have it where nothing is typed. */
  texts?: Runs<{ readonly from: string; readonly to: string }>
  wanted: Readonly<Record<Run, PaintedZone | null>> | null
  /** The paint of the round before. */
  ghost?: Readonly<Record<Run, PaintedZone | null>> | null
  ends: { readonly from: string; readonly to: string }
  off?: (run: Run) => { readonly figure: string; readonly words: string } | null
  verdicts: Readonly<Record<Run, VerdictOrUnknown>> | null
  faults?: Readonly<Record<string, string>>
  units: UnitSystem
  disabled?: boolean
  readOnly?: boolean
}>()
const emit = defineEmits<{
  zone: [run: Run, zone: PaintedZone]
  type: [run: Run, end: 'from' | 'to', text: string]
  clear: [run: Run]
  enter: []
}>()
const flanks = useTemplateRef<{ focus: () => void }[]>('flanks')
defineExpose({ focus: () => flanks.value?.[0]?.focus() })
const shown = (run: Run) => props.texts?.[run] ?? zoneTexts(props.zones[run])
</script>

<template>
  <div class="flanks">
    <ToothZone
      v-for="run in RUNS"
      :key="run"
      ref="flanks"
      :run="run"
      :zone="zones[run]"
      :texts="shown(run)"
      :wanted="wanted?.[run] ?? null"
      :ghost="zones[run] ? null : (ghost?.[run] ?? null)"
      :ends="ends"
      :off="zones[run] ? (off?.(run) ?? null) : null"
      :verdict="zones[run] ? (verdicts?.[run] ?? null) : null"
      :faults="faults ?? {}"
      :units="units"
      :disabled="disabled || readOnly"
      :read-only="readOnly"
      @zone="emit('zone', run, $event)"
      @type="(end, text) => emit('type', run, end, text)"
      @clear="emit('clear', run)"
      @enter="emit('enter')"
    />
  </div>
</template>

<style scoped>
.flanks {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 12px 24px;
}
</style>
