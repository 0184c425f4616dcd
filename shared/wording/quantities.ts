const NAMES: Readonly<Record<string, string>> = {
  'offset.v': 'Offset, side view',
  'offset.h': 'Offset, top view',
  'slope.v': 'Angle, side view',
  'slope.h': 'Angle, top view',
  offset: 'Offset, both planes',
  slope: 'Angle, both planes',
  'flex.stationary.v': 'Near flex plane, side view',
  'flex.stationary.h': 'Near flex plane, top view',
  'flex.movable.v': 'Motor flex plane, side view',
  'flex.movable.h': 'Motor flex plane, top view',
  'flex.stationary': 'Near flex plane, both planes',
  'flex.movable': 'Motor flex plane, both planes',
}

/** A judged quantity in words: side view is up and down, top view is toward 3 and 9. */
export const quantityName = (name: string): string => NAMES[name] ?? name
