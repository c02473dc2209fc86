import { part, precaution, scaleOrder, type InstrumentCard } from './card';

export const rulerCard: InstrumentCard = {
  parts: [
    part('first line', 'The zero: often a little in from the end, which wears.'),
    part('numbered line', 'Carries a number; the longest of its lines.'),
    part('smallest space', 'What one space is worth limits what you can read.'),
    part('object', 'Lies along the edge with the lines, not across it.'),
    part('eye', 'Square above the end that is read.'),
  ],
  order: [
    'Lay any line of the scale to the beginning: it need not be 0.',
    ...scaleOrder,
    'Take the beginning from the end.',
  ],
  precautions: [
    precaution(
      'Look square on, straight above the end.',
      'parallax: the thickness of the rule shifts the line',
    ),
    precaution('Do not start at a worn end.', 'a length that is too long by what has worn off'),
    precaution('Measure opposite edges apart; lay a sheet flat.', 'taking one edge for all'),
    precaution('Take the beginning off.', 'writing the end for the length'),
  ],
  cautions: ['A steel rule has sharp corners. Carry it flat.'],
  can: 'Measure straight edges up to its length, and any gap carried to it with plain calipers.',
  cannot: 'Measure a round thing across, a bore or a depth well; and nothing finer than part of its space.',
  why: 'Fifth and tenth lines are longer so that you can count without losing your place. An inch is halved again and again: halves, quarters, eighths, sixteenths.',
};

const jaws = [
  part('outside jaws', 'Grip what is measured from outside.'),
  part('inside jaws', 'They cross: each stands in the bore with its face outward.'),
  part('depth rod', 'Comes out of the end of the beam by what is measured.'),
  part('lock', 'Holds the slide while you look.'),
  part('wheel', 'Moves the slide a little at a time.'),
] as const;

const caliperPrecautions = [
  precaution(
    'Wipe the jaws, close them on nothing, and write what it shows, with its sign.',
    'a zero error left in every length',
  ),
  precaution('Close until it holds, no further.', 'a soft thing squeezed: too small'),
  precaution('In a bore take the largest across, along it the smallest.', 'a chord taken for the diameter'),
  precaution('Measure at several places and quarter-turns.', 'one place taken for all'),
] as const;

export const vernierCaliperCard: InstrumentCard = {
  parts: [
    ...jaws,
    part('main scale', 'Whole divisions, up to the zero line of the vernier.'),
    part('vernier', 'Its one line that runs straight on tells the rest.'),
    part('zero line', 'Where the main scale is read; not the edge of the slide.'),
  ],
  order: [
    'Find the least count: what one line of the vernier is worth.',
    'Read the last main line at or left of the vernier’s zero line.',
    'Find the one vernier line that runs straight into a line above it, and count its index.',
    'Index × least count, added to the main reading.',
    'Take the zero error off, with its sign. Nothing is estimated.',
  ],
  precautions: [
    ...caliperPrecautions,
    precaution('Look square at the line that coincides.', 'parallax: a neighbour taken for it'),
  ],
  cautions: ['The tips of the inside jaws are sharp. Close it when you lay it down.'],
  can: 'Measure outside, inside and depth, to its least count.',
  cannot: 'Grip what is soft or springy without changing it, or reach past its jaws.',
  why: 'Its lines are a little closer than those of the beam, or than a whole number of them. So only one can coincide, and which one tells how far the zero line has come. Numbers on a vernier are not always its line numbers: on fifty lines, each fifth is numbered with tenths of a millimetre.',
};

export const digitalCaliperCard: InstrumentCard = {
  parts: [
    ...jaws,
    part('display', 'Shows the place of the slide.'),
    part('zero key', 'Calls the place where the jaws are now 0.'),
    part('unit key', 'Millimetres or inches: look which before you write.'),
  ],
  order: [
    'Close it on nothing and press zero, or write what it shows.',
    'Close it on the object until it holds.',
    'Write every digit shown, final zeros too, and the unit that it shows.',
  ],
  precautions: caliperPrecautions,
  cautions: [
    'The tips of the inside jaws are sharp. A spent button cell goes where your school collects them.',
  ],
  can: 'Measure as any caliper does, and give the number at once in either unit.',
  cannot: 'Promise what it shows: 0.01 mm is displayed, ± 0.03 mm is what the maker promises.',
  why: 'The slide counts its way along a track. It counts finer than jaws can touch, so that its last digit is more than you know.',
};

export const micrometerCard: InstrumentCard = {
  parts: [
    part('frame', 'Holds anvil and screw apart; the grip keeps the warmth of the hand off.'),
    part('anvil', 'The face that stands still.'),
    part('spindle', 'The face that the screw moves.'),
    part('lock', 'Holds the spindle. Release it before you turn.'),
    part('sleeve', 'Whole millimetres on one side of its line, halves on the other.'),
    part('thimble', 'A turn is half a millimetre; its lines are hundredths.'),
    part('ratchet', 'Slips when it presses enough: always close with it.'),
  ],
  order: [
    'Close with the ratchet until it slips.',
    'Read the last line of the sleeve that shows: the half-millimetre too.',
    'Read the thimble at the long line of the sleeve.',
    'With a vernier on the sleeve, the line of it that coincides gives thousandths.',
    'Take the zero error off, with its sign.',
  ],
  precautions: [
    precaution(
      'Wipe both faces, close on nothing, and write what it shows.',
      'a zero error left in every thickness',
    ),
    precaution('Close with the ratchet, never with the thimble.', 'too small: the screw bends the frame'),
    precaution(
      'Look for the half-millimetre line just at the edge.',
      'half a millimetre missed, or read before its turn is full',
    ),
    precaution('Look square at the long line.', 'parallax: a hundredth too many or too few'),
  ],
  cautions: ['It is heavy: do not leave it at the edge of the bench.'],
  can: 'Measure thickness and diameter up to 25 mm, to a hundredth of a millimetre or finer.',
  cannot: 'Measure a bore, a depth, or anything over 25 mm; nor what is soft.',
  why: 'A screw turns a small advance into a long way around. One turn of 50 divisions is half a millimetre, so that a hundredth is a space of a millimetre or so that you can see.',
};
