/** From this share of its limit on a size counts as close to it. */
const EDGE_SHARE = 0.8

/** What a size without a sign means against its limit: a foot's rise, a rim step, a slope. Same unit both. */
export const sizeVerdict = (size: number, limit: number): 'in' | 'edge' | 'out' =>
  size > limit ? 'out' : size > EDGE_SHARE * limit ? 'edge' : 'in'
