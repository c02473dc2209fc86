/** How a teacher thinks of the questions. */
export const questionGroups = {
  reading: 'How we read',
  writing: 'How we write',
  uncertainty: 'How we state ±',
  judging: 'How we judge',
  glass: 'Glassware and water',
} as const;
export type QuestionGroup = keyof typeof questionGroups;

/** One question on which schools differ: its group, its words, and the answers a class may choose from. */
export interface Question {
  readonly group: QuestionGroup;
  readonly asks: string;
  readonly answers: Readonly<Record<string, string>>;
}

/**
 * Every question of a class's conventions that is answered by a choice, in the order in which a teacher meets
 * them. The type `Conventions` is derived from this table: a new question is a new row.
 */
export const questions = {
  analogueStep: {
    group: 'reading',
    asks: 'How far is an analogue scale read?',
    answers: {
      'written-place':
        'to the written place: a division of 1 or 2 to 0.1, of 5 to 1, likewise in every decade',
      'strict-tenth': 'to a strict tenth of a division',
      'next-place': 'one decimal beyond the place of a division',
      half: 'to half a division',
      nearest: 'to the nearest line',
      lower: 'to the line below, nothing estimated',
    },
  },
  leastCount: {
    group: 'reading',
    asks: 'How far is a vernier, a screw or a digital display read?',
    answers: {
      'least-count': 'to its least count, nothing estimated',
      'screw-to-thousandth': 'to its least count, a plain micrometer to an estimated 0.001 mm',
    },
  },
  vernierParts: {
    group: 'reading',
    asks: 'How is a vernier or a screw reading written down?',
    answers: { 'one-number': 'as one number', columns: 'in its parts, each in its own column' },
  },
  halfWidth: {
    group: 'uncertainty',
    asks: 'What is the reading half-width of an analogue scale?',
    answers: {
      'half-division': 'half a division',
      'tenth-division': 'a tenth of a division',
      'one-division': 'one division',
      step: 'the step that is read',
      tolerance: 'the tolerance of the glass or the maker',
    },
  },
  plusMinus: {
    group: 'uncertainty',
    asks: 'What does ± mean in this course?',
    answers: {
      'half-widths': 'half-widths combined as they stand',
      standard: 'standard uncertainties',
    },
  },
  repeatAndInstrument: {
    group: 'uncertainty',
    asks: 'How are the repeat part and the instrument part joined?',
    answers: { larger: 'the larger of them', sum: 'their sum', 'root-sum-square': 'root-sum-square' },
  },
  spread: {
    group: 'uncertainty',
    asks: 'How is spread stated?',
    answers: {
      'standard-deviation': 'sample standard deviation; for a mean, the standard deviation of the mean',
      'sd-of-mean': 'standard deviation of the mean',
      'mean-absolute-deviation': 'mean absolute deviation',
      'half-range': 'half the range',
    },
  },
  combining: {
    group: 'uncertainty',
    asks: 'How are uncertainties combined?',
    answers: {
      'figures-only': 'significant figures only, no ±',
      'worst-case': 'worst case',
      quadrature: 'quadrature',
      'largest-smallest': 'largest and smallest',
      'monte-carlo': 'Monte Carlo',
    },
  },
  uncertaintyDigits: {
    group: 'uncertainty',
    asks: 'How many digits has an uncertainty?',
    answers: { one: 'one', two: 'two', 'one-or-two': 'one, or two if it begins with 1' },
  },
  resultDigits: {
    group: 'writing',
    asks: 'What decides the digits of a result?',
    answers: { data: 'the data', fixed: 'a fixed count set by the teacher' },
  },
  averaging: {
    group: 'uncertainty',
    asks: 'What is averaged?',
    answers: { results: 'the results', inputs: 'the inputs; the result comes from their means' },
  },
  zeroCorrection: {
    group: 'reading',
    asks: 'Where is a zero error corrected?',
    answers: { 'each-reading': 'in each reading', mean: 'on the mean' },
  },
  percentError: {
    group: 'judging',
    asks: 'How is a percent error written?',
    answers: {
      absolute: 'without a sign',
      signed: 'with its sign',
      'of-target': 'as percent of the accepted value',
      'hundred-less': 'as 100 less the percent error',
    },
  },
  howCompare: {
    group: 'judging',
    asks: 'How do we compare? By which is a claim judged?',
    answers: {
      'as-they-stand': 'the numbers as they stand',
      overlap: 'whether the intervals overlap',
      tests: 'whether the data carry the claim',
    },
  },
  glasswareReference: {
    group: 'glass',
    asks: 'In a glassware trial, which volume is accepted?',
    answers: {
      weighed: 'the weighed one; the mark is measured',
      target: 'the target; the weighed one is measured',
    },
  },
  water: {
    group: 'glass',
    asks: 'How dense is water?',
    answers: {
      one: '1 g/mL',
      table: 'as the table says at its temperature',
      buoyancy: 'by the table, with buoyancy and the expansion of glass',
    },
  },
  rounding: {
    group: 'writing',
    asks: 'Which way does a tie round?',
    answers: { 'half-away': 'away from zero', 'half-even': 'to the even digit' },
  },
  roundWhen: {
    group: 'writing',
    asks: 'When is a result rounded?',
    answers: { end: 'once, at the end', 'each-step': 'at each step' },
  },
  trailingZeros: {
    group: 'writing',
    asks: 'Do the last zeros of a whole number count?',
    answers: { 'written-point': 'only with a written point', 'all-count': 'always' },
  },
  onesZero: {
    group: 'writing',
    asks: 'What of a reading that ends in a zero at the ones place, such as 60?',
    answers: {
      bare: 'it is written bare: 60',
      remarked: 'bare is accepted, with a remark',
      'point-required': 'it has to have a point: 60.',
    },
  },
  kelvin: {
    group: 'writing',
    asks: 'Is the 273.15 of kelvin exact?',
    answers: { exact: 'yes, 273.15 and exact', rounded: 'the course uses 273' },
  },
  symbolSpelling: {
    group: 'writing',
    asks: 'What happens to ml, cc, gm?',
    answers: { accept: 'accepted', remark: 'accepted with a remark', refuse: 'refused' },
  },
  buretteStart: {
    group: 'glass',
    asks: 'Where may a burette start?',
    answers: { any: 'anywhere on its scale', zero: 'at 0, reached from above' },
  },
  hydrometerLine: {
    group: 'glass',
    asks: 'Where is a hydrometer read?',
    answers: { level: 'at the level surface', rise: 'at the top of the rise' },
  },
  lastDrop: {
    group: 'glass',
    asks: 'What happens to the last drop of a pipette?',
    answers: { marking: 'as the pipette is marked', keep: 'it stays in', expel: 'it is expelled' },
  },
} as const satisfies Record<string, Question>;

export type QuestionKey = keyof typeof questions;
export type Answer<K extends QuestionKey> = keyof (typeof questions)[K]['answers'];
export type Choices = { readonly [K in QuestionKey]: Answer<K> };

/** The questions of one group, in their order. */
export const questionsIn = (group: QuestionGroup): QuestionKey[] =>
  (Object.keys(questions) as QuestionKey[]).filter((key) => questions[key].group === group);
