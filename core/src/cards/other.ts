import { part, precaution, scaleOrder, type InstrumentCard } from './card';

export const thermometerCard: InstrumentCard = {
  parts: [
    part('bulb', 'Wholly in the liquid, clear of bottom and wall.'),
    part('column', 'Dyed spirit; its end is read.'),
    part('scale', 'On the glass in front of the column, or on a plate behind it.'),
    part('clamp', 'Holds it: it is never a stirrer.'),
    part('beaker', 'Its bottom is hotter than the water while it is heated.'),
  ],
  order: [
    'Hang it with its bulb in the liquid and wait until the column rests.',
    ...scaleOrder,
    'Below zero the numbers grow downward.',
  ],
  precautions: [
    precaution('Wait until the column rests.', 'reading while it settles'),
    precaution('Bulb clear of the bottom.', 'the plate’s temperature for the water’s'),
    precaution('Eye level with the end of the column.', 'parallax'),
    precaution('Check it in ice water and in boiling water.', 'a scale that is off everywhere'),
  ],
  cautions: [
    'Never shaken down, never a stirrer. It rolls: lay it in a tray. Report a broken one, and any with mercury. Hot plates and steam burn.',
  ],
  can: 'Tell the temperature of a liquid that its bulb is wholly in.',
  cannot: 'Follow a quick change, or measure a drop.',
  why: 'Spirit swells more than glass. A large bulb and a hair-thin bore turn a little more volume into a long way.',
};

export const hydrometerCard: InstrumentCard = {
  parts: [
    part('stem', 'Thin, with the scale: read where the surface cuts it.'),
    part('body', 'Wide: it carries the stem.'),
    part('ballast', 'Keeps it upright.'),
    part('surface', 'Level, or the top of the rise: as your class has it.'),
    part('jar', 'Wide enough that the spindle floats clear of the wall.'),
  ],
  order: [
    'Begin with the spindle for the lightest liquids; go up until one floats on its scale.',
    'Lower it and hold until it floats; then let go.',
    'Read downward from the number above the surface: small numbers are at the top.',
    'Note the temperature of the liquid, and that on the spindle.',
  ],
  precautions: [
    precaution('Let it float clear of the wall.', 'held up by the wall'),
    precaution('Read downward.', 'counting the wrong way'),
    precaution('Wipe it dry and clean first.', 'drops that weigh it down'),
    precaution('Note the temperature.', 'a density of another temperature'),
  ],
  cautions: ['It breaks when it is dropped in: hold it until it floats. It rolls: lay it in its tray.'],
  can: 'Tell the density of a liquid in a moment.',
  cannot: 'Be read with spindles of another range, or in too little liquid.',
  why: 'It sinks until it displaces its own weight. Dense liquid, less volume, higher float: so small numbers are at the top, and equal steps of density draw together downward.',
};
