import { countFaults } from './countFaults';
import type { Misreading } from './instrument';
import { slack } from './scale';
import { micrometerModel, screwParts, screwValue, type MicrometerSetting } from './screws';
import { zeroErrorMisreadings } from './zeroError';

const count = countFaults((setting: MicrometerSetting, seen) => {
  const model = micrometerModel(setting.model);
  return [model, screwParts(model, seen), seen] as const;
});

/** How a micrometer is misread. */
export const screwMisreadings: readonly Misreading<MicrometerSetting>[] = [
  {
    code: 'over-tightened',
    stage: 'place',
    skill: 'handling',
    point: 'edge',
    title: 'The screw was forced past the slip of the ratchet.',
    predict: ({ at, size, zeroError }) => (at < size + zeroError - slack ? [at] : []),
    hint: () =>
      'Forcing bends the frame and reads too small. Turn back, and close with the ratchet until it slips.',
  },
  count({
    code: 'half-line-missed',
    skill: 'd',
    point: 'other-side',
    title: 'You missed the half-millimetre mark.',
    predict: ({ pitch }, { sleeve }, read) => (pitch === 0.5 && sleeve % 1 !== 0 ? [read - 0.5] : []),
    hint: 'Look at the other side of the datum: a half-millimetre mark shows after the last whole one. It counts.',
  }),
  count({
    code: 'half-line-invented',
    skill: 'd',
    point: 'zero-line',
    title: 'You counted a mark that has not been passed yet.',
    predict: ({ pitch, thimble }, parts, read) => (parts.thimble >= 0.9 * thimble ? [read + pitch] : []),
    hint: 'A mark begins to show just before the thimble completes its turn. It counts only once the thimble has passed its zero.',
  }),
  count({
    code: 'half-line-overlooked-when-hidden',
    skill: 'd',
    point: 'zero-line',
    title: 'You left out a mark that the thimble still touches.',
    predict: ({ pitch, thimble }, parts, read) =>
      parts.thimble < 0.1 * thimble && parts.sleeve > 0 ? [read - pitch] : [],
    hint: 'Just after a turn the edge of the thimble still lies on the mark. The thimble has passed its zero, so the mark counts.',
  }),
  count({
    code: 'thimble-as-tenths',
    skill: 'd',
    point: 'level',
    title: 'You took the thimble’s divisions for tenths.',
    predict: (_, parts) => [parts.sleeve + parts.thimble * 0.1],
    hint: 'One turn of the thimble moves the spindle by one pitch. Divide that by its divisions: each is a hundredth of a millimetre.',
  }),
  count({
    code: 'vernier-counted-backwards',
    skill: 'd',
    point: 'tip',
    title: 'You counted the vernier from the wrong end.',
    predict: ({ vernier }, parts) => (vernier ? [screwValue({ ...parts, vernier: 10 - parts.vernier })] : []),
    hint: 'The vernier’s lines are numbered from the datum upward. Which of them runs straight into a thimble line?',
  }),
  count({
    code: 'vernier-ignored',
    skill: 'd',
    point: 'tip',
    title: 'You left the vernier out.',
    predict: ({ vernier }, parts) => (vernier ? [screwValue({ ...parts, vernier: 0 })] : []),
    hint: 'The datum lies between two thimble lines. The lines along the sleeve say how far: find the one that runs into a thimble line.',
  }),
  count({
    code: 'thimble-rounded-up',
    skill: 'd',
    point: 'level',
    title: 'You took the thimble line above the datum.',
    predict: ({ vernier }, _, read) => (vernier ? [read + 0.01] : []),
    hint: 'With a vernier the thimble is read at or below the datum; the vernier gives the rest.',
  }),
  ...zeroErrorMisreadings,
];
