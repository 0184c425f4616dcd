import type { Knex } from 'knex'
import type { BeltState } from '../../core/jobs/belt'
import type { FootedState } from '../../core/jobs/footed'
import type { FlangeState } from '../../core/jobs/flange'
import type { TrainState } from '../../core/jobs/train'
import type { GearState } from '../../core/jobs/gear'
import type { Job } from '../../core/jobs/jobs'
import { beltRegisterChanges } from '../../core/stages/close/beltRegister'
import { gearRegisterChanges } from '../../core/stages/close/gearRegister'
import { flangeRegisterChanges } from '../../core/stages/close/flangeRegister'
import { tapedDistances } from '../../core/stages/close/registerChanges'
import type { ColdTarget } from '../../core/stages/target/target'
import { fromCore } from '../../core/units/unitSystem'
import { machineFields, type MachineSnapshot } from '../../shared/register/machine'
import { clockFace } from '../../shared/wording/clockFace'
import { pack, UNIT_NAMES } from '../../shared/wording/figures'
import { answerWords } from '../../shared/wording/viewWords'
import { findMachine, updateMachine } from '../machines/machines.repository'

/** How the sheaves were set, which belts went on and what travel is left become the register's. */
const rememberBelts = async (
  knex: Knex,
  machine: MachineSnapshot,
  state: BeltState,
): Promise<string | null> => {
  const changes = beltRegisterChanges(state)
  if (changes.length === 0) return null
  const current = await findMachine(knex, machine.tag, true)
  if (!current || current.id !== machine.id || current.drive !== 'belt')
    return answerWords.machineGone(machine.tag)
  const { id, version, ...record } = current
  const inOwn = (mm: number) => Number(fromCore(mm, 'distance', record.units).toPrecision(8))
  let { sheaves, belts, base } = record
  for (const c of changes)
    switch (c.what) {
      case 'setting': {
        const { pitchDiameter, depthOuter, depthInner, build } = state.machine.sheaves[c.place]
        sheaves = {
          ...sheaves,
          [c.place]: { ...sheaves[c.place], pitchDiameter, depthOuter, depthInner, build },
        }
        break
      }
      case 'belts': {
        // Whether the set before them was matched says nothing of these.
        const { set: _, ...kept } = belts
        belts = {
          ...kept,
          fittedOn: c.on,
          ...(c.length === null ? {} : { length: inOwn(c.length) }),
          ...(c.set === null ? {} : { set: c.set }),
        }
        break
      }
      case 'travel':
        base = { ...base, travelLeft: inOwn(c.now) }
    }
  const changed = machineFields.safeParse({ ...record, sheaves, belts, base })
  if (!changed.success) return answerWords.beltsNotWritten
  await updateMachine(knex, id, version, changed.data)
  return null
}

/** What lies under the blocks, how the paint goes with each lever and how it was left become the register's. */
const rememberGear = async (
  knex: Knex,
  machine: MachineSnapshot,
  state: GearState,
): Promise<string | null> => {
  const changes = gearRegisterChanges(state)
  if (changes.length === 0) return null
  const current = await findMachine(knex, machine.tag, true)
  if (!current || current.id !== machine.id || current.drive !== 'gear')
    return answerWords.machineGone(machine.tag)
  const { id, version, ...record } = current
  const own = (mm: number) => Number(fromCore(mm, 'displacement', record.units).toPrecision(8))
  // Percent a millimetre, told by the record's own unit.
  const rate = (perMm: number) => Number((perMm / fromCore(1, 'displacement', record.units)).toPrecision(8))
  let { gear } = record
  for (const c of changes)
    switch (c.what) {
      case 'layers':
        gear = { ...gear, layers: { ...gear.layers, thickness: own(c.thickness), under: [...c.now] } }
        break
      case 'response':
        gear = {
          ...gear,
          responses: {
            ...gear.responses,
            [c.lever]: { together: rate(c.response.together), apart: rate(c.response.apart) },
          },
        }
        break
      case 'left-as':
        gear = { ...gear, leftAs: { forward: [...c.zones.forward], back: [...c.zones.back] } }
    }
  const changed = machineFields.safeParse({ ...record, gear })
  if (!changed.success) return answerWords.gearNotWritten
  await updateMachine(knex, id, version, changed.data)
  return null
}

/** What lies under the bolts, the tape, how the spigot sits and which bolts they are become the register's. */
const rememberFlange = async (
  knex: Knex,
  machine: MachineSnapshot,
  state: FlangeState,
): Promise<string | null> => {
  const changes = flangeRegisterChanges(state)
  if (changes.length === 0) return null
  const current = await findMachine(knex, machine.tag, true)
  if (!current || current.id !== machine.id || current.drive !== 'flange')
    return answerWords.machineGone(machine.tag)
  const { id, version, ...record } = current
  const small = (t: number) => Number(fromCore(t, 'displacement', record.units).toPrecision(12))
  const far = (t: number) => Number(fromCore(t, 'distance', record.units).toPrecision(8))
  // The register may have another number of bolts by now: then what lies under them can't be told.
  const same = record.flange.bolts === state.machine.flange.bolts
  let { flange, bolts } = record
  for (const c of changes)
    switch (c.what) {
      case 'bolt-pack':
        if (same)
          flange = {
            ...flange,
            existing: Array.from({ length: flange.bolts }, (_, i) =>
              String(i + 1) === c.bolt ? c.now.map(small) : (flange.existing[i] ?? []),
            ),
          }
        break
      case 'flange-tape':
        flange = {
          ...flange,
          plane: far(c.plane),
          across: { v: far(c.across.v), h: far(c.across.h) },
        }
        break
      case 'spigot':
        flange = {
          ...flange,
          spigot: c.spigot.fit,
          play: c.spigot.play === null ? flange.play : small(c.spigot.play),
        }
        break
      case 'bolts':
        bolts = c.bolts.payload
    }
  const changed = machineFields.safeParse({ ...record, flange, ...(bolts ? { bolts } : {}) })
  if (changed.success) await updateMachine(knex, id, version, changed.data)
  if (changed.success && (same || !changes.some((c) => c.what === 'bolt-pack'))) return null
  const { units } = machine
  const list = state.leaves.map((leaves, i) =>
    answerWords.boltLeft(clockFace(state.shape.bolts[i]?.clock ?? 0), pack(leaves, units)),
  )
  return answerWords.packsNotWritten(UNIT_NAMES[units].displacement, list.join('; '))
}

/**
 * The shims a closed job left under the feet become the register's, and the cold target it was set to. Answers what could not be
 * written, in words, when the register has changed under the job; null when all was.
 */
const rememberFeet = async (
  knex: Knex,
  machine: MachineSnapshot,
  state: FootedState & { readonly coldTarget?: ColdTarget },
): Promise<string | null> => {
  const current = await findMachine(knex, machine.tag, true)
  if (!current || current.id !== machine.id || !('feet' in current))
    return answerWords.machineGone(machine.tag)
  const { id, version, ...record } = current
  const inOwn = (t: number) => Number(fromCore(t, 'displacement', record.units).toPrecision(12))
  const lost = state.packs.filter(
    (p) =>
      !record.feet[p.machine].some((f) => f.id === p.id) && p.packs.left.length + p.packs.right.length > 0,
  )
  const taped = tapedDistances(state)
  const footing = (role: 'movable' | 'stationary', byTape: boolean) =>
    record.feet[role].map((foot) => {
      const left = state.packs.find((p) => p.machine === role && p.id === foot.id)?.packs
      const x = taped.find((d) => byTape && d.machine === role && d.pair === foot.id)?.now
      return {
        ...foot,
        ...(x === undefined ? {} : { x: Number(fromCore(x, 'distance', record.units).toPrecision(8)) }),
        ...(left ? { existing: { left: left.left.map(inOwn), right: left.right.map(inOwn) } } : {}),
      }
    })
  const { coldTarget, bolts } = state
  const changedBy = (byTape: boolean) => ({
    ...record,
    ...(bolts?.from === 'job' ? { bolts: bolts.payload } : {}),
    ...(coldTarget?.from === 'job' && coldTarget.payload ? { target: coldTarget.payload } : {}),
    feet: { movable: footing('movable', byTape), stationary: footing('stationary', byTape) },
  })
  // Feet that stand otherwise by the tape than the register can have them keep their place; the rest is written.
  const whole = machineFields.safeParse(changedBy(true))
  const changed = whole.success ? whole : machineFields.safeParse(changedBy(false))
  if (changed.success) await updateMachine(knex, id, version, changed.data)
  const untold = changed.success ? lost : state.packs
  if (untold.length === 0) return null
  const units = machine.units
  const list = untold.map((p) =>
    answerWords.packsLeft(p.id, pack(p.packs.left, units), pack(p.packs.right, units)),
  )
  return answerWords.packsNotWritten(UNIT_NAMES[units].displacement, list.join('; '))
}

/** What lies under the feet of every machine, their bolts and how the line grows become the register's. */
const rememberTrain = async (
  knex: Knex,
  machine: MachineSnapshot,
  state: TrainState,
): Promise<string | null> => {
  const current = await findMachine(knex, machine.tag, true)
  if (!current || current.id !== machine.id || current.drive !== 'train')
    return answerWords.machineGone(machine.tag)
  const { id, version, ...record } = current
  const own = (mm: number) => Number(fromCore(mm, 'displacement', record.units).toPrecision(12))
  const machines = record.machines.map((unit) => {
    const left = state.machines.find((m) => m.part.id === unit.id)?.state
    const { bolts } = left ?? {}
    return {
      ...unit,
      ...(bolts?.from === 'job' ? { bolts: bolts.payload } : {}),
      feet: unit.feet.map((foot) => {
        const packs = left?.packs.find((p) => p.machine === 'movable' && p.id === foot.id)?.packs
        return packs
          ? { ...foot, existing: { left: packs.left.map(own), right: packs.right.map(own) } }
          : foot
      }),
    }
  })
  const { growth } = state
  const changed = machineFields.safeParse({
    ...record,
    machines,
    ...(growth?.from === 'job' ? { growth: growth.set } : {}),
  })
  if (changed.success) await updateMachine(knex, id, version, changed.data)
  // Feet the register has not any more keep what lies under them in words.
  const lost = state.machines.flatMap(({ part, state: stand }) =>
    stand.packs
      .filter(
        (p) =>
          p.machine === 'movable' &&
          (!changed.success || !machines.some((m) => m.id === part.id && m.feet.some((f) => f.id === p.id))),
      )
      .map((p) => ({ name: part.name, p })),
  )
  if (lost.length === 0) return null
  const { units } = machine
  const list = lost.map(({ name, p }) =>
    answerWords.packsLeft(`${name} ${p.id}`, pack(p.packs.left, units), pack(p.packs.right, units)),
  )
  return answerWords.packsNotWritten(UNIT_NAMES[units].displacement, list.join('; '))
}

/**
 * What a closed job knows better than the register becomes the register's. Answers what could not be written, in words, when the
 * register has changed under the job; null when all was. One case a kind of job.
 */
export const rememberInRegister = (
  knex: Knex,
  machine: MachineSnapshot,
  job: Job,
): Promise<string | null> => {
  switch (job.kind) {
    case 'coupled':
    case 'drum':
      return rememberFeet(knex, machine, job.state)
    case 'train':
      return rememberTrain(knex, machine, job.state)
    case 'flange':
      return rememberFlange(knex, machine, job.state)
    case 'gear':
      return rememberGear(knex, machine, job.state)
    case 'belt':
      return rememberBelts(knex, machine, job.state)
  }
}
