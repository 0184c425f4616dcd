import type { Carrier, Plunger, Turning } from '~~/core/coupling/dialSet'
import type { SetUpPayload } from '~~/core/logbook/entry'
import { distanceSlip } from '~~/core/setup/distanceSlip'
import { readTypedNumber, type TypedMeasure } from '~~/core/units/typedNumber'
import { toCore, type UnitSystem } from '~~/core/units/unitSystem'
import { asTyped, figure } from '~~/shared/wording/figures'

/** What stands in the set-up boxes, as typed. */
export interface SetUpForm {
  started: boolean
  units: UnitSystem
  carriedBy: Carrier
  plunger: Plunger
  turning: Turning
  diameterForm: 'diameter' | 'radius'
  sagForm: 'hang' | 'pipe-at-6'
  rises: 'rises' | 'falls'
  faceRises: 'rises' | 'falls'
  rimPlane: string
  face: string
  toInboard: string
  inboardToOutboard: string
  sag: string
  faceSag: string
  graduation: string
  rimReturned: string
  faceReturned: string
}

export const BLANK_SET_UP = (units: UnitSystem): SetUpForm => ({
  started: false,
  units,
  carriedBy: 'movable',
  plunger: 'away',
  turning: 'both',
  diameterForm: 'diameter',
  sagForm: 'hang',
  rises: 'rises',
  faceRises: 'rises',
  rimPlane: '',
  face: '',
  toInboard: '',
  inboardToOutboard: '',
  sag: '',
  faceSag: '0',
  graduation: '',
  rimReturned: '',
  faceReturned: '',
})

export type SetUpNumber = keyof {
  [
    K in keyof SetUpForm as K extends
      | 'rimPlane'
      | 'face'
      | 'toInboard'
      | 'inboardToOutboard'
      | 'sag'
      | 'faceSag'
      | 'graduation'
      | 'rimReturned'
      | 'faceReturned'
      ? K
      : never
  ]: true
}

export const SET_UP_MEASURES: Readonly<Record<SetUpNumber, TypedMeasure>> = {
  rimPlane: 'distance',
  face: 'distance',
  toInboard: 'distance',
  inboardToOutboard: 'distance',
  sag: 'displacement',
  faceSag: 'displacement',
  graduation: 'displacement',
  rimReturned: 'displacement',
  faceReturned: 'displacement',
}

const ABOVE_ZERO: readonly SetUpNumber[] = ['face', 'toInboard', 'inboardToOutboard', 'graduation']

/** The set-up boxes of a job: what they hold, what is odd about it, and the payload they make. */
export const useSetUpForm = () => {
  const job = useJob()
  const session = useSession()
  const { draft: form, clear } = useDraft('set-up', () => BLANK_SET_UP(session.units))
  const units = computed(() => session.units)

  const registered = computed(() => {
    const m = job.machine
    if (!m) return null
    const mm = (x: number) => toCore(x, 'distance', m.units)
    const [inboard, outboard] = m.feet
    return {
      rimPlane: Math.abs(mm(m.usual.rimPlane)),
      face: mm(m.usual.faceDiameter),
      toInboard: mm(inboard.x),
      inboardToOutboard: mm(outboard.x - inboard.x),
    }
  })

  /** Fills the boxes once: from this job's last set-up, or from the register. */
  const begin = () => {
    const m = job.machine
    if (form.value.started || !m || !registered.value) return
    const last = job.state?.setUp
    const tape = (mm: number) => asTyped(mm, 'distance', units.value)
    const small = (mm: number) => asTyped(mm, 'displacement', units.value)
    form.value = {
      ...BLANK_SET_UP(session.units),
      started: true,
      carriedBy: last?.given.rim.carriedBy ?? m.usual.carriedBy,
      plunger: last?.given.face.plunger ?? m.usual.plunger,
      turning: last?.given.turning ?? 'both',
      rises: last?.given.rim.readingSign === -1 ? 'falls' : 'rises',
      faceRises: last?.given.face.readingSign === -1 ? 'falls' : 'rises',
      rimPlane: tape(last ? Math.abs(last.rim.plane) : registered.value.rimPlane),
      face: tape(last ? last.face.diameter : registered.value.face),
      toInboard: tape(last?.feet[0]?.x ?? registered.value.toInboard),
      inboardToOutboard: tape(
        last ? (last.feet[1]?.x ?? 0) - (last.feet[0]?.x ?? 0) : registered.value.inboardToOutboard,
      ),
      sag: last ? small(last.rim.sag) : '',
      faceSag: last ? small(last.face.sag ?? 0) : '0',
      graduation: last ? small(last.graduation.rim) : units.value === 'inch' ? '0.5' : '0.01',
    }
  }

  const value = (name: SetUpNumber): number | null => {
    const read = readTypedNumber(form.value[name], SET_UP_MEASURES[name], units.value)
    return read.ok ? read.value : null
  }

  /** The sag as the bar hangs, whichever way it was told; the other way is shown beside it. */
  const sagHang = computed(() => {
    const typed = value('sag')
    if (typed === null) return null
    return form.value.sagForm === 'hang' ? typed : Math.abs(typed) / 2
  })
  const sagOtherWay = computed(() => {
    if (sagHang.value === null) return ''
    const shown = (x: number) =>
      figure(toCore(x, 'displacement', units.value), 'displacement', units.value, { unit: true })
    return form.value.sagForm === 'hang'
      ? `${shown(-2 * sagHang.value)} at 6 on a pipe`
      : `bar hangs ${shown(sagHang.value)}`
  })

  /** A sentence where a box is out of order; `fault` stops the set-up, the rest only asks. */
  const remark = (name: SetUpNumber): { text: string; fault: boolean } => {
    const typed = value(name)
    if (typed === null) return { text: '', fault: false }
    if (ABOVE_ZERO.includes(name) && typed <= 0) return { text: 'Give a number above zero.', fault: true }
    if (name === 'sag' && form.value.sagForm === 'hang' && typed < 0)
      return { text: 'A bar hangs down: give the sag without a sign.', fault: true }
    if (name === 'sag') return { text: sagOtherWay.value, fault: false }
    const known = registered.value?.[name as keyof NonNullable<typeof registered.value>]
    if (known === undefined) return { text: '', fault: false }
    const mm =
      toCore(Math.abs(typed), 'distance', units.value) *
      (name === 'face' && form.value.diameterForm === 'radius' ? 2 : 1)
    const was = figure(known, 'distance', units.value, { unit: true })
    const slip = distanceSlip(mm, known)
    if (slip === 'tenfold')
      return { text: `Tenfold off the register (${was}). Check the decimal point.`, fault: false }
    if (slip === 'feet-for-inches')
      return { text: `Twelve times off the register (${was}). Feet for inches?`, fault: false }
    if (slip === 'far-off')
      return { text: `The register says ${was}. Tape it again to be sure.`, fault: false }
    return { text: '', fault: false }
  }

  const names = Object.keys(SET_UP_MEASURES) as SetUpNumber[]
  const missing = computed(() => names.filter((n) => value(n) === null || remark(n).fault))

  const payload = computed((): SetUpPayload | null => {
    const m = job.machine
    if (!m || missing.value.length > 0) return null
    const of = (n: SetUpNumber) => value(n) as number
    const f = form.value
    const side = f.carriedBy === 'movable' ? -1 : 1
    const [inboard, outboard] = m.feet
    return {
      units: units.value as UnitSystem,
      method: 'rim-face',
      turning: f.turning,
      rim: {
        carriedBy: f.carriedBy,
        plane: side * of('rimPlane') || 0,
        sag: sagHang.value ?? 0,
        sagForm: f.sagForm,
        graduation: of('graduation'),
        readingSign: f.rises === 'rises' ? 1 : -1,
      },
      face: {
        plunger: f.plunger,
        diameter: of('face') * (f.diameterForm === 'radius' ? 2 : 1),
        diameterForm: f.diameterForm,
        sag: of('faceSag'),
        graduation: of('graduation'),
        readingSign: f.faceRises === 'rises' ? 1 : -1,
      },
      feet: [
        { id: inboard.id, x: of('toInboard') },
        { id: outboard.id, x: of('toInboard') + of('inboardToOutboard') },
      ],
      returned: { rim: of('rimReturned'), face: of('faceReturned') },
    }
  })

  useUnitsOfDraft(form, (was) => {
    for (const name of names) {
      const inch = SET_UP_MEASURES[name] === 'distance' ? 'in' : 'mil'
      form.value[name] = withUnit(form.value[name], was === 'metric' ? 'mm' : inch)
    }
  })

  return { form, begin, remark, value, payload, missing, clear }
}
