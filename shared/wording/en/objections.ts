import { said } from '../words'
import type { ObjectionCode } from '../../../core/logbook/stage'

/** Plain sentences for entries that a logbook can't take. */
export const objections = {
  'job-closed':
    'This job is closed and signed. Open a new job to measure again; a remark can still be added.',
  'already-open': 'This job is open already.',
  'not-open': 'This job has no opening entry. Open it first.',
  'not-this-job': 'That belongs to another kind of job than this one.',
  'no-set-up': 'Set up the instrument first: without its distances the readings mean nothing.',
  'other-circles':
    'These readings belong to another set-up than the one in force. Read the dials that are set up.',
  'no-such-set': 'That set of readings is not in this round of the logbook.',
  'no-such-feet': 'This machine has no foot pair by that name.',
  'no-such-place':
    'This machine has no such place to look at. Its coupling may be registered as another kind.',
  'no-such-point': 'That is not asked of this kind of machine. Confirm what stands on the list.',
  'drum-unread': 'Turn the drum under a dial first: nobody knows yet where it stands high.',
  'not-a-tram':
    'A drum is trammed by rim and face, by rods from the motor’s own half while only the motor turns, counted from where the rim dial runs.',
  'shimmed-already':
    'Leaves were moved since the job was opened. What lay there before can’t be written any more; add a remark.',
  'flange-missing': 'Give the bolt circle and how far up the flange lies.',
  'no-such-flange': 'This machine stands on feet. It has no flange to tape.',
  'no-such-bolt': 'This flange has no bolt of that number, or it is named twice.',
  'not-paired': 'These bolts do not stand in opposite pairs. Shim them coplanar.',
  'spigot-tight':
    'The spigot is tight: the motor cannot be pushed. If it moves, say on Look and clean that it is loose.',
  'rocks-needs-why':
    'Those shims rock the flange by more than its limit. Say why they are used all the same.',
  'feet-missing': 'Give the distance to every foot pair of this machine.',
  'feet-unread': 'Read the rise of every foot of this machine.',
  'runout-positions': 'Read at three positions at least, spread over the turn.',
  'feeler-places':
    'Feel at 12 and 6 for the vertical, at 3 and 9 for the horizontal: one gap alone says nothing.',
  'face-circle-missing': 'Give the diameter of the circle on which the gaps were felt.',
  'feelers-contradict': 'Those feelers contradict one another. Try the blades again.',
  'read-already':
    'This round was measured with the feet as they are. Log the shim as a move, and measure again.',
  'not-skippable': 'That stage can’t be passed over.',
  'nothing-moved': 'Nothing was moved. Enter the shims or side moves that were made.',
  'too-many-leaves':
    'More than twenty leaves would lie under one foot. Check what was put in and taken out, or use thicker shims.',
  'no-such-entry': 'The entry to correct is not in this logbook.',
  'other-kind': 'An entry can only be corrected by one of its own kind.',
  'already-corrected': 'Someone corrected that entry meanwhile. Look at the newer one and correct that.',
  'not-correctable': 'That kind of entry is never corrected. Add a remark.',
  'not-safe':
    'The lockout is missing or broken. Make safe first, or say on that stage why no lockout is needed.',
  'missed-zero':
    'A dial missed zero after the full turn. Find what slipped, or say why it is used all the same.',
  'exception-needed': 'This job is not in band as measured. It can be closed only with the reason: say it.',
  'signed-otherwise':
    'The logbook changed since you looked: its verdict is another one now. Look again, then sign.',
  'moved-meanwhile':
    'Someone logged a move since you last saw this job. Say whether this belongs before that move or after it.',
  'hot-run-on': 'A hot run is under way. Stop it and measure, before another begins.',
  'no-hot-run': 'No hot run is under way. Say when it was switched on first.',
  'ended-before-begun': 'It can’t have been stopped before it was switched on. Check the time.',
  'hot-unmeasured': 'Nothing was measured on the warm machine yet. Measure it first.',
  'bumped-coupled': 'The coupling is made up. Open it before the motor is bumped.',
  'bumping-already': 'A bump test is under way. Say which way it turned.',
  'no-bump': 'No bump test is under way. Log that the lockout is off for it first.',
  'made-up-already': 'The coupling is made up already. Open it first.',
  'not-made-up': 'The coupling is not made up.',
  'read-it': 'Read a set with the coupling made up, or say that it is left unread.',
  'keeping-needs-why': 'Hot it is not in band. Say why the cold target stays all the same.',
  'belts-missing': 'Give one reading for each belt of this drive.',
  'tension-unread': 'Read the tension of the belts before the base is drawn down.',
  'not-variable': 'That sheave can’t be set: the register says it is fixed.',
  'opened-too-far': 'It doesn’t open that far. Count the turns again from closed.',
  'no-such-groove':
    'The sheave has no such groove, or the register does not say how far its grooves stand apart.',
  'disturbed-already':
    'The gearset was disturbed since. What the teeth showed before can’t be read any more; add a remark.',
  'paint-a-run': 'Paint one run at least, as it was found.',
  'both-runs': 'Paint both runs: one alone tells nothing of what to shift.',
  'both-blocks': 'Give a number for each of both blocks.',
  'not-refitted': 'Say first that the gearset is back together.',
  'mesh-not-cleared': 'Confirm first that fingers are out of the mesh and who turns.',
  'nothing-shifted': 'Nothing was shifted or changed. Say how far, or how many layers.',
  'contact-unread': 'Paint the teeth first: without it nobody can tell what this does.',
  'backlash-unread': 'Read the backlash first, before it is drawn down.',
  'pins-hold': 'The pins are in and hold it. Log that they are pulled before anything is shifted.',
  'no-such-part': 'Say which coupling or which machine of the line this is about.',
  'train-unread': 'Read every coupling first, until each can be believed: one plan rests on all of them.',
  'machine-locked': 'That machine is held where it stands. Free it and say why, at the plan.',
  'no-such-layers': 'So many layers do not lie under that block.',
  'guard-first': 'The guard is not on yet. Nothing is run before it is.',
  'no-such-move': 'The move this is said to belong before is not in the logbook.',
} satisfies Record<ObjectionCode, string>

export const objectionsWords = said(objections)
