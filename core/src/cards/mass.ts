import { part, precaution, type InstrumentCard } from './card';

export const beamBalanceCard: InstrumentCard = {
  parts: [
    part('pan', 'What is weighed stands on its middle.'),
    part('zero screw', 'Turned until the pointer rests on zero with nothing on the pan.'),
    part('pivot', 'The knife edge that the beams turn on.'),
    part('notched beam', 'Its rider sits in a notch, or turns the beams for something between.'),
    part('sliding beam', 'The last grams and their parts: here you estimate.'),
    part('rider', 'Moved along its beam; its tip is where you read.'),
    part('pointer', 'Level where it rests on its mark, or swings as far above it as below.'),
    part('damper', 'A vane between magnets, which brings the beams to rest.'),
  ],
  order: [
    'All riders at zero, pan empty: the pointer on zero, else the zero screw.',
    'Object on the pan. The heaviest rider out notch by notch until the beam drops, then back one.',
    'The next rider the same; the last slides until the pointer is level.',
    'Add up the riders. Between two numbers the lower one counts; an empty beam holds its place with 0.',
    'All riders back to zero.',
  ],
  precautions: [
    precaution('Set it to zero first.', 'a zero error in every mass'),
    precaution('Let notched riders drop into their notches.', 'a reading of what nothing weighs'),
    precaution('Judge level at rest, or by equal swings.', 'reading before it balances'),
    precaution('Weigh things dry, cool and whole.', 'water, warmth and crumbs in the mass'),
  ],
  cautions: ['Keep fingers clear of falling beams. Lift it by its base.'],
  can: 'Weigh anything that stands on its pan, without current, to a tenth of its smallest line.',
  cannot: 'Tell the mass before it is level: until then its riders say nothing.',
  why: 'A rider twice as far out turns the beams twice as much. Each beam has its own step, so that a few places give many grams. The order of the beams differs between makers.',
};

export const electronicBalanceCard: InstrumentCard = {
  parts: [
    part('pan', 'What is weighed stands on its middle.'),
    part('draught shield', 'Keeps moving air off the pan.'),
    part('door', 'Shut before you read.'),
    part('level', 'The bubble in its ring: the balance stands upright.'),
    part('feet', 'Turned until the bubble is in its ring.'),
    part('display', 'Every digit of it is written. “net” says that something was set to zero before.'),
    part('zero key', 'Calls what is on the pan now 0.'),
  ],
  order: [
    'Level it. Empty pan, doors shut: press zero.',
    'Object in the middle, doors shut.',
    'Wait for the sign that it is steady.',
    'Write every digit shown, final zeros too. When it hops between two values, either.',
  ],
  precautions: [
    precaution('Zero with the pan clean and empty.', 'crumbs weighed with every object'),
    precaution('Shut the doors and wait for the sign.', 'reading while it settles'),
    precaution('Weigh things dry and at the warmth of the room.', 'too heavy when wet, drifting when warm'),
    precaution(
      'The same balance for all weighings of one determination.',
      'an offset that no longer cancels',
    ),
    precaution(
      'Container first, or set to zero with it: not both.',
      'the container counted in, or taken off twice',
    ),
  ],
  cautions: ['Water and mains current: keep the bench dry. Nothing hot on the pan.'],
  can: 'Weigh to its last digit at once, alone or by difference.',
  cannot: 'Take more than its maximum, or be right on a bench that is not level or shakes.',
  why: 'It balances the pan with a current and shows that as grams. Its last digit is the uncertain one; nothing is estimated beyond it.',
};
