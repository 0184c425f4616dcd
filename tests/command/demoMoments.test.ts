import { describe, expect, it } from 'vitest'
import { momentsBefore, SHIFT_ENDS } from '../../scripts/demo/moments'

describe('the demo’s last shift', () => {
  it('has ended by now, whatever the hour', () => {
    for (let hour = 0; hour < 24; hour++) {
      const now = new Date(Date.UTC(2026, 10, 27, hour, 20))
      const night = momentsBefore(now)(0, SHIFT_ENDS)
      expect(night.getTime(), `at ${hour}`).toBeLessThanOrEqual(now.getTime())
      expect(now.getTime() - night.getTime()).toBeLessThan(25 * 3_600_000)
    }
  })
})
