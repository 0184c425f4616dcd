import { said } from '../words'

/** Names, notes and worded formulas of a working. What is written in symbols alone needs no words. */
export const working = {
  flange: {
    shim: 'h = R × (tilt 12–6 × cos θ + tilt 3–9 × sin θ)',
    above: (by: string) => `${by} above the least:`,
    stays: { v: 'Stays, 12 to 6', h: 'Stays, 3 to 9' },
    stay: 'offset + tilt × height of the flange',
    rock: 'largest less smallest sum of an opposite pair',
    rockOdd: 'twice the furthest top from the plane of all',
  },
  line: {
    turnOfEdge: 'Turn of the edge on its sheave',
    turn: 'Turn',
    offset: 'Offset, groove to groove',
    depths:
      'eA and eR are the depths from the face under the edge to the groove centre: grooves count, faces don’t.',
    tilt: 'Tilt',
    fleet: 'Fleet angles',
    fleetFormula: 'under the edge: atan(offset / span); at the other: that − turn',
    largerRules: 'The larger one rules.',
  },
  readings: {
    sumLimit: (limit: string, least: string) =>
      `Limit ${limit}: the larger of two graduations and the smaller of ${least} and the offset limit.`,
    angle: (plane: string) => `Angle, ${plane}`,
    angleAt: (plane: string, circle: string) => `Angle, ${plane}, ${circle}`,
    atSpool: (plane: string) => `Offset and angle at the middle of the spool, ${plane}`,
    atCoupling: (plane: string) => `Offset at the coupling, ${plane}`,
    atCircle: (circle: string, plane: string) => `Offset at the ${circle}, ${plane}`,
    atFeet: (feet: string, plane: string) => `${feet}, ${plane}`,
    cure: (move: string) => `The move that cures it: ${move}.`,
    leastSquares: 'least squares over all readings',
    lever: (back: boolean) =>
      `q is ${back ? '−1: the plunger reaches over and points back' : '+1: the plunger points away from its bracket'}.`,
    carrier: (movable: boolean) =>
      movable
        ? 'k is −1: the movable shaft carries the dial.'
        : 'k is +1: the stationary shaft carries the dial.',
  },
  judged: {
    margin: (quantity: string) => `Margin, ${quantity}`,
    oneSided: 'distance to the bound / bound',
    twoSided: 'least distance to a limit / half of the band',
    within: (value: string, low: string, high: string) => `value ${value} in ${low} to ${high}`,
    bands: (rpm: number, source: string) =>
      `In band from 0.20, edge from 0 to 0.20, out below. Limit for ${rpm} rpm: ${source}`,
  },
  plan: {
    pack: (pair: string, side: string) => `Pack, ${pair} ${side}`,
    packing: 'take out, put in; thin shims between thick ones',
    outIn: (out: string, putIn: string) => `out ${out}, in ${putIn}`,
    outerShown: 'Least squares over all pairs; the outer two are shown.',
    angleAfter: (plane: string) => `Angle after, ${plane}`,
    angleFormula: (near: string, far: string, driven: boolean) =>
      [
        'slope',
        ...(near ? [`+ (move ${far} − move ${near}) / (x ${far} − x ${near})`] : []),
        ...(driven ? ['− change of the driven slope'] : []),
      ].join(' '),
    offsetAfter: (plane: string) => `Offset after, ${plane}`,
    offsetFormula: (near: string, driven: boolean) =>
      [
        'offset',
        ...(near ? [`+ move ${near} − (change of slope) × x ${near}`] : []),
        ...(driven ? ['− change of the driven offset'] : []),
      ].join(' '),
    drivenAngle: (plane: string) => `Driven machine, angle by its move, ${plane}`,
    ownAngle: (near: string, far: string) => `(move ${far} − move ${near}) / (x ${far} − x ${near})`,
    drivenOffset: (plane: string) => `Driven machine, shift at the coupling, ${plane}`,
    ownOffset: (near: string) => `move ${near} − (change of slope) × x ${near}`,
  },
  setUp: {
    barSag: (circle: string) => `Bar sag, ${circle}`,
    barSagFormula: 'on a pipe, zeroed at 12, the dial shows −2 × sag at 6',
    plane: (circle: string) => `Plane of the dial, ${circle}`,
    planeFormula: 'negative toward the driven machine, positive toward the motor’s far end',
    taped: (distance: string, machine: 'movable' | 'stationary') =>
      `taped ${distance}, bracket on the ${machine} machine`,
    distance: (feet: string) => `Distance to the ${feet}`,
    distanceFormula: 'coupling to the nearer pair + from there to this one',
    returned: 'Return to zero',
    returnedFormula: 'each dial within one graduation after a full turn',
    returnedOf: (circle: string, shown: string, graduation: string) => `${circle} ${shown} of ${graduation}`,
    holds: 'holds',
    slipped: 'slipped',
  },
}

export const workingWords = said(working)
