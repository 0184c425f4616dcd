import type { Place } from '../../../core/stages/look/entries'
import { said } from '../words'

/** A place on the machine: its name in a list, in a sentence, and what one looks for there. */
interface PlaceWords {
  readonly name: string
  readonly look: string
}

const named = {
  feet: { name: 'Feet', look: 'Soles bare and flat: paint, rust and burrs off. No crack at the bolt boss.' },
  pads: { name: 'Pads', look: 'Pads bare and flat; wiped. Nothing under the feet but shims.' },
  bolts: {
    name: 'Bolts and holes',
    look: 'Threads run free, washers flat, bolts stand clear of their holes’ sides.',
  },
  base: { name: 'Base', look: 'No cracks at welds and corners; grout sound; anchor bolts tight.' },
  jacking: { name: 'Jacking bolts', look: 'Run free, backed off from the feet.' },
  pins: { name: 'Locating pins', look: 'Pulled and kept before alignment; refitted, or reamed, after.' },
  pipe: {
    name: 'Pipes and ducts',
    look: 'A dial at the coupling, zeroed. Loosen the flange bolts and see whether the hub moves.',
  },
  'drum-face': {
    name: 'Drum rim and face',
    look: 'Bare and smooth where the dials run; no heat cracks, no lip, no oil.',
  },
  brake: {
    name: 'Brake',
    look: 'Shoes clear of the drum all round; linings above their wear mark; linkage pins sound.',
  },
  'flange-faces': {
    name: 'Flange faces',
    look: 'Both faces bare and flat: paint, rust and burrs off, a straightedge lies on them all round.',
  },
  spigot: {
    name: 'Spigot',
    look: 'Register clean, no fretting; the motor goes down into it by its own weight.',
  },
  'flange-bolts': {
    name: 'Bolts and holes',
    look: 'Threads run free, washers flat; the bolt at 12 is marked and stays marked.',
  },
  support: {
    name: 'Frame under it',
    look: 'No cracks at welds and feet; its own bolts tight; nothing rocks when the motor is leant on.',
  },
  'gear-teeth': {
    name: 'Teeth',
    look: 'Bare and dry, both flanks: no pitting, no scuffing, no step at an end, no chip.',
  },
  'gear-bearings': {
    name: 'Bearings',
    look: 'Races clean and quiet by hand; home against their shoulders; clearance as the maker has it.',
  },
  'gear-housing': {
    name: 'Blocks and seats',
    look: 'Seats bare and flat, no burr, no crack; bolt holes clear of swarf.',
  },
  'gear-seals': { name: 'Seals and covers', look: 'Lips whole, the shaft smooth under them; gaskets new.' },
  'gear-oil': {
    name: 'Oil and magnet',
    look: 'Old oil caught; what lies in it and on the magnet looked at; the sump wiped.',
  },
  'gear-pins': {
    name: 'Pins and marks',
    look: 'Pins and their holes marked together; blocks marked to the bed.',
  },
  spider: { name: 'Spider', look: 'Not torn, hard or swollen; jaws not worn on one side.' },
  grid: { name: 'Grid', look: 'No broken or worn rungs; hub teeth not stepped.' },
  chain: { name: 'Chain', look: 'Rollers turn, no stretch, hub teeth not hooked.' },
  teeth: { name: 'Teeth', look: 'Not worn to a step, no pitting; sleeve slides.' },
  discs: { name: 'Disc packs', look: 'No cracked or wavy discs; bolts with their own nuts and washers.' },
  bushes: { name: 'Pins and bushes', look: 'Bushes not worn oval; pins tight and not bent.' },
  tyre: { name: 'Tyre', look: 'No cracks at the bead or the split; clamp rings tight.' },
  insert: { name: 'Insert', look: 'Not torn, worn or hard.' },
  grease: { name: 'Grease', look: 'Old grease out; not dry, not separated; the kind its maker asks.' },
  gasket: { name: 'Cover and gasket', look: 'Seals whole, cover bolts complete.' },
  keys: { name: 'Keys', look: 'Tight in shaft and hub; their length balances the hub.' },
  'set-screws': { name: 'Set screws', look: 'Tight, on the key, none missing.' },
} satisfies Record<Place, PlaceWords>

export const places: Readonly<Record<Place, PlaceWords>> = named

export const placesWords = said(places)
