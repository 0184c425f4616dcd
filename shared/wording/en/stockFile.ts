/** The stores as a file, out and in. */
export const stockFile = {
  csvOut: 'Save as CSV',
  in: 'Read a file',
  title: 'Stock from a file',
  hint: 'CSV, as it is saved here: a line for all shims, or all spare belts, of one kind at one place. What the file says lies there counts as counted now, by you. What it does not name stays as it is.',
  choose: 'Choose a file',
  shims: (thickness: string, size: string) => `Shims ${thickness}${size ? `, size ${size}` : ''}`,
  belts: (section: string, length: string) => `Belts ${section} ${length}`,
  at: (what: string, place: string) => (place ? `${what}, ${place}` : what),
  isNew: (n: number) => `is new: ${n} lie there`,
  same: 'stays as it is',
  counted: (from: number, to: number) => `${from} here now, counted ${to}`,
  orderAt: (from: number, to: number) => `order at ${from}, then at ${to}`,
  retires: 'is taken out of use',
  returns: 'comes back into use',
  take: (n: number) => (n === 1 ? 'Take 1 line over' : `Take ${n} lines over`),
  taken: (n: number) => (n === 1 ? '1 line taken over.' : `${n} lines taken over.`),
  line: (n: number) => `line ${n}`,
  twice: (first: number) => `Line ${first} says the same thing. Put both in one.`,
  whatItIs: 'Say what it is: shims or belts.',
}

export { stockFile as stockFileWords }
