import { BELT_KINDS } from '../../core/belt/sheaveLine'
import { BASE_KINDS, MOTOR_PLACES, PULLS } from '../../core/register/beltMachine'
import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import type { UnitSystem } from '../../core/units/unitSystem'
import { en, type Words } from '../wording/en'
import { capital, nameFeet, type FootWords } from '../wording/telling'
import type { BeltFields } from './beltMachine'
import type { CoupledFields } from './coupledMachine'
import type { MachineFields } from './machine'

/** One box of the register form, at its place in the record. */
export type RecordField = { readonly path: string; readonly label: string; readonly group: string } & (
  | { readonly kind: 'text' }
  | {
      readonly kind: 'number'
      readonly measure: TypedMeasure
      readonly signed?: boolean
      readonly optional?: boolean
    }
  | { readonly kind: 'shims' }
  | {
      readonly kind: 'choice'
      readonly options: readonly { readonly value: string; readonly name: string }[]
    }
  | { readonly kind: 'toggle' }
)

type Plain = Record<string, unknown>

const at = (record: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((now, key) => (now as Plain | undefined)?.[key], record)

/** A copy with the value at this path replaced. */
const put = (record: unknown, path: string, value: unknown): unknown => {
  const [head = '', ...rest] = path.split('.')
  const inner = rest.length === 0 ? value : put((record as Plain)[head], rest.join('.'), value)
  if (Array.isArray(record)) return record.map((x, i) => (String(i) === head ? inner : (x as unknown)))
  return { ...(record as Plain), [head]: inner }
}

const common = (record: MachineFields): readonly RecordField[] => [
  { group: 'What it is', path: 'tag', label: 'Tag', kind: 'text' },
  { group: 'What it is', path: 'name', label: 'Name', kind: 'text' },
  { group: 'What it is', path: 'area', label: 'Where it stands', kind: 'text' },
  { group: 'What it is', path: 'movableName', label: 'What drives', kind: 'text' },
  { group: 'What it is', path: 'stationaryName', label: 'What is driven', kind: 'text' },
  ...(record.drive === 'coupled'
    ? [{ group: 'What it is', path: 'couplingKind', label: 'Coupling', kind: 'text' } as const]
    : []),
  { group: 'What it is', path: 'powerKw', label: 'Power, kW', kind: 'number', measure: 'plain' },
  { group: 'What it is', path: 'rpm', label: 'Nameplate speed, rpm', kind: 'number', measure: 'plain' },
]

const coupled = (record: CoupledFields, words: Words, chosen: FootWords): readonly RecordField[] => {
  const names = nameFeet(words, chosen, record)
  const usual: readonly RecordField[] =
    record.usual.method === 'rim-face'
      ? [
          {
            group: 'Usual set-up',
            path: 'usual.rimPlane',
            label: 'Rim dial’s plane',
            kind: 'number',
            measure: 'distance',
            signed: true,
          },
          {
            group: 'Usual set-up',
            path: 'usual.faceDiameter',
            label: 'Face circle, diameter',
            kind: 'number',
            measure: 'distance',
          },
        ]
      : [
          {
            group: 'Usual set-up',
            path: 'usual.onStationary',
            label: 'Dial on the driven hub',
            kind: 'number',
            measure: 'distance',
            signed: true,
          },
          {
            group: 'Usual set-up',
            path: 'usual.onMovable',
            label: 'Dial on the motor hub',
            kind: 'number',
            measure: 'distance',
            signed: true,
          },
        ]
  const pairs = record.feet.movable.flatMap((pair, i): readonly RecordField[] => {
    const name = capital(names(pair.id))
    const path = (key: string) => `feet.movable.${i}.${key}`
    const group = `${name} feet`
    return [
      {
        group,
        path: path('x'),
        label: `Coupling to ${names(pair.id)} feet`,
        kind: 'number',
        measure: 'distance',
      },
      { group, path: path('existing.left'), label: `Shims under ${names(pair.id)} left`, kind: 'shims' },
      { group, path: path('existing.right'), label: `Shims under ${names(pair.id)} right`, kind: 'shims' },
      {
        group,
        path: path('sidePlus'),
        label: `${name} room toward 3`,
        kind: 'number',
        measure: 'displacement',
      },
      {
        group,
        path: path('sideMinus'),
        label: `${name} room toward 9`,
        kind: 'number',
        measure: 'displacement',
      },
      {
        group,
        path: path('maxPack'),
        label: `${name} highest pack`,
        kind: 'number',
        measure: 'displacement',
      },
      { group, path: path('locked'), label: `${name} feet locked`, kind: 'toggle' },
    ]
  })
  const { tolerance } = record
  const limits: readonly RecordField[] =
    tolerance.form === 'offset-slope'
      ? [
          {
            group: 'Limits',
            path: 'tolerance.offset',
            label: 'Offset limit',
            kind: 'number',
            measure: 'displacement',
          },
          {
            group: 'Limits',
            path: 'tolerance.slope',
            label: 'Angle limit, mil/in or mm/100 mm',
            kind: 'number',
            measure: 'plain',
          },
        ]
      : tolerance.form === 'speed-rule'
        ? [
            {
              group: 'Limits',
              path: 'tolerance.grade',
              label: 'Starting rule by speed',
              kind: 'choice',
              options: [
                { value: 'standard', name: 'Standard' },
                { value: 'fine', name: 'Fine' },
              ],
            },
          ]
        : []
  return [...usual, ...pairs, ...limits]
}

const belt = (record: BeltFields, words: Words): readonly RecordField[] => {
  const w = words.belts
  const named = <T extends string>(list: readonly T[], name: (v: T) => string) =>
    list.map((value) => ({ value, name: name(value) }))
  const sheave = (place: 'motor' | 'driven'): readonly RecordField[] => {
    const group = w.sheaves[place]
    const path = (key: string) => `sheaves.${place}.${key}`
    return [
      {
        group,
        path: path('pitchDiameter'),
        label: `${group}: pitch diameter`,
        kind: 'number',
        measure: 'distance',
      },
      { group, path: path('faceWidth'), label: `${group}: face width`, kind: 'number', measure: 'distance' },
      { group, path: path('grooves'), label: `${group}: grooves`, kind: 'number', measure: 'plain' },
      {
        group,
        path: path('depthOuter'),
        label: `${group}: outer face to groove`,
        kind: 'number',
        measure: 'distance',
      },
      {
        group,
        path: path('depthInner'),
        label: `${group}: inner face to groove`,
        kind: 'number',
        measure: 'distance',
      },
    ]
  }
  const group = 'Base'
  return [
    {
      group: 'Belts',
      path: 'belts.kind',
      label: 'Kind of belt',
      kind: 'choice',
      options: named(BELT_KINDS, (k) => capital(w.kinds[k])),
    },
    { group: 'Belts', path: 'belts.section', label: 'Section', kind: 'text' },
    { group: 'Belts', path: 'belts.count', label: 'How many', kind: 'number', measure: 'plain' },
    { group: 'Belts', path: 'centreDistance', label: 'Centre distance', kind: 'number', measure: 'distance' },
    ...sheave('motor'),
    ...sheave('driven'),
    {
      group,
      path: 'base.kind',
      label: 'Kind of base',
      kind: 'choice',
      options: named(BASE_KINDS, (k) => w.bases[k].name),
    },
    {
      group,
      path: 'base.place',
      label: 'The motor stands',
      kind: 'choice',
      options: named(MOTOR_PLACES, (p) => w.motorPlaces[p]),
    },
    {
      group,
      path: 'base.pull',
      label: 'The belts pull',
      kind: 'choice',
      options: named(PULLS, (p) => w.pulls[p]),
    },
    {
      group,
      path: 'base.footSpacing',
      label: 'Feet apart along the shaft',
      kind: 'number',
      measure: 'distance',
    },
    {
      group,
      path: 'base.sheaveToFeet',
      label: 'Sheave to nearer feet',
      kind: 'number',
      measure: 'distance',
      signed: true,
    },
    { group, path: 'base.shaftHeight', label: 'Shaft above the feet', kind: 'number', measure: 'distance' },
    {
      group,
      path: 'base.screwPitch',
      label: 'Screw travel a turn',
      kind: 'number',
      measure: 'distance',
      optional: true,
    },
    {
      group,
      path: 'base.hubToShaftEnd',
      label: 'Hub face to shaft end',
      kind: 'number',
      measure: 'distance',
      signed: true,
      optional: true,
    },
    {
      group,
      path: 'base.lineAngle',
      label: 'Shaft line above the slide, degrees',
      kind: 'number',
      measure: 'plain',
      signed: true,
    },
    {
      group: 'Limits',
      path: 'limits.offset',
      label: 'Own offset limit',
      kind: 'number',
      measure: 'distance',
      optional: true,
    },
    {
      group: 'Limits',
      path: 'limits.angle',
      label: 'Own angle limit, degrees',
      kind: 'number',
      measure: 'plain',
      optional: true,
    },
    { group: 'Limits', path: 'limits.source', label: 'Where the limit comes from', kind: 'text' },
  ]
}

/** The boxes of a machine's form, in the order they are read off the machine. */
export const recordFields = (
  record: MachineFields,
  chosen: FootWords = 'inboard-outboard',
  words: Words = en,
): readonly RecordField[] => [
  ...common(record),
  ...(record.drive === 'coupled' ? coupled(record, words, chosen) : belt(record, words)),
]

/** What stands in the boxes for a record, by path. */
export const recordTexts = (record: MachineFields, fields: readonly RecordField[]): Record<string, string> =>
  Object.fromEntries(
    fields.map((f) => {
      const value = at(record, f.path)
      if (f.kind === 'shims') return [f.path, (value as readonly number[]).join(' + ')]
      return [f.path, value === null || value === undefined ? '' : String(value)]
    }),
  )

/** The record that the boxes make, or what is wrong, by path. Everything without a box stays as it was. */
export const readRecord = (
  texts: Readonly<Record<string, string>>,
  base: MachineFields,
  fields: readonly RecordField[],
  words: Words = en,
): { readonly record: unknown; readonly faults: Readonly<Record<string, string>> } => {
  const faults: Record<string, string> = {}
  const units: UnitSystem = base.units
  let record: unknown = base
  for (const f of fields) {
    const text = texts[f.path] ?? ''
    switch (f.kind) {
      case 'text':
      case 'choice':
        record = put(record, f.path, text.trim())
        break
      case 'toggle':
        record = put(record, f.path, text === 'true')
        break
      case 'shims': {
        const parts = text
          .split('+')
          .map((p) => p.trim())
          .filter(Boolean)
        const read = parts.map((p) => readTypedNumber(p, 'displacement', units))
        const bad = read.find((r) => !r.ok)
        if (bad && !bad.ok) faults[f.path] = words.typing.faults[bad.fault]
        else
          record = put(
            record,
            f.path,
            read.flatMap((r) => (r.ok ? [r.value] : [])),
          )
        break
      }
      case 'number': {
        if (f.optional && text.trim() === '') {
          record = put(record, f.path, null)
          break
        }
        const read = readTypedNumber(text, f.measure, units)
        if (read.ok) record = put(record, f.path, read.value)
        else faults[f.path] = words.typing.faults[read.fault]
      }
    }
  }
  return { record, faults }
}

const pair = (id: string) => ({
  id,
  x: 0,
  existing: { left: [], right: [] },
  maxPack: 0,
  sidePlus: 0,
  sideMinus: 0,
  locked: false,
})

/** An empty record of a kind of drive, to be filled by the form; zeros are not yet valid and must be typed. */
export const blankRecord = (drive: MachineFields['drive'], units: UnitSystem): MachineFields => {
  const base = {
    tag: '',
    name: '',
    area: '',
    movableName: 'Motor',
    stationaryName: '',
    powerKw: 0,
    units,
    rpm: 0,
  }
  if (drive === 'coupled')
    return {
      drive,
      ...base,
      couplingKind: '',
      usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
      feet: { movable: [pair('inboard'), pair('outboard')], stationary: [] },
      tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
    }
  const sheave = { pitchDiameter: 0, faceWidth: 0, grooves: 1, depthOuter: 0, depthInner: 0 }
  return {
    drive,
    ...base,
    sheaves: { motor: sheave, driven: sheave },
    centreDistance: 0,
    belts: { kind: 'v', section: '', count: 1 },
    base: {
      kind: 'slide-screws',
      place: 'beside',
      pull: 'level',
      footSpacing: 0,
      sheaveToFeet: 0,
      shaftHeight: 0,
      screwPitch: null,
      hubToShaftEnd: null,
      lineAngle: 0,
    },
    limits: { angle: null, tilt: null, offset: null, source: '' },
  }
}
