import { describe, expect, it } from 'vitest';
import { entry, rows } from '../../test/entry';
import { presetNamed, type Conventions } from '../conventions';
import { checkInvestigation } from './checkInvestigation';
import { claimBeyond, claimIn, isAnswered, claimSubject, claimText } from './claims';
import { outcomeOf } from './outcome';
import { glasswareThreeWays } from './readyMade';
import type { ComparisonClaim } from '../compare';
import { flatSubject } from './subject';
import { tableOf } from './table';

const bench = presetNamed('Chemistry bench');
const tests: Conventions = { ...bench, howCompare: 'tests' };
// About 19.99 mL four times by burette, 19.7 by cylinder, 19.0 to 20.3 by beaker.
const full = '49.96 49.97 49.95 49.97 49.70 49.85 49.60 49.79 48.90 50.30 49.40 48.10'.split(' ');
const weighed = [
  ...rows(glasswareThreeWays, 't', '20.0', '20.0'),
  ...rows(glasswareThreeWays, 'dry full', ...full.map((text) => `30.00 ${text}`)),
];

function findings(question: ComparisonClaim['question'], of: string | null, conventions: Conventions) {
  const { kind, of: about } = flatSubject(claimSubject('V', question));
  const claim = entry(0, `@${kind} ${about}`, claimText({ of, reason: 'It looks so.' }));
  const cells = tableOf([...weighed, claim]);
  const outcome = outcomeOf(glasswareThreeWays, cells, conventions);
  return claimBeyond
    .find({ investigation: glasswareThreeWays, cells, outcome, conventions })
    .map(({ sentence }) => sentence);
}

describe('a claim in a logbook', () => {
  it('is looked at a second time, by the class’s rule', () => {
    expect(findings('more accurate', 'burette', { ...bench, howCompare: 'as-they-stand' })).toEqual([]);
    expect(findings('more accurate', 'burette', tests)[0]).toMatch(
      /^A claim beyond what the data carry: Burette/,
    );
    expect(findings('more accurate', 'cylinder', tests)[0]).toMatch(/^Cylinder C-04 does not lie nearest/);
    expect(findings('more accurate', null, tests)).toEqual([]);
    expect(findings('more precise', null, { ...bench, howCompare: 'as-they-stand' })[0]).toMatch(
      /^It can be told/,
    );
  });

  it('can be read back, and is nothing where it cannot', () => {
    const { kind, of } = flatSubject(claimSubject('V', 'more precise'));
    const cells = (text: string) => tableOf([entry(0, `@${kind} ${of}`, text)]);
    expect(claimIn(cells(claimText({ of: 'beaker', reason: 'So.' })), 'V', 'more precise')).toEqual({
      question: 'more precise',
      of: 'beaker',
      reason: 'So.',
    });
    expect(claimIn(cells('{'), 'V', 'more precise')).toBeNull();
    expect(claimIn(cells('{"of":3}'), 'V', 'more precise')).toMatchObject({ of: null, reason: '' });
    expect(claimIn(cells('x'), 'V', 'more accurate')).toBeNull();
  });

  it('answers the question that asks for it', () => {
    const [asked, , words] = glasswareThreeWays.questions.filter(({ when }) => when === 'after');
    const { kind, of } = flatSubject(claimSubject('V', 'more accurate'));
    const claimed = tableOf([entry(0, `@${kind} ${of}`, claimText({ of: null, reason: 'Equal values.' }))]);
    expect([isAnswered(asked!, tableOf([])), isAnswered(asked!, claimed)]).toEqual([false, true]);
    const said = tableOf([entry(0, `@answer ${words!.key}`, 'No.')]);
    expect([isAnswered(words!, claimed), isAnswered(words!, said)]).toEqual([false, true]);
  });

  it('asks for a mean that is reckoned for each of something', () => {
    const [first, ...others] = glasswareThreeWays.questions.filter(({ kind }) => kind === 'compares');
    expect(checkInvestigation(glasswareThreeWays)).toEqual([]);
    const asked = (of: string) =>
      checkInvestigation({
        ...glasswareThreeWays,
        questions: [{ ...first!, compares: { of, question: 'more precise' } }, ...others],
      });
    expect(asked('W')).toEqual([
      {
        place: 'questions[0].compares',
        sentence: 'There is no mean for each row or word called “W” to compare.',
      },
    ]);
  });
});
