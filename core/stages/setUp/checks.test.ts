import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../../jobs/testJob'
import { checksFor } from './checks'

const floating = {
  ...TEST_MACHINE,
  hubs: {
    stationaryDiameter: null,
    movableDiameter: null,
    gapLeast: null,
    gapMost: null,
    float: 0.1,
    closeEnough: null,
    rimLimit: null,
    faceLimit: null,
  },
}

describe('what is checked before reading', () => {
  it('follows from the method', () => {
    expect(checksFor(TEST_MACHINE, 'rim-face', 1)).toContain('preload')
    expect(checksFor(TEST_MACHINE, 'heads')).toContain('each-own-machine')
    expect(checksFor(TEST_MACHINE, 'values')).toEqual(['sign-proved'])
    expect(checksFor(TEST_MACHINE, 'gaps')).toEqual(['hubs-clean'])
  })

  it('a single face dial on a floating shaft wants it pushed; two faces, or a rim each way, don’t', () => {
    const pushed = (method: 'rim-face' | 'reverse-rim' | 'spacer-faces', faces = 0) =>
      checksFor(floating, method, faces).includes('floats-pushed')
    expect([
      pushed('rim-face', 1),
      pushed('rim-face', 2),
      pushed('reverse-rim'),
      pushed('spacer-faces'),
    ]).toEqual([true, false, false, true])
    expect(checksFor(TEST_MACHINE, 'rim-face', 1)).not.toContain('floats-pushed')
  })
})
