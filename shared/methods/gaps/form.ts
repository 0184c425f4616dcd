import type { MethodForm } from '../form'

/** Gap and straightedge: feelers at the clock positions, nothing turns. */
export const gapsForm: MethodForm = {
  method: 'gaps',
  circles: () => ['steps', 'gaps'],
  reads: 'felt',
  numbers: [{ id: 'gapCircle', measure: 'distance', circle: true }],
  choices: [],
  valuesOf: (how) =>
    how.method === 'gaps' ? { numbers: { gapCircle: how.given.diameter }, choices: {} } : null,
  given: ({ numbers: n }) => ({ method: 'gaps', given: { diameter: n.gapCircle ?? 0 } }),
  dials: () => [],
}
