import type { SettingFollows } from '../../../core/stages/inspect/setting'
import { otherSheave, type BeltMachine } from '../../../core/register/beltMachine'
import { toCore } from '../../../core/units/unitSystem'
import { sheaveSettingWords } from '../../wording/en'
import { gapFigure } from '../../wording/figures'
import { ampsFigure } from '../../wording/sheaveSetting'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

const two = (x: number): string => x.toFixed(3).replace('-', '−')

/** How diameter, shift, speed, current and the motor's way follow from the turns, with this machine's numbers. */
export const settingWorking = (
  f: SettingFollows,
  machine: BeltMachine,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = sheaveSettingWords(telling.words).working
  const g = (x: number) => gapFigure(x, telling, true)
  const { build } = machine.sheaves[f.place]
  if (build?.kind !== 'variable') return []
  const pitch = g(toCore(build.threadPitch, 'distance', machine.units))
  const other = g(toCore(machine.sheaves[otherSheave(f.place)].pitchDiameter, 'distance', machine.units))
  const onMotor = f.place === 'motor'
  const rpm = (x: number) => `${x.toFixed(0)} rpm`
  return [
    {
      name: w.opening,
      formula: 's = (turns − turns before) × thread pitch',
      substituted: `(${String(f.now)} − ${String(f.before)}) × ${pitch}`,
      result: g(f.opened),
    },
    {
      name: w.diameter,
      formula: 'd = d before − s / tan(A/2)',
      substituted: `${g(f.was.pitchDiameter)} − ${g(f.opened)} / tan(${String(f.grooveAngle / 2)}°)`,
      result: g(f.is.pitchDiameter),
    },
    {
      name: w.centre,
      formula: f.moves === 'both' ? '0' : 's / 2',
      substituted: f.moves === 'both' ? '0' : `${g(Math.abs(f.opened))} / 2`,
      result: g(f.shift),
    },
    {
      name: w.speed,
      formula: onMotor ? 'motor rpm × d / driven d' : 'motor rpm × motor d / d',
      substituted: onMotor
        ? `${rpm(machine.rpm)} × ${g(f.is.pitchDiameter)} / ${other}`
        : `${rpm(machine.rpm)} × ${other} / ${g(f.is.pitchDiameter)}`,
      result: rpm(f.is.drivenRpm),
    },
    ...(f.is.current && f.amperes.before !== null
      ? [
          {
            name: w.current,
            formula:
              machine.load === 'steady'
                ? 'amps × ratio^0 … amps × ratio^1'
                : 'amps × ratio^1 … amps × ratio^3',
            substituted: `${ampsFigure(f.amperes.before)} A, ratio ${two(f.is.drivenRpm / f.was.drivenRpm)}`,
            result: `${ampsFigure(f.is.current[0])} … ${ampsFigure(f.is.current[1])} A`,
          },
        ]
      : []),
    {
      name: w.motor,
      formula: 'dC = −wrap × dd / (4 cos β)',
      substituted: `dd = ${g(f.is.pitchDiameter - f.was.pitchDiameter)}`,
      result: g(f.tension.motor),
    },
    ...(f.line
      ? [
          {
            name: w.offset,
            formula: 'offset before ± shift',
            substituted: `${g(f.line.left.errors.offset)} ${f.line.offset < f.line.left.errors.offset ? '−' : '+'} ${g(Math.abs(f.shift))}`,
            result: g(f.line.offset),
          },
        ]
      : []),
  ]
}
