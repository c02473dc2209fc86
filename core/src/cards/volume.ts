import { part, precaution, scaleOrder, type InstrumentCard } from './card';

const curve =
  'Water climbs clean glass, so its surface is a bowl: its lowest point is read. In plastic it hardly climbs and is flat. A liquid that glass repels stands as a dome: its top is read.';

const atTheLevel = [
  precaution(
    'Eye at the height of the surface: front and back of its ring in one line.',
    'reading too high from above, too low from below',
  ),
  precaution('Read the bottom of the curve, sharpened by a card.', 'reading the rim, too high'),
] as const;

const glassCautions = ['Broken glass: no bare hands, tell your teacher. Wet floors are slippery.'] as const;

export const cylinderCard: InstrumentCard = {
  parts: [
    part('surface', 'The bottom of its curve is read.'),
    part('numbered line', 'What is in it up to there.'),
    part('spout', 'For pouring, slowly.'),
    part('guard ring', 'Protects it when it falls. It is no mark.'),
    part('foot', 'On a level bench; it is not lifted to be read.'),
    part('card', 'Half dark, held behind: it sharpens the curve.'),
  ],
  order: scaleOrder,
  precautions: [
    ...atTheLevel,
    precaution('Leave it standing on a level bench.', 'a slanting surface'),
    precaution('Write what is there, not what you meant to pour.', 'the planned amount for the real one'),
    precaution(
      'On two scales, read the one that rises from the foot.',
      'what has left taken for what is in it',
    ),
  ],
  cautions: [
    ...glassCautions,
    'Never for hot liquids: heat changes glass for good. Slide heavy pieces in: dropped, they crack it.',
  ],
  can: 'Measure what is poured in, and what an object displaces.',
  cannot: 'Measure a small volume in a wide one: take the narrowest that fits.',
  why: `${curve} Its scale begins some way up, where the bore is even; its last line is not the brim.`,
};

export const beakerCard: InstrumentCard = {
  parts: [
    part('surface', 'The bottom of its curve is read.'),
    part('line', 'A guide, good to one part in twenty.'),
    part('spout', 'For pouring.'),
  ],
  order: scaleOrder,
  precautions: [
    ...atTheLevel,
    precaution('Take a cylinder where the volume counts.', 'a guide taken for a measure'),
  ],
  cautions: [...glassCautions, 'Hot glass looks like cold glass.'],
  can: 'Hold, mix and heat; tell about how much is in it.',
  cannot: 'Measure: its lines are good to ± 5 % only.',
  why: `${curve} In a cone equal volumes need more height toward the neck, so its lines draw apart.`,
};

export const buretteCard: InstrumentCard = {
  parts: [
    part('zero', 'At the top: the numbers tell what has left.'),
    part('surface', 'The bottom of its curve is read, before and after.'),
    part('clamp', 'Holds it upright.'),
    part('tap', 'Across it is shut, in line it is open; between, it drips.'),
    part('tip', 'Full, without air, and no drop hanging.'),
    part('receiver', 'Straight under the tip.'),
  ],
  order: [
    'Fill above zero, open fast for a moment: no air in the tip. Take the funnel out.',
    'Read the start to the bottom of the curve: downward from the number above.',
    'Run out; near the end drop by drop. Touch off the hanging drop.',
    'Wait for the wall to drain, and read again.',
    'Delivered is the end less the start. A start of nothing is 0.00, with its decimals.',
  ],
  precautions: [
    ...atTheLevel,
    precaution('Count downward: from the number above the surface.', 'reading upward, as on a cylinder'),
    precaution('Drive the air out of the tip first.', 'too much: a bubble’s volume that never came'),
    precaution(
      'Touch off the last drop; wait for the wall.',
      'too much: liquid that left the scale but not the burette',
    ),
  ],
  cautions: [...glassCautions, 'Fill it below the height of your eyes.'],
  can: 'Deliver any volume up to its own, to a twentieth of a millilitre or finer.',
  cannot: 'Tell what is in it: its scale does not go to the tip.',
  why: `It counts what has left, so its numbers run down from zero at the top. ${curve}`,
};

const withBulb = ['Bulb or pump only. Never the mouth, water included.', ...glassCautions] as const;

export const graduatedPipetteCard: InstrumentCard = {
  parts: [
    part('bulb', 'Draws it up. Never the mouth.'),
    part('zero', 'At the top: the numbers tell what has left.'),
    part('surface', 'The bottom of its curve is read.'),
    part('tip', 'Wiped outside before it delivers.'),
  ],
  order: [
    'Draw above zero with the bulb, wipe the tip.',
    'Run it down to zero or near; read the start.',
    'Let it run, then drop by drop; hold with the fingertip.',
    'Read again. Delivered is the end less the start.',
  ],
  precautions: [
    ...atTheLevel,
    precaution(
      'Know whether it is marked to its tip or to a lower line.',
      'what stays in the tip counted, or not',
    ),
    precaution('Count downward from the number above.', 'reading upward'),
  ],
  cautions: withBulb,
  can: 'Deliver small volumes of any size up to its own.',
  cannot: 'Do better than a pipette with one ring of the same volume.',
  why: `It counts what has left, as a burette does. ${curve}`,
};

export const volumetricPipetteCard: InstrumentCard = {
  parts: [
    part('bulb', 'Draws it up. Never the mouth.'),
    part('ring', 'The one mark: the bottom of the curve lies on it.'),
    part('body', 'Holds most of it; the stem at the ring is thin, so a little is seen there.'),
    part('tip', 'Touched to the wall to deliver.'),
  ],
  order: [
    'Draw above the ring, wipe the tip.',
    'Eye level with the ring; let it down until the bottom of the curve lies on it.',
    'Deliver, wait, touch the tip to the wall.',
    'The last drop: as its marking or your class has it.',
  ],
  precautions: [
    ...atTheLevel,
    precaution('Past the ring, draw up again.', 'a volume that is gone'),
    precaution('Touch off; do not shake.', 'a drop left behind'),
    precaution('Blow out only what is marked so.', 'a drop too many'),
  ],
  cautions: withBulb,
  can: 'Deliver its one volume, to a few parts in a thousand.',
  cannot: 'Deliver any other volume.',
  why: `A thin stem turns a small volume into a long way, so that it is set well at its ring. ${curve}`,
};

export const squeezePipetteCard: InstrumentCard = {
  parts: [
    part('bulb', 'Squeezed before the tip is under the surface.'),
    part('line', 'A rough guide: half a millilitre apart.'),
    part('tip', 'Drops of nearly one size fall from it, held upright.'),
  ],
  order: [
    'Squeeze, dip, let go slowly: no air.',
    'Hold it upright. Read its line, or count the drops as they fall.',
    'To know a drop: count how many make a volume you can measure.',
  ],
  precautions: [
    precaution('Hold it upright and let the drops fall slowly.', 'drops of different size'),
    precaution('Begin again when you lose count.', 'a count that nobody knows'),
    precaution('Measure each one: no two are alike.', 'another pipette’s drop taken for yours'),
  ],
  cautions: ['One liquid, one pipette. Nothing goes back into the bottle.'],
  can: 'Move a little, and add by drops.',
  cannot: 'Measure better than a quarter of a millilitre by its lines.',
  why: 'Plastic is hardly wetted: its surface is flat. A drop falls when its weight is more than its rim can hold, so that drops of one tip are alike.',
};

export const volumetricFlaskCard: InstrumentCard = {
  parts: [
    part('ring', 'The one mark: the bottom of the curve lies on it.'),
    part('neck', 'Narrow, so that a drop is seen.'),
    part('stopper', 'In before it is turned over to mix.'),
    part('body', 'Holds its volume at 20 °C.'),
  ],
  order: [
    'Fill to a finger below the ring.',
    'Eye level with the ring; the last part by drops.',
    'The bottom of the curve on the ring: it holds what is printed on it, with the decimals of its tolerance.',
    'Stopper, turn over, mix.',
  ],
  precautions: [
    ...atTheLevel,
    precaution('Past the ring, begin again.', 'too much; taking some out takes what is dissolved too'),
    precaution('Fill at the warmth printed on it.', 'warm liquid shrinks below the ring later'),
    precaution('Dry before it is filled to contain.', 'drops of the last rinse counted in'),
  ],
  cautions: glassCautions,
  can: 'Contain its one volume, to one part in a thousand.',
  cannot: 'Deliver that volume: a film stays behind.',
  why: `A narrow neck turns a small volume into a long way. ${curve}`,
};
