import { readTypedNumber } from '../../core/units/typedNumber'
import { RULE_NAMES, RULES_ONLY_FOR } from '../../core/comeBack/rules'
import { namesFor } from '../../core/register/drive'
import type { UnitSystem } from '../../core/units/unitSystem'
import { comeBackWords, setUpWords, typingWords } from '../wording/en'
import { OWN_END, type Words } from '../wording/words'
import type { FootWords } from '../wording/telling'
import { recordWords } from '../wording/viewWords'
import { beltBoxes, blankBelt } from './beltBoxes'
import { boxesOf, type RecordBox } from './boxes'
import { blankCoupled, coupledBoxes } from './coupledBoxes'
import { blankDrum, drumBoxes } from './drumBoxes'
import { blankGear, gearBoxes } from './gearBoxes'
import { blankFlange, flangeBoxes } from './flangeBoxes'
import { blankTrain, namedByEnds, trainBoxes } from './trainBoxes'
import type { MachineFields, MachineRecord } from './machine'

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

const commonBoxes = (record: MachineFields): readonly RecordBox[] => {
  const w = recordWords
  const { text, number } = boxesOf(w.groups.what)
  return [
    text('tag', w.tag),
    text('name', w.name),
    text('area', w.area),
    // A train is called by the machines at its ends.
    ...(record.drive === 'train'
      ? []
      : [text('movableName', w.movableName), text('stationaryName', w.stationaryName)]),
    ...('couplingKind' in record ? [text('couplingKind', w.couplingKind)] : []),
    number('powerKw', w.power, 'plain'),
    number('rpm', w.rpm, 'plain'),
  ]
}

const comeBackBoxes = ({ drive }: MachineFields, words: Words): readonly RecordBox[] => {
  const w = comeBackWords(words).rules
  const { number } = boxesOf(w.group, 'comeBack.')
  return namesFor(RULE_NAMES, RULES_ONLY_FOR, drive).map((id) =>
    number(id, w[id], 'plain', { optional: true, absent: true }),
  )
}

/** What is asked of a machine by its drive. One case a kind. */
const ownBoxes = (record: MachineFields, chosen: FootWords, words: Words): readonly RecordBox[] => {
  switch (record.drive) {
    case 'coupled':
      return coupledBoxes(record, words, chosen)
    case 'train':
      return trainBoxes(record, words)
    case 'flange':
      return flangeBoxes(record, words)
    case 'drum':
      return drumBoxes(record, words, chosen)
    case 'gear':
      return gearBoxes(record, words)
    case 'belt':
      return beltBoxes(record, words)
  }
}

/** The boxes of a machine's form, in the order they are read off the machine. */
export const recordBoxes = (
  record: MachineFields,
  chosen: FootWords = 'inboard-outboard',
  words: Words = OWN_END,
): readonly RecordBox[] => [
  ...commonBoxes(record),
  ...ownBoxes(record, chosen, words),
  ...comeBackBoxes(record, words),
]

/** A machine like this one: everything but its identity, and what was learned of that machine alone. */
export const recordLike = (known: MachineRecord): MachineFields => {
  const { id: _, version: __, ...record } = known
  if (record.drive === 'gear')
    return { ...record, tag: '', gear: { ...record.gear, leftAs: null, responses: NO_RESPONSES } }
  if (record.drive === 'train') {
    const { growth: _growth, ...own } = record
    return { ...own, tag: '' }
  }
  if (record.drive !== 'coupled') return { ...record, tag: '' }
  const { target: ___, ...own } = record
  return { ...own, tag: '' }
}

const NO_RESPONSES = { blocks: null, gear: null }

/** What stands in the boxes for a record, by path. */
export const recordTexts = (record: MachineFields, boxes: readonly RecordBox[]): Record<string, string> =>
  Object.fromEntries(
    boxes.map((f) => {
      const value = at(record, f.path)
      if (f.kind === 'shims') return [f.path, (value as readonly number[]).join(' + ')]
      return [f.path, value === null || value === undefined ? '' : String(value)]
    }),
  )

/** The record that the boxes make, or what is wrong, by path. Everything without a box stays as it was. */
export const readRecord = (
  texts: Readonly<Record<string, string>>,
  base: MachineFields,
  boxes: readonly RecordBox[],
  words: Words = OWN_END,
): { readonly record: unknown; readonly faults: Readonly<Record<string, string>> } => {
  const faults: Record<string, string> = {}
  const units: UnitSystem = base.units
  let record: unknown = base
  for (const f of boxes) {
    const text = texts[f.path] ?? ''
    switch (f.kind) {
      case 'choice':
        // What was never chosen stays unknown.
        if (text !== '' || at(base, f.path) !== undefined) record = put(record, f.path, text)
        break
      case 'text':
        if (!f.absent || text.trim() !== '') record = put(record, f.path, text.trim())
        else if (at(base, f.path) !== undefined) record = put(record, f.path, undefined)
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
        if (bad && !bad.ok) faults[f.path] = typingWords(words).faults[bad.fault]
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
          // A part of the record that nobody has filled yet isn't begun by an empty box.
          const begun = at(record, f.path.slice(0, f.path.lastIndexOf('.'))) !== undefined
          if (!f.absent || at(base, f.path) === null) record = put(record, f.path, null)
          else if (begun) record = put(record, f.path, undefined)
          break
        }
        const read = readTypedNumber(text, f.measure, units)
        if (read.ok) record = put(record, f.path, read.value)
        else faults[f.path] = typingWords(words).faults[read.fault]
      }
    }
  }
  return { record: namedByEnds(record), faults }
}

/** What each kind of drive has, empty. */
const BLANK = {
  coupled: blankCoupled,
  train: blankTrain,
  flange: blankFlange,
  drum: blankDrum,
  gear: blankGear,
  belt: blankBelt,
} as const

/** An empty record of a kind of drive, to be filled by the form; zeros are not yet valid and must be typed. */
export const blankRecord = (drive: MachineFields['drive'], units: UnitSystem): MachineFields => ({
  tag: '',
  name: '',
  area: '',
  movableName: setUpWords(OWN_END).view.motor,
  stationaryName: '',
  powerKw: 0,
  units,
  rpm: 0,
  ...BLANK[drive](),
})

/**
 * The record once such a choice is made: the part it stands in is a new one with its own boxes, all that is typed
 * elsewhere stays. The same record where nothing changes.
 */
export const openedBy = (base: MachineFields, box: RecordBox, value: string): MachineFields => {
  const part = box.kind === 'choice' ? box.opens?.[value] : undefined
  if (!part || at(base, box.path) === value) return base
  const parent = box.path.split('.').slice(0, -1).join('.')
  return put(base, parent, part) as MachineFields
}
