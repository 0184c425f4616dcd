/** What a person wants to know, by operation: the question it is found by, and other words for it. */
export const sums = {
  'rim-face': {
    group: 'shafts',
    ask: 'Where does the motor sit, from a rim and a face dial?',
    also: 'rim and face alignment offset angle dial indicator shaft',
  },
  'reverse-rim': {
    group: 'shafts',
    ask: 'Where does the motor sit, from a rim dial on each hub?',
    also: 'reverse rim two brackets cross dialling',
  },
  'spacer-faces': {
    group: 'shafts',
    ask: 'Where does the motor sit, across a spacer?',
    also: 'spool face to face flex plane',
  },
  heads: {
    group: 'shafts',
    ask: 'Where does the motor sit, from heads on both shafts?',
    also: 'electronic heads sweep arc',
  },
  'gap-straightedge': {
    group: 'shafts',
    ask: 'Where does the motor sit, from feelers and a straightedge?',
    also: 'rough in rim step gap taper feeler',
  },
  'coupling-values': {
    group: 'shafts',
    ask: 'What do I move for this offset and angle?',
    also: 'coupling values instrument shims feet',
  },
  'foot-values': {
    group: 'shafts',
    ask: 'What do these foot values mean at the coupling?',
    also: 'corrections at the feet instrument',
  },
  judge: {
    group: 'shafts',
    ask: 'How far off may it be at this speed?',
    also: 'tolerance limit in band out speed rule',
  },
  growth: {
    group: 'shafts',
    ask: 'How much will it grow when hot?',
    also: 'thermal growth target cold temperature',
  },
  'hot-check': {
    group: 'shafts',
    ask: 'What is the new cold target after a hot check?',
    also: 'hot alignment target',
  },
  'axial-gap': {
    group: 'shafts',
    ask: 'How far apart do the hubs go, cold?',
    also: 'coupling gap hub spacing dbse end float',
  },
  'vertical-flange': {
    group: 'shafts',
    ask: 'Which shims under the bolts of a vertical motor?',
    also: 'flange mounted vertical pump bolts',
  },
  'drum-tram': {
    group: 'shafts',
    ask: 'Does the motor stand true to its brake drum?',
    also: 'tram drum rods winch brake',
  },
  'move-plan': {
    group: 'feet',
    ask: 'Which shims and side moves bring it in band?',
    also: 'plan move shims bolt bound feet',
  },
  'train-plan': {
    group: 'feet',
    ask: 'What do I move in a train of machines?',
    also: 'train several couplings',
  },
  'soft-foot': {
    group: 'feet',
    ask: 'Which foot do I fill when it rocks?',
    also: 'soft foot rise twist rocking',
  },
  'step-shim': {
    group: 'feet',
    ask: 'Which stepped leaves go under a bent foot?',
    also: 'bent foot wedge step shim tapered',
  },
  level: {
    group: 'feet',
    ask: 'How much shim to level this shaft or base?',
    also: 'level feeler bubble base plate soleplate',
  },
  'shim-pack': { group: 'feet', ask: 'Which shims make this thickness?', also: 'shim pack leaves laminated' },
  tightening: {
    group: 'feet',
    ask: 'How tight do the bolts go, in which order?',
    also: 'torque bolt tightening criss cross preload',
  },
  'fit-readings': {
    group: 'checks',
    ask: 'Do these readings lie on one circle?',
    also: 'fit sum check closure residual bad reading',
  },
  'compare-sets': {
    group: 'checks',
    ask: 'Does the second set repeat the first?',
    also: 'repeat compare sets',
  },
  backlash: {
    group: 'checks',
    ask: 'Is there backlash in these readings?',
    also: 'both directions lag trailing',
  },
  achieved: {
    group: 'checks',
    ask: 'Was it the move or the reading?',
    also: 'planned against achieved wrong sign swapped',
  },
  runout: {
    group: 'checks',
    ask: 'Does this hub run true?',
    also: 'runout residual eccentric wobble tir high spot',
  },
  uncertainty: {
    group: 'checks',
    ask: 'How sure is this measurement?',
    also: 'uncertainty spread chance in band',
  },
  strain: { group: 'checks', ask: 'Does the coupling bend the shafts?', also: 'strain coupled uncoupled' },
  'gear-contact': {
    group: 'checks',
    ask: 'What does the blued contact say?',
    also: 'worm bevel gear contact backlash',
  },
  'belt-geometry': {
    group: 'belts',
    ask: 'How long a belt, how far apart the sheaves, is this belt near enough?',
    also: 'span wrap centre distance ratio replacement belt length near enough speed wanted fitting room take-up',
  },
  'belt-tension': {
    group: 'belts',
    ask: 'How tight should this belt be?',
    also: 'tension force deflection frequency band',
  },
  'belt-reading': {
    group: 'belts',
    ask: 'How many newtons is this hertz, or this deflection?',
    also: 'belt frequency hertz force deflection elongation',
  },
  'belt-set': { group: 'belts', ask: 'Is this set of belts tight enough?', also: 'belt set matched slack' },
  'belt-takeup': {
    group: 'belts',
    ask: 'How many turns of the screws?',
    also: 'take up screw turns tighten',
  },
  'sheave-line': {
    group: 'belts',
    ask: 'How far are the sheaves out of line?',
    also: 'sheave alignment string straightedge turn tilt',
  },
  'four-contact': {
    group: 'belts',
    ask: 'What do four contacts of the straightedge say?',
    also: 'straightedge touch sheave',
  },
  squareness: { group: 'belts', ask: 'Does the motor stand square?', also: 'square motor base distances' },
  'variable-sheave': {
    group: 'belts',
    ask: 'What does this sheave setting do?',
    also: 'variable pitch sheave turns speed',
  },
  'run-in': {
    group: 'belts',
    ask: 'When will this belt leave its band?',
    also: 'run in bedding retension due',
  },
} as const
export type QuickSumId = keyof typeof sums
export type QuickGroup = (typeof sums)[QuickSumId]['group']
