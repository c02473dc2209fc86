import type { Misreading } from './instrument';
import { droppedPlaces, says, type BalanceSetting, type BeamModel } from './riders';
import { slack } from './scale';

/** How the riders of a balance are misread. */
export function riderMisreadings(
  modelFor: (setting: BalanceSetting) => BeamModel,
): readonly Misreading<BalanceSetting>[] {
  const count = (setting: BalanceSetting) => says(modelFor(setting), setting.riders);
  return [
    {
      code: 'rider-rounded-up',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'You took the next number on a beam.',
      predict: (setting, seen) => {
        const { beams, labelEvery } = modelFor(setting);
        return beams.flatMap(({ notch }) => {
          const number = notch ?? Number(labelEvery);
          const between = Math.abs(seen / number - Math.round(seen / number)) > 1e-6;
          return between && seen > number / 10 ? [seen + number] : [];
        });
      },
      hint: () =>
        'Check each beam: between two numbers the lower one counts, because the lighter riders have yet to add the rest.',
    },
    {
      code: 'riders-swapped',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'You exchanged the hundreds and the tens.',
      predict: (setting, seen) => {
        const [hundreds = 0, tens = 0] = count(setting);
        return hundreds > 0 && tens > 0 ? [seen - hundreds - tens + tens * 10 + hundreds / 10] : [];
      },
      hint: () =>
        'Read the numbers printed on the beams: which goes up in hundreds, and which in tens? Makers put them in different orders.',
    },
    {
      code: 'rider-forgotten',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'You left a rider out.',
      predict: (setting, seen) => count(setting).flatMap((grams) => (grams > 0 ? [seen - grams] : [])),
      hint: (setting) =>
        `There are ${modelFor(setting).beams.length} riders. Count those that do not stand at zero, and check that each is in your sum.`,
    },
    {
      code: 'empty-place-dropped',
      stage: 'count',
      skill: 'd',
      point: 'label',
      title: 'You dropped a place in which a beam stands at zero.',
      predict: (_, seen) => droppedPlaces(seen),
      hint: () =>
        'One beam adds nothing, but its place stays: write a 0 for it, so that the other digits keep theirs.',
    },
    {
      code: 'miscounted-division',
      stage: 'count',
      skill: 'd',
      point: 'spaces',
      title: 'You counted the lines for something they are not worth.',
      predict: (setting, seen) => {
        const labelEvery = Number(modelFor(setting).labelEvery);
        const parts = seen - Math.floor(seen / labelEvery + slack) * labelEvery;
        return [seen - parts + parts / 10];
      },
      hint: (setting) =>
        `On the sliding beam count the spaces between two numbers that are ${modelFor(setting).labelEvery} g apart: there are 10. So what is one space worth?`,
    },
  ];
}
