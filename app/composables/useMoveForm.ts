import type { EntryPayloads, FootChange } from '~~/core/logbook/entry'
import { SIDES, type Side } from '~~/core/plan/movePlan'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '~~/core/units/unitSystem'
import { TYPED_FAULTS } from '~~/shared/wording/names'

export interface MoveForm {
  units: UnitSystem
  /** Shims by foot as typed: `10 + 5`, by `pair-side`. */
  out: Record<string, string>
  in: Record<string, string>
  /** Side move by pair as typed. */
  side: Record<string, string>
  remark: string
}

const blank = (units: UnitSystem): MoveForm => ({ units, out: {}, in: {}, side: {}, remark: '' })

/** Shims typed as a list: separated by plus signs, spaces or semicolons. */
const readShims = (text: string | undefined, units: 'inch' | 'metric'): number[] | string => {
  const parts = (text ?? '')
    .replace(/\b(none|nil)\b/gi, '')
    .split(/\s*[+;]\s*|\s{1,}(?=[\d.,])/)
    .filter((p) => p.trim() !== '')
  const shims: number[] = []
  for (const part of parts) {
    const read = readTypedNumber(part, 'displacement', units)
    if (!read.ok) return TYPED_FAULTS[read.fault]
    if (read.value <= 0) return 'A shim has a thickness above zero.'
    shims.push(read.value)
  }
  return shims
}

/** What was actually done at each foot: boxes as typed, and the payload they make. */
export const useMoveForm = () => {
  const job = useJob()
  const session = useSession()
  const { draft: form, clear } = useDraft('move', () => blank(session.units))

  const pairs = computed(() => job.machine?.feet.map((f) => f.id) ?? [])
  const planned = computed(() => {
    const entry = job.state?.plan?.entry
    if (!entry) return {}
    const { units, changes } = entry.payload
    const mm = (t: number) => toCore(t, 'displacement', units)
    return Object.fromEntries(
      changes.map((c) => [`${c.pair}-${c.side}`, { takeOut: c.takenOut.map(mm), putIn: c.putIn.map(mm) }]),
    )
  })
  const plannedSide = computed(() =>
    Object.fromEntries((job.state?.plan?.footwork.moves ?? []).map((m) => [m.id, m.h])),
  )

  const asPlanned = () => {
    const show = (list: readonly number[]) =>
      list.map((t) => String(Number(fromCore(t, 'displacement', session.units).toPrecision(8)))).join(' + ')
    form.value = {
      ...form.value,
      out: Object.fromEntries(Object.entries(planned.value).map(([k, p]) => [k, show(p.takeOut)])),
      in: Object.fromEntries(Object.entries(planned.value).map(([k, p]) => [k, show(p.putIn)])),
    }
  }
  const sideAsPlanned = () => {
    form.value.side = Object.fromEntries(
      Object.entries(plannedSide.value).map(([id, h]) => [
        id,
        String(Number(fromCore(h, 'displacement', session.units).toPrecision(8))),
      ]),
    )
  }

  const faults = computed(() => {
    const found: Record<string, string> = {}
    for (const pair of pairs.value) {
      for (const side of SIDES)
        for (const [way, texts] of [
          ['out', form.value.out],
          ['in', form.value.in],
        ] as const) {
          const read = readShims(texts[`${pair}-${side}`], session.units)
          if (typeof read === 'string') found[`${way}.${pair}-${side}`] = read
        }
      const typed = form.value.side[pair] ?? ''
      const read = readTypedNumber(typed, 'displacement', session.units)
      if (!read.ok && read.fault !== 'empty') found[`side.${pair}`] = TYPED_FAULTS[read.fault]
    }
    return found
  })
  const fault = (key: string) => faults.value[key] ?? ''

  const payload = computed((): EntryPayloads['move-made'] | null => {
    if (Object.keys(faults.value).length > 0) return null
    const list = (way: 'out' | 'in', pair: string, side: Side) => {
      const read = readShims(form.value[way][`${pair}-${side}`], session.units)
      return typeof read === 'string' ? [] : read
    }
    const changes = pairs.value.flatMap((pair) =>
      SIDES.flatMap((side): FootChange[] => {
        const takenOut = list('out', pair, side)
        const putIn = list('in', pair, side)
        return takenOut.length + putIn.length === 0 ? [] : [{ pair, side, takenOut, putIn }]
      }),
    )
    const side = pairs.value.flatMap((pair) => {
      const read = readTypedNumber(form.value.side[pair] ?? '', 'displacement', session.units)
      return read.ok && read.value !== 0 ? [{ pair, moved: read.value }] : []
    })
    return changes.length + side.length === 0
      ? null
      : { units: session.units, changes, side, remark: form.value.remark.trim() }
  })
  const hasShims = computed(() => (payload.value?.changes.length ?? 0) > 0)
  const hasSide = computed(() => (payload.value?.side.length ?? 0) > 0)

  useUnitsOfDraft(form, (was) => {
    const unit = was === 'inch' ? 'mil' : 'mm'
    const named = (text: string) =>
      text
        .split('+')
        .map((part) => withUnit(part, unit).trim())
        .filter(Boolean)
        .join(' + ')
    for (const group of [form.value.out, form.value.in, form.value.side])
      for (const k of Object.keys(group)) group[k] = named(group[k] ?? '')
  })
  return { form, clear, planned, plannedSide, asPlanned, sideAsPlanned, fault, payload, hasShims, hasSide }
}
