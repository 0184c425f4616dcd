import { turned, turning } from '../otherEnd'
import { named, type Named } from '../words'

type Machine = 'movable' | 'stationary'

/** What the printed report says besides what the stages say. */
export const report = (n: Named) => ({
  sheet: {
    title: (method: string) => `Data sheet: ${method.toLowerCase()}`,
    fileName: 'data-sheet',
    lines: 'Date ____________________   By ______________________________   Permit ____________________',
    taped: 'Taped and set up',
    what: 'what',
    figure: 'figure',
    afterTurn: 'after turn',
    set: (n: number) => `Set ${n}`,
    setTaken: (n: number, at: string, by: string) => `Set ${n}, ${at}, ${by}`,
    order: (circles: readonly string[]) =>
      `Typed in afterwards row by row: ${circles.join(', then ')}; each row from left to right but the last column, which comes last of all.`,
    foot: (works: string, tag: string, job: string, unit: string) =>
      `${works} · ${tag} · job ${job} · figures in ${unit}`,
  },
  /** A data sheet of a belt drive. */
  gearSheet: {
    title: 'Data sheet: gear contact',
    gearset: 'The gearset',
    what: 'what',
    figure: 'figure',
    rule: 'What to shift for what',
    wanted: (run: string) => `Wanted, ${run}`,
    look: 'Look and clean',
    paint: (from: string, to: string) =>
      `The paint, percent of the face width: both flanks seen from one side, ${from} left, ${to} right`,
    begins: (run: string) => `${run}: begins`,
    ends: 'ends',
    then: 'then shifted, or layers',
    asFound: 'as found',
    round: (n: number) => `round ${n}`,
  },
  beltSheet: {
    title: 'Data sheet: belt drive',
    drive: 'The drive',
    what: 'what',
    figure: 'figure',
    diameters: 'Pitch diameters, motor / driven',
    centres: 'Centre distance',
    turnsOpen: (sheave: string) => `${sheave}: turns open`,
    inspect: 'Looked at with the belts loose',
    words: 'in words',
    square: 'Motor square on its base',
    edge: 'from one edge, driven side or far side',
    asFound: 'as found',
    after: (n: number) => `after ${String(n)}`,
    line: 'Line of the sheaves',
    edgeLies: 'Edge or string on: motor / driven sheave.   Faces: away from / toward the motor.',
    edgeLay: (sheave: string, faces: string) =>
      `Edge on: ${sheave.toLowerCase()}. Faces: ${faces.toLowerCase()}.`,
    rims: 'Touch or gap: motor far ____  motor near ____  driven near ____  driven far ____',
    tension: 'Tension',
    band: (age: string, low: string, high: string, at: string) =>
      `${age}: ${low} to ${high} a push of ${at} at mid-span.`,
    readBy: 'Read by ______________________   at ______________   Belts are new / run in.',
    afterTurns: (n: number) => `after turns ${String(n)}`,
    run: 'Turned by hand, guard on, run',
    current: 'Current, A',
    done: 'in this order',
  },
  titles: {
    coupled: 'Alignment report',
    train: 'Alignment report of a line',
    flange: 'Alignment report',
    drum: 'Alignment report',
    gear: 'Gear contact report',
    belt: 'Belt drive report',
  },
  title: (title: string, machine: string) => `${title}, ${machine}`,
  fileTitle: (tag: string, title: string) => `${tag} ${title.toLowerCase()}`,
  fileNames: {
    coupled: 'alignment',
    train: 'line-alignment',
    flange: 'alignment',
    drum: 'alignment',
    gear: 'gear-contact',
    belt: 'belts',
  },
  someone: 'Someone',
  degrees: 'degrees',
  foot: (works: string, tag: string, job: string, zone: string, units: string) =>
    `${works} · ${tag} · job ${job}\nTimes are of the works’ server, ${zone}. Units: ${units}.`,
  page: (page: number, pages: number) => `${page} of ${pages}`,
  facts: {
    machine: 'Machine',
    machineIs: (tag: string, name: string, area: string) => `${tag} ${name}, ${area}`,
    drive: 'Drive',
    driveIs: (kw: number, between: string, joined: string, rpm: number) =>
      `${kw} kW ${between}, ${joined}, ${rpm} rpm as read off`,
    opened: 'Opened',
    openedBy: (when: string, person: string, reason: string) => `${when} by ${person}. ${reason}.`,
    customer: 'Customer',
    instruments: 'Instruments',
    site: 'Site',
    note: 'Note',
  },
  gear: {
    result: 'Contact and backlash as left',
    backlash: 'Backlash, worst',
    wanted: (from: string) => `Held against ${from}.`,
    legend: (from: string, to: string) =>
      `Both flanks seen from one side: ${from} left, ${to} right. Grey: paint as left; dashed: wanted. Percent of the face width.`,
    found: 'Pattern as found, layers and refit',
    pattern: (by: string, zones: string, words: string) =>
      [`${by}: ${zones}.`, words].filter(Boolean).join(' '),
    picture: (by: string) => `Pattern as found, ${by}`,
    markPicture: (by: string) => `Layers and pins as marked, ${by}`,
    rounds: 'Round by round',
    painted: (round: number, by: string, zones: string, figures: string, words: string) =>
      [`Round ${round}, ${by}: ${zones}${figures ? `; ${figures}` : ''}.`, words].filter(Boolean).join(' '),
    read: (round: number, by: string, readings: string, how: string, worst: string) =>
      `Round ${round}, ${by}: backlash ${readings}, ${how.toLowerCase()}; worst ${worst}.`,
    shifted: (by: string, lever: string, far: string, end: string) =>
      `${by}: the ${lever} ${far} toward the ${end}. Not painted after it.`,
    finished: 'Tightened, pinned, run',
  },
  result: {
    name: 'Result',
    grooves: 'Result, groove to groove',
    nothing: 'Nothing was measured that could be used.',
    sheavesNotRead: 'The sheaves were not read.',
    limits: (source: string) => `Limits: ${source}`,
    inPlane: (plane: string, what: string) => `${plane}: ${what}`,
    asFound: (words: string, trust: string) => `As found: ${words}. ${trust}.`,
    asLeft: (words: string, trust: string) => `As left: ${words}. ${trust}.`,
    legend: 'Dashed as found, whole as left; the gate is what the offset may be.',
    view: (name: string, note: string) => `${name}, ${note}`,
    gate: (limit: string) => `gate ${limit}`,
    exaggerated: (times: number) => `drawn ${times} times taller than long`,
  },
  line: {
    contacts: (by: string, sheave: string, diagnosis: string) =>
      `Four contacts, ${by}, edge on the ${sheave} sheave: ${diagnosis}`,
    gaps: (by: string, face: string, sheave: string, near: string, far: string, apart: string) =>
      `Gaps, ${by}, edge on the ${face} face of the ${sheave} sheave: near rim ${near}, far rim ${far}, ${apart} apart.`,
    shifted: (up: string, down: string) => ` Shifted up ${up}, down ${down}.`,
    tiltNotRead: ' Tilt was not read.',
    grooves: (motor: number, driven: number) => ` Grooves: motor ${String(motor)}, driven ${String(driven)}.`,
    halfTurn: (near: string, far: string) => ` Half a turn on: near rim ${near}, far rim ${far}.`,
    rims: (far: string, near: string) => ` Under the edge: far rim ${far}, near rim ${near}.`,
    by: { edge: '', string: ' By string.' },
    came: (offset: string, turn: string) => `Offset ${offset}, turn ${turn}.`,
    corrected: (by: string, steps: string, remark: string) => `Corrected ${by}: ${steps}. ${remark}`,
    asFound: 'Line as found',
    after: (nth: number) => `Line after correction ${nth}`,
    sheaves: { motor: 'motor', driven: 'driven' },
    faces: { outer: 'outer', inner: 'inner' },
  },
  /** The table of a sheave that can be set. */
  setting: {
    name: (sheave: string) => `${sheave}, every half turn`,
    asLeft: (turns: string) => `${turns}, as left`,
    diameter: 'pitch diameter',
  },
  tension: {
    name: (age: string) => `Result, tension of the ${age} belts`,
    rounds: 'Tension, reading by reading',
    read: (by: string, school: string, values: string, mean: string) =>
      mean === '' ? `${by}: ${school}: ${values}.` : `${by}: ${school}: ${values}. Mean tension ${mean}.`,
    turned: (by: string, sheaveEnd: string, farEnd: string) =>
      `${by}: turned ${sheaveEnd} at the sheave end, ${farEnd} at the far end; plus is away from the driven shaft.`,
  },
  driveWork: {
    name: 'Work on the drive',
    line: (by: string, what: string, words: string) =>
      words === '' ? `${by}: ${what}` : `${by}: ${what} ${words}`,
    fine: (places: string) => `Looked at and fine: ${places}.`,
    fitted: {
      long: (length: string) => `${length} long`,
      matched: 'a matched set',
      notMatched: 'not a matched set',
      stores: 'from the stores',
    },
    tightened: 'Base drawn down.',
    found: { good: 'good', bad: 'not right' },
    onTheWay: (name: string) => `${name}: on its way from a device.`,
  },
  moves: {
    name: (nth: number, by: string) => `Move ${nth}, ${by}`,
    signs: 'up and toward 3 are plus',
    verticalPlan: 'vertical plan',
    horizontalPlan: 'horizontal plan',
    shimmed: (foot: string, out: string, putIn: string) => `${foot}: out ${out}, in ${putIn}`,
    foot: (feet: string, shim: string, side: string) => `${feet} ${shim}, ${side}`,
    inUnit: (moves: string, unit: string) => `${moves} (${unit}).`,
    shims: (list: string) => `Shims. ${list}.`,
    inPlane: (plane: string, cause: string) => `${plane}: ${cause}`,
    remark: (remark: string) => `Remark: ${remark}`,
  },
  readings: {
    standing: { leftOut: 'left out', usedAnyway: 'used anyway', used: 'used', notUsed: 'not used' },
    set: (nth: number, by: string, standing: string) => `Set ${nth}, ${by}: ${standing}`,
    usedAnyway: (set: string, why: string) => `${set} was used against a failed check: ${why}`,
    leftOut: (set: string, why: string) => `${set} was left out: ${why}`,
    check: (name: string, found: string, limit: string, passes: boolean) =>
      `${name} ${found} (limit ${limit}) ${passes ? 'passes' : 'fails'}`,
    checks: (list: string) => `Checks: ${list}.`,
    signs: (unit: string) => `${unit}, plunger in is plus`,
    signsFelt: (unit: string) => `${unit}, ${n.movable} rim higher is plus`,
    signsShown: (unit: string) => `${unit}, as the instrument shows it`,
    asFound: 'Readings as found',
    after: (nth: number) => `Readings after move ${nth}`,
    madeUp: 'Readings with the coupling made up',
    hot: 'Readings of the warm machine',
  },
  seenFrom: `Clock positions, left and right as seen from behind the ${n.movable}, looking at the coupling.`,
  seenFromOtherEnd: `Clock positions, left and right as seen from behind the ${n.stationaryMachine}, looking at the coupling.`,
  setUps: {
    name: (method: string, by: string) => `${method}, set up ${by}`,
    sagTold: { hang: 'told as its hang', 'pipe-at-6': 'told as the reading at 6 on a pipe' },
    rim: (circle: string, at: string, carrier: Machine, sag: string, told: string) =>
      `${circle} ${at ? `${at} from the coupling centre` : 'where distances are counted from'}, carried by the ${carrier} machine${sag ? `, bar sag ${sag} (${told})` : ''}.`,
    face: (circle: string, swing: string, plunger: 'away' | 'back', sag: string) =>
      `${circle} on a circle of ${swing}, plunger ${plunger === 'away' ? 'pointing away' : 'reaching over, pointing back'}${sag ? `, own sag ${sag}` : ''}.`,
    gaps: (circle: string) => `Gaps felt on a circle of ${circle}, rim steps under a straightedge.`,
    values: (per: string) => `Values typed from an instrument, the angle told over ${per}.`,
    footValues: (near: string, far: string) =>
      `Values typed from an instrument at ${near} and ${far} from the coupling centre.`,
    signs: (high: 1 | -1, toward3: 1 | -1) =>
      `It shows the ${n.movable} high as ${high > 0 ? 'plus' : 'minus'}, toward 3 as ${toward3 > 0 ? 'plus' : 'minus'}.`,
    spool: (length: string) => `Spool ${length} between its flex planes.`,
    heads: (a: string, b: string) => `Heads at ${a} and ${b} from the coupling centre.`,
    feet: (list: readonly string[]) => `Feet at ${list.join(' and ')}.`,
    flange: (v: string, h: string, up: string) =>
      `Bolts on ${v === h ? v : `${v} by ${h}`}, the flange ${up} above the coupling centre.`,
    footAt: (at: string, pair: string) => `${at} (${pair})`,
    turned: (shown: string, holds: boolean) =>
      `After a full turn: ${shown}; ${holds ? 'holds zero' : 'does not hold zero'}.`,
    usedAlthough: (why: string) => `Used although it missed zero: ${why || 'no reason was given'}`,
  },
  record: {
    corrected: (by: string, entry: string, why: string, changed: string) =>
      `${by}: ${entry} was corrected. ${why}${changed ? `. ${changed}` : ''}`,
    skipped: (by: string, stage: string, why: string) => `${by}: ${stage} was passed over. ${why}`,
    placed: (by: string, entry: string) =>
      `${by}: ${entry} came in late and was placed before the move it belongs to.`,
    madeSafe: (permit: string) => (permit ? `Made safe, permit ${permit}` : 'Made safe'),
    notConfirmed: (points: string) => `Not confirmed at the end: ${points}.`,
    passedOver: 'Passed over',
    corrections: 'Corrections',
    placedName: 'Placed',
    stoodName: 'Stood by with their PIN',
    stood: (by: string, entry: string, second: string) => `${by}: ${entry}, with ${second}`,
    remarks: 'Remarks',
    said: (by: string, what: string) => `${by}: ${what}`,
  },
  signature: {
    name: 'Closing',
    exception: (why: string) => `Exception: ${why}`,
    closed: (when: string, person: string) => `Closed ${when}, written by ${person}.`,
    stillOpen: 'This job is still open: the report shows where it stands.',
    signature: 'Signature',
    customer: 'For the customer',
  },
  /** Values of an entry by what they are called where a correction prints them. */
  corrections: {
    paths: {
      plane: 'dial plane',
      sag: 'sag',
      diameter: 'swing circle',
      carriedBy: 'bracket on',
      plunger: 'plunger points',
      turning: 'shafts that turn',
      readingSign: 'press raises the number (1) or not (−1)',
      spoolLength: 'between the flex planes',
      stationaryPlane: `${n.stationary} head at`,
      movablePlane: `${n.movable} head at`,
      per: 'angle told over',
      near: 'near values at',
      far: 'far values at',
      high: `${n.movable} high shows`,
      toward3: `${n.movable} toward 3 shows`,
      endHigh: 'far end high shows',
      endToward3: 'far end toward 3 shows',
      p1: 'near rim gap',
      p2: 'far rim gap',
      w: 'apart',
      edgeOn: 'edge lies on',
      edgeSide: 'edge on the face',
    } as Readonly<Record<string, string>>,
    at: (circle: string, hour: string) => `${circle} at ${hour}`,
    afterTurn: (circle: string) => `${circle} after the full turn`,
    takenOut: (foot: string) => `${foot}, taken out`,
    putIn: (foot: string) => `${foot}, put in`,
    pushed: (feet: string) => `${feet} pushed`,
    feetAt: (feet: string) => `${feet} at`,
    graduation: (circle: string) => `${circle} graduation`,
    method: 'method',
  },
})

export const reportWords = named(report, (w) => ({
  ...w,
  seenFrom: w.seenFromOtherEnd,
  moves: { ...w.moves, signs: turned(w.moves.signs) },
  corrections: {
    ...w.corrections,
    paths: Object.fromEntries(
      Object.entries(w.corrections.paths).map(([path, name]) => [path, turned(name)]),
    ),
  },
  setUps: { ...w.setUps, signs: turning(w.setUps.signs) },
}))
