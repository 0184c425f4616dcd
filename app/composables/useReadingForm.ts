import type { LogEntry } from '~~/core/logbook/entry'
import type { Dial } from '~~/core/logbook/setUp'
import type { ReadingSet } from '~~/core/logbook/readingSet'
import { DIALS } from '~~/core/logbook/setUp'
import { readingSlip } from '~~/core/setup/distanceSlip'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { fromCore, type UnitSystem } from '~~/core/units/unitSystem'

export interface ReadingForm {
  units: UnitSystem
  positions: number[]
  rim: Record<string, string>
  face: Record<string, string>
  returned: Record<Dial, string>
  /** The set being corrected, if one is. */
  correcting: string
}

const FOUR = [0, 90, 180, 270]
const blankSet = (positions: readonly number[], units: UnitSystem): ReadingForm => ({
  units,
  positions: [...positions],
  rim: { [String(positions[0] ?? 0)]: '0' },
  face: { [String(positions[0] ?? 0)]: '0' },
  returned: { rim: '', face: '' },
  correcting: '',
})

/** One set being typed: its boxes, what they mean, and the entry they make. */
export const useReadingForm = () => {
  const job = useJob()
  const session = useSession()
  const { draft: form } = useDraft('readings', () => blankSet(FOUR, session.units))

  useUnitsOfDraft(form, (was) => {
    const unit = was === 'inch' ? 'mil' : 'mm'
    for (const d of DIALS) {
      for (const c of Object.keys(form.value[d])) form.value[d][c] = withUnit(form.value[d][c] ?? '', unit)
      form.value.returned[d] = withUnit(form.value.returned[d], unit)
    }
  })

  const read = (text: string | undefined) => {
    const r = readTypedNumber(text ?? '', 'displacement', session.units)
    return r.ok ? r.value : null
  }
  const valueAt = (dial: Dial, clock: number) => read(form.value[dial][String(clock)])
  const isBlank = computed(() =>
    form.value.positions
      .slice(1)
      .every((c) => DIALS.every((d) => (form.value[d][String(c)] ?? '').trim() === '')),
  )
  const missing = computed(() =>
    form.value.positions.flatMap((clock) =>
      DIALS.filter((d) => valueAt(d, clock) === null).map((dial) => ({ dial, clock })),
    ),
  )
  const returnedMissing = computed(() => DIALS.filter((d) => read(form.value.returned[d]) === null))
  const complete = computed(() => missing.value.length === 0 && returnedMissing.value.length === 0)

  const list = (dial: Dial) =>
    form.value.positions.flatMap((clock) => {
      const value = valueAt(dial, clock)
      return value === null ? [] : [{ clock, value }]
    })
  const body = computed(() => {
    const [rim, face] = DIALS.map((d) => read(form.value.returned[d]))
    return {
      kind: 'readings-taken' as const,
      payload: {
        units: session.units,
        rim: list('rim'),
        face: list('face'),
        returned: rim == null || face == null ? null : { rim, face },
      },
    }
  })

  const reset = (positions: readonly number[] = form.value.positions) => {
    form.value = blankSet(positions, session.units)
  }
  /** Loads a logged set to correct it. */
  const correct = (set: ReadingSet) => {
    const text = (mm: number) => String(Number(fromCore(mm, 'displacement', session.units).toPrecision(10)))
    const boxes = (dial: Dial) =>
      Object.fromEntries(set.readings[dial].map((r) => [String(r.clock), text(r.value)]))
    form.value = {
      units: session.units,
      positions: set.readings.rim.map((r) => r.clock),
      rim: boxes('rim'),
      face: boxes('face'),
      returned: {
        rim: set.returned ? text(set.returned.rim) : '',
        face: set.returned ? text(set.returned.face) : '',
      },
      correcting: set.entry.id,
    }
  }

  /** A question where a reading looks like a slipped decimal point. */
  const slipNote = (dial: Dial, clock: number): string => {
    const own = valueAt(dial, clock)
    const s = job.state?.setUp
    if (own === null || !s) return ''
    const others = form.value.positions.filter((c) => c !== clock).flatMap((c) => valueAt(dial, c) ?? [])
    return others.length > 1 &&
      readingSlip(own, others, fromCore(s.graduation[dial], 'displacement', session.units))
      ? 'Tenfold off the others?'
      : ''
  }

  let draftId = crypto.randomUUID()
  watch(
    [form, () => session.units],
    () => {
      if (isBlank.value) {
        job.draft = null
        draftId = crypto.randomUUID()
        return
      }
      const entry: LogEntry = {
        ...job.compose(
          body.value,
          form.value.correcting ? { entry: form.value.correcting, reason: '…' } : null,
        ),
        id: draftId,
      }
      job.draft = entry
    },
    { deep: true, immediate: true, flush: 'sync' },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })
  const draftIdNow = () => draftId
  return {
    form,
    valueAt,
    isBlank,
    missing,
    returnedMissing,
    complete,
    body,
    reset,
    correct,
    slipNote,
    draftIdNow,
  }
}
