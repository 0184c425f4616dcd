const NAMES: Readonly<Record<string, string>> = {
  'offset.v': 'Offset, side',
  'offset.h': 'Offset, top',
  'slope.v': 'Angle, side',
  'slope.h': 'Angle, top',
  offset: 'Offset',
  slope: 'Angle',
  'flex.stationary.v': 'Driven flex, side',
  'flex.stationary.h': 'Driven flex, top',
  'flex.movable.v': 'Motor flex, side',
  'flex.movable.h': 'Motor flex, top',
  'flex.stationary': 'Driven flex',
  'flex.movable': 'Motor flex',
}

/** A judged quantity in words: side view is up and down, top view is toward 3 and 9. */
export const quantityName = (name: string): string => NAMES[name] ?? name
