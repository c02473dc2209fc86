import { expect, it } from 'vitest';
import { placeInWords } from './investigationProblem';
import { boltPin } from './readyMade';

it.each([
  ['tables[0].columns[4].formula', 'table “Trials”, column “Density”, formula'],
  ['tables[0].columns[9].unit', 'table “Trials”, column 10, unit'],
  ['kit[1].model', 'piece of the kit “C-07”, model'],
  ['steps[2].text', 'step 3, text'],
  ['results[0].accepted.value', 'result “Density”, accepted, value'],
  ['tables[0].columns[0].key', 'table “Trials”, column “Mass of the pin”, name in formulas'],
  ['object', 'object'],
  ['somewhere[3].else', 'somewhere 4, else'],
])('the place %s is %s', (place, words) => expect(placeInWords(place, boltPin)).toBe(words));

it('a place in nothing is still said', () =>
  expect(placeInWords('tables[0].columns[0].unit', null)).toBe('table 1, column 1, unit'));
