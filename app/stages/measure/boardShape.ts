/** What readings are typed on: pads at the quarters, one clock round the hub, the drawn shafts, or rows. */
export type BoardShape = 'pads' | 'drum' | 'round' | 'values' | 'table'
