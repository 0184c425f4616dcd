import { setUpWords } from '../../wording/en'
import { travels, type Turning } from '../../../core/coupling/dialSet'
import { sagOnPipe, type PipeFault, type PipeTurn } from '../../../core/setup/barOnPipe'
import { sagDiffers } from '../../../core/setup/distanceSlip'
import { readNudge, type NudgeSays } from '../../../core/setup/nudge'
import { methodToCore, type MethodGiven } from '../../../core/methods/methods'
import type { FootedMachine } from '../../../core/register/footedMachine'
import type { FlangeMachine } from '../../../core/register/machine'
import type { SurfaceRunout } from '../../../core/stages/level/runouts'
import { checksFor, type SetUpCheck } from '../../../core/stages/setUp/checks'
import type { SetUpPayload } from '../../../core/stages/setUp/entries'
import { stillMachine, stillSurface } from '../../../core/stages/setUp/stillSurface'
import { beyondReturnLimit } from '../../../core/trust/returnToZero'
import { fromCore, toCore, type UnitSystem } from '../../../core/units/unitSystem'
import {
  asSmall,
  asTape,
  asking,
  faulty,
  NO_REMARK,
  typedMillimetres,
  unitOf,
  withUnit,
  type Remark,
} from '../../forms/typed'
import type { FormValues, MethodForm, NumberField } from '../../methods/form'
import { METHOD_FORMS, usualValues, type OfferedMethod } from '../../methods/forms'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import { flangeBoxes, nameFlangeUnits, readFlange, startFlange, type FlangeTexts } from './flangeTape'
import { slipRemark } from './slip'

/** What stands in the set-up boxes, as typed. */
export interface SetUpTexts {
  units: UnitSystem
  method: OfferedMethod
  turning: Turning
  toldSag: 'hang' | 'pipe-at-6'
  toldCircle: 'diameter' | 'radius'
  /** Numbers of the method, by field. */
  numbers: Record<string, string>
  /** Words of the method, by field. */
  choices: Record<string, string>
  /** From the coupling centre to the first pair, then from each pair to the next. */
  feet: string[]
  graduation: string
  /** By circle. */
  returned: Record<string, string>
  why: string
  /** What is ticked as checked. */
  checked: SetUpCheck[]
  /** Bars turned on a pipe, by the number of their sag. */
  pipe: Record<string, PipeTexts>
  /** What both heads' figures changed by when the movable machine's was nudged. */
  nudged: { own: string; other: string }
  /** The mark of the still hub that stands at 12; empty leaves its run-out in. */
  markUp: string
  /** How the instrument is marked to be fitted again. */
  refit: string
  /** The flange by tape; null where the machine stands on feet. */
  flange: FlangeTexts | null
}

/** What a dial showed on a pipe, zeroed at 12. */
export interface PipeTexts {
  at3: string
  at6: string
  at9: string
  back: string
}
export const NO_PIPE: PipeTexts = { at3: '', at6: '', at9: '', back: '' }

/** What a new set-up is held against: the register, and this machine's last set-up. */
export interface SetUpContext {
  readonly machine: FootedMachine | FlangeMachine
  /** This job's last set-up, or the last job's; null for the first of all. */
  readonly last: SetUpPayload | null
  /** Set-up of the job before this one, for the questions. */
  readonly lastJob: SetUpPayload | null
  /** Hubs that were turned in this job. */
  readonly turned?: readonly SurfaceRunout[]
}

/** Foot pairs of the movable machine; none where it stands on a flange. */
const pairsOf = (machine: SetUpContext['machine']) => (machine.drive === 'flange' ? [] : machine.feet.movable)

/** Methods that make sense on this machine, in the order they are offered: a flange has neither feet nor a spool, a drum is trammed. */
export const methodsFor = ({ drive }: SetUpContext['machine']): readonly OfferedMethod[] =>
  drive === 'drum'
    ? ['rim-face']
    : (Object.keys(METHOD_FORMS) as OfferedMethod[]).filter(
        (m) => drive !== 'flange' || (m !== 'foot-values' && m !== 'spacer-faces'),
      )

/** What a tram leaves nobody to choose: rods from the motor's own half, counted from where the rim dial runs. */
const SETTLED_AT_A_DRUM: readonly string[] = ['rimPlane', 'carriedBy']

/** The choices a method asks for on this machine. */
export const choicesOf = (method: OfferedMethod, { drive }: SetUpContext['machine']) =>
  METHOD_FORMS[method].choices.filter((c) => drive !== 'drum' || !SETTLED_AT_A_DRUM.includes(c.id))

/** The numbers a method asks for on this machine: a bar on an upright shaft hangs the same at every hour. */
export const numbersOf = (method: OfferedMethod, machine: SetUpContext['machine']): readonly NumberField[] =>
  METHOD_FORMS[method].numbers.filter((f) => {
    if (machine.drive === 'drum') return !SETTLED_AT_A_DRUM.includes(f.id)
    return !((f.sag || f.hangs) && machine.drive === 'flange')
  })

/** The first of each choice. */
const startingChoices = (form: MethodForm): Readonly<Record<string, string>> =>
  Object.fromEntries(form.choices.map((c) => [c.id, c.options[0] ?? '']))

const coreHow = (setUp: SetUpPayload): MethodGiven =>
  ({ method: setUp.how.method, given: methodToCore(setUp.how, setUp.units) }) as MethodGiven

/** Foot distances of a machine in millimetres: register, or what was taped last. */
const knownFeet = ({ machine, last }: SetUpContext): readonly (number | null)[] =>
  pairsOf(machine).map((pair) => {
    const taped = last?.feet.find((f) => f.machine === 'movable' && f.pair === pair.id)
    if (taped && last) return toCore(taped.x, 'distance', last.units)
    return pair.x === null ? null : toCore(pair.x, 'distance', machine.units)
  })

const increments = (feet: readonly (number | null)[]): readonly (number | null)[] =>
  feet.map((x, i) => (x === null ? null : x - (feet[i - 1] ?? 0)))

/** Boxes filled from this job's last set-up, else from the register and the last job's words; the turn stays blank. */
export const startSetUp = (context: SetUpContext, units: UnitSystem, method?: OfferedMethod): SetUpTexts => {
  const { machine, last } = context
  const how = last ? coreHow(last) : null
  const chosen = method ?? how?.method ?? machine.usual.method
  const form = METHOD_FORMS[chosen]
  const before = how && form.valuesOf(how)
  const usual = machine.usual.method === chosen ? usualValues(machine.usual, machine.units) : null
  const feet = knownFeet(context)
  const atFeet = Object.fromEntries(
    form.numbers.flatMap((f) => {
      const mm = f.foot && (f.foot === 'near' ? feet[0] : feet[feet.length - 1])
      return mm == null ? [] : [[f.id, mm]]
    }),
  )
  const known: Readonly<Record<string, number>> = { ...atFeet, ...usual?.numbers, ...before?.numbers }
  const choices = { ...startingChoices(form), ...usual?.choices, ...before?.choices }
  const numbers = Object.fromEntries(
    form.numbers.map((f) => {
      const mm = known[f.id]
      if (mm === undefined) return [f.id, f.usually?.[units] ?? '']
      // Sag is asked anew in every job: it is what gets forgotten.
      if (f.sag && context.last === context.lastJob) return [f.id, '']
      return [f.id, f.measure === 'distance' ? asTape(mm, units) : asSmall(mm, units)]
    }),
  )
  const graduation = last && Math.max(...Object.values(last.graduation))
  return {
    units,
    method: chosen,
    turning: machine.drive === 'drum' ? 'movable' : 'both',
    toldSag: 'hang',
    toldCircle: 'diameter',
    numbers,
    choices,
    feet: increments(feet).map((mm) => (mm === null ? '' : asTape(mm, units))),
    graduation: graduation
      ? asSmall(toCore(graduation, 'displacement', last.units), units)
      : units === 'inch'
        ? '0.5'
        : '0.01',
    returned: Object.fromEntries(form.circles(choices).map((c) => [c, ''])),
    why: '',
    checked: [],
    pipe: {},
    nudged: { own: '', other: '' },
    markUp: '',
    refit: how?.method === chosen ? (last?.refit ?? '') : '',
    flange: machine.drive === 'flange' ? startFlange(machine, last, units) : null,
  }
}

/** The boxes of a logged set-up, to correct it. */
export const editSetUp = (setUp: SetUpPayload, context: SetUpContext, units: UnitSystem): SetUpTexts => {
  const small = (x: number) => asSmall(toCore(x, 'displacement', setUp.units), units)
  const texts = startSetUp({ ...context, last: setUp, lastJob: null }, units)
  return {
    ...texts,
    turning: 'rim' in setUp.how.given ? (setUp.how.given.rim.turning ?? 'both') : texts.turning,
    returned: Object.fromEntries(Object.entries(setUp.returned).map(([c, x]) => [c, small(x)])),
    why: setUp.why,
    checked: [...(setUp.checked ?? [])],
    pipe: Object.fromEntries(
      Object.entries(setUp.pipe ?? {}).map(([id, t]) => {
        const text = (x: number | null) => (x === null ? '' : small(x))
        return [id, { at3: text(t.at3), at6: small(t.at6), at9: text(t.at9), back: small(t.back) }]
      }),
    ),
    nudged: setUp.nudged ? { own: small(setUp.nudged.own), other: small(setUp.nudged.other) } : texts.nudged,
    markUp: setUp.markUp === undefined ? '' : String(setUp.markUp),
    refit: setUp.refit ?? '',
  }
}

/** The same texts meaning the same in other units: each bare figure gets its unit written behind it. */
export const nameSetUpUnits = (texts: SetUpTexts, was: UnitSystem): void => {
  for (const f of METHOD_FORMS[texts.method].numbers)
    texts.numbers[f.id] = withUnit(texts.numbers[f.id] ?? '', unitOf(f.measure, was))
  if (texts.flange) texts.flange = nameFlangeUnits(texts.flange, was)
  texts.feet = texts.feet.map((t) => withUnit(t, unitOf('distance', was)))
  texts.graduation = withUnit(texts.graduation, unitOf('displacement', was))
  const small = (text: string) => withUnit(text, unitOf('displacement', was))
  for (const c of Object.keys(texts.returned)) texts.returned[c] = small(texts.returned[c] ?? '')
  for (const turn of Object.values(texts.pipe))
    for (const at of ['at3', 'at6', 'at9', 'back'] as const) turn[at] = small(turn[at])
  texts.nudged = { own: small(texts.nudged.own), other: small(texts.nudged.other) }
}

/** A bar turned on a pipe: how far it hangs, and what is odd about the turn. */
export interface PipeRead {
  readonly turn: PipeTurn
  readonly hang: number
  readonly faults: readonly PipeFault[]
}

/** Reads one bar's turn on a pipe, millimetres; null until 6 and the return were read. */
export const readPipe = (texts: SetUpTexts, id: string, units: UnitSystem): PipeRead | null => {
  const boxes = texts.pipe[id]
  const counts = METHOD_FORMS[texts.method].numbers.find((f) => f.id === id)?.counts
  const sign = counts && texts.choices[counts] === 'falls' ? -1 : 1
  const at = (text: string | undefined) => {
    const mm = typedMillimetres(text, 'displacement', units)
    return mm === null ? null : mm * sign || 0
  }
  const [at6, back] = [at(boxes?.at6), at(boxes?.back)]
  if (at6 === null || back === null) return null
  const turn = { at3: at(boxes?.at3), at6, at9: at(boxes?.at9), back }
  const graduation = typedMillimetres(texts.graduation, 'displacement', units) ?? 0
  return { turn, ...sagOnPipe(turn, Math.max(0, graduation)) }
}

/** Name of a box: `numbers.sag`, `feet.0`, `turning`, `graduation`, `returned.rim`, `why`. */
export type SetUpBox = string

export interface SetUpRead {
  /** In the order they are filled. */
  readonly boxes: readonly SetUpBox[]
  readonly remarks: Readonly<Record<SetUpBox, Remark>>
  /** Boxes that hold nothing usable yet, in order. */
  readonly missing: readonly SetUpBox[]
  readonly missesZero: boolean
  /** What nudging the heads says; null where it was not done, or isn't asked. */
  readonly nudge: NudgeSays | null
  /** Millimetres of each number that can be read, for the drawing. */
  readonly numbers: Readonly<Record<string, number>>
  /** Distance of each pair from the centre, millimetres; null from the first that is missing on. */
  readonly feet: readonly (number | null)[]
  /** The flange as far as it is taped, millimetres; null on feet. */
  readonly flange: { readonly plane: number | null; readonly across: number | null } | null
  readonly payload: SetUpPayload | null
}

/** A sag that was rounded to be shown is still the one of the pipe; millimetres. */
const SHOWN_ALIKE = 0.002

/** What is to be checked for the set-up in the boxes. */
export const checksOf = (texts: SetUpTexts, machine: SetUpContext['machine']): readonly SetUpCheck[] =>
  checksFor(
    machine,
    texts.method,
    METHOD_FORMS[texts.method].circles(texts.choices).filter((c) => c.startsWith('face')).length,
  )

/** Reads the boxes: what they hold, what is odd about it, and the entry they make. */
export const readSetUp = (texts: SetUpTexts, context: SetUpContext, telling: Telling): SetUpRead => {
  const { units, words } = telling
  const form = METHOD_FORMS[texts.method]
  const remarks: Record<string, Remark> = {}
  const missing: string[] = []
  const boxes: string[] = []
  const usual =
    context.machine.usual.method === texts.method
      ? usualValues(context.machine.usual, context.machine.units)
      : null
  const lastValues = context.lastJob ? form.valuesOf(coreHow(context.lastJob)) : null
  const w = setUpWords(words)

  const readNumber = (field: NumberField): number | null => {
    const typed = typedMillimetres(texts.numbers[field.id], field.measure, units)
    if (typed === null) return null
    if (field.sag) return texts.toldSag === 'hang' ? typed : Math.abs(typed) / 2
    return field.circle && texts.toldCircle === 'radius' ? typed * 2 : typed
  }
  const remarkOn = (field: NumberField, mm: number): Remark => {
    if (field.sag) {
      if (mm < 0) return faulty(w.noSign)
      const pipe = readPipe(texts, field.id, units)
      if (pipe && Math.abs(pipe.hang - mm) < SHOWN_ALIKE)
        return asking(w.pipe.measured(figure(pipe.turn.at6, 'displacement', units, { unit: true })))
      const known = lastValues?.numbers[field.id]
      if (known !== undefined && sagDiffers(mm, known))
        return asking(w.sagDiffers(figure(known, 'displacement', units, { unit: true })))
      const shown = (x: number) => figure(x, 'displacement', units, { unit: true })
      return asking(texts.toldSag === 'hang' ? w.sagAt6(shown(-2 * mm)) : w.sagHangs(shown(mm)))
    }
    if (!field.signed && mm <= 0) return faulty(w.aboveZero)
    if (field.measure === 'displacement') return NO_REMARK
    const registered = usual?.numbers[field.id]
    if (registered !== undefined) {
      const slip = slipRemark(mm, registered, w.register, telling)
      if (slip.text) return slip
    }
    const before = lastValues?.numbers[field.id]
    return before === undefined ? NO_REMARK : slipRemark(mm, before, w.lastJob, telling)
  }

  const numbers: Record<string, number> = {}
  for (const field of numbersOf(texts.method, context.machine)) {
    const box = `numbers.${field.id}`
    boxes.push(box)
    const mm = readNumber(field)
    if (mm === null) {
      missing.push(box)
      continue
    }
    numbers[field.id] = mm
    const remark = remarkOn(field, mm)
    remarks[box] = remark
    if (remark.fault) missing.push(box)
  }

  const registered = increments(
    pairsOf(context.machine).map((p) =>
      p.x === null ? null : toCore(p.x, 'distance', context.machine.units),
    ),
  )
  const lastFeet = context.lastJob ? increments(knownFeet({ ...context, last: context.lastJob })) : null
  const feet: (number | null)[] = []
  // A tram needs no tape: then every one of them stays empty.
  const untaped = context.machine.drive === 'drum' && texts.feet.every((t) => t.trim() === '')
  texts.feet.forEach((text, i) => {
    const box = `feet.${i}`
    boxes.push(box)
    const mm = typedMillimetres(text, 'distance', units)
    const from = i === 0 ? 0 : (feet[i - 1] ?? null)
    feet.push(mm === null || from === null || mm <= 0 ? null : from + mm)
    if (mm === null) {
      if (!untaped) missing.push(box)
    } else if (mm <= 0) {
      remarks[box] = faulty(w.aboveZero)
      missing.push(box)
    } else {
      const slip = slipRemark(mm, registered[i] ?? mm, w.register, telling)
      remarks[box] = slip.text || !lastFeet ? slip : slipRemark(mm, lastFeet[i] ?? mm, w.lastJob, telling)
    }
  })

  const { machine } = context
  const flange =
    machine.drive === 'flange' && texts.flange
      ? readFlange(texts.flange, machine, context.lastJob, telling)
      : null
  if (flange && texts.flange) {
    boxes.push(...flangeBoxes(texts.flange).map((b) => `flange.${b}`))
    Object.assign(remarks, flange.remarks)
    missing.push(...flange.missing)
  }

  if (form.reads === 'dials' && machine.drive !== 'drum') boxes.push('turning')
  if (!form.dials(texts.choices).every((d) => travels({ ...d, turning: texts.turning }))) {
    remarks.turning = faulty(w.neverTravels)
    missing.push('turning')
  }
  boxes.push('graduation')
  const graduation = typedMillimetres(texts.graduation, 'displacement', units)
  if (graduation === null) missing.push('graduation')
  else if (graduation <= 0) {
    remarks.graduation = faulty(w.aboveZero)
    missing.push('graduation')
  }
  const returned: Record<string, number> = {}
  const circles = form.circles(texts.choices)
  for (const circle of form.reads === 'dials' ? circles : []) {
    const box = `returned.${circle}`
    boxes.push(box)
    const mm = typedMillimetres(texts.returned[circle], 'displacement', units)
    if (mm === null) missing.push(box)
    else returned[circle] = mm
  }
  const missesZero = circles.some((c) => {
    const mm = returned[c]
    return mm !== undefined && graduation !== null && beyondReturnLimit(mm, units, graduation)
  })
  if (missesZero) {
    boxes.push('why')
    if (texts.why.trim() === '') missing.push('why')
  }

  const inUnits = (mm: number, measure: 'distance' | 'displacement') =>
    Number(fromCore(mm, measure, units).toPrecision(12))
  // Which head is which: nudging one is believed over its name.
  const own = typedMillimetres(texts.nudged.own, 'displacement', units)
  const other = typedMillimetres(texts.nudged.other, 'displacement', units)
  const nudged = texts.method === 'heads' && own !== null && other !== null ? { own, other } : null
  const nudge = nudged && readNudge(nudged.own, nudged.other, graduation ?? 0)
  if (texts.method === 'heads') boxes.push('nudged.own', 'nudged.other')
  if (nudge === 'as-named') remarks['nudged.own'] = asking(w.nudge['as-named'])
  else if (nudge) {
    remarks['nudged.own'] = faulty(w.nudge[nudge])
    missing.push('nudged.own')
  }
  const proved = (c: SetUpCheck) => c === 'each-own-machine' && nudge === 'as-named'
  const checked = checksOf(texts, context.machine).filter((c) => texts.checked.includes(c) || proved(c))

  const still = stillMachine(texts.turning)
  const markUp = still && texts.markUp !== '' ? Number(texts.markUp) : null
  const lyingStill = (surface: 'rim' | 'face') =>
    still && markUp !== null
      ? (stillSurface(context.turned ?? [], still, surface, markUp, numbers.faceCircle ?? null)?.map((r) => ({
          ...r,
          value: inUnits(r.value, 'displacement'),
        })) ?? null)
      : null
  const bars = numbersOf(texts.method, machine).flatMap((f) => {
    const pipe = f.sag ? readPipe(texts, f.id, units) : null
    // A sag typed over after the pipe is another sag.
    return pipe && Math.abs(pipe.hang - (numbers[f.id] ?? NaN)) < SHOWN_ALIKE
      ? [[f.id, pipe.turn] as const]
      : []
  })
  const small = (mm: number) => inUnits(mm, 'displacement')
  const pipeIn = ({ at3, at6, at9, back }: PipeTurn): PipeTurn => ({
    at3: at3 === null ? null : small(at3),
    at6: small(at6),
    at9: at9 === null ? null : small(at9),
    back: small(back),
  })
  const payload = (): SetUpPayload => {
    // A method's form knows no units: given numbers in the entry's, it makes the entry's set-up.
    const values: FormValues = {
      numbers: Object.fromEntries(form.numbers.map((f) => [f.id, inUnits(numbers[f.id] ?? 0, f.measure)])),
      choices: texts.choices,
      turning: texts.turning,
      still: { rim: lyingStill('rim'), face: lyingStill('face') },
    }
    return {
      units,
      how: form.given(values),
      told: { sag: texts.toldSag, circle: texts.toldCircle },
      feet: (untaped ? [] : pairsOf(machine)).map((p, i) => ({
        machine: 'movable',
        pair: p.id,
        x: inUnits(feet[i] ?? 0, 'distance'),
      })),
      ...(flange?.taped
        ? {
            flange: {
              told: flange.taped.told,
              across: {
                v: inUnits(flange.taped.across.v, 'distance'),
                h: inUnits(flange.taped.across.h, 'distance'),
              },
              plane: inUnits(flange.taped.plane, 'distance'),
            },
          }
        : {}),
      graduation: Object.fromEntries(circles.map((c) => [c, inUnits(graduation ?? 0, 'displacement')])),
      returned: Object.fromEntries(circles.map((c) => [c, inUnits(returned[c] ?? 0, 'displacement')])),
      why: missesZero ? texts.why.trim() : '',
      ...(checked.length > 0 ? { checked } : {}),
      ...(bars.length > 0 ? { pipe: Object.fromEntries(bars.map(([id, t]) => [id, pipeIn(t)])) } : {}),
      ...(nudged ? { nudged: { own: small(nudged.own), other: small(nudged.other) } } : {}),
      ...(markUp !== null && (lyingStill('rim') ?? lyingStill('face')) ? { markUp } : {}),
      ...(texts.refit.trim() ? { refit: texts.refit.trim() } : {}),
    }
  }
  return {
    boxes,
    remarks,
    missing,
    missesZero,
    nudge,
    numbers,
    feet,
    flange: flange && { plane: flange.plane, across: flange.across },
    payload: missing.length === 0 ? payload() : null,
  }
}
