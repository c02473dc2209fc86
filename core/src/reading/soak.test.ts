import { describe, expect, it } from 'vitest';
import { soak } from '../../benchmark/soak';
import { instruments } from '../instruments';

describe.each(instruments.map((instrument) => [instrument.name, instrument] as const))(
  '2000 settings of the %s',
  (_, instrument) => {
    const tally = soak(instrument, 2000, 7000);

    it('never calls a correct reading wrong', () => {
      expect(tally.examples).toEqual([]);
      expect(tally).toMatchObject({ rightAnswers: 2000, rightCalledWrong: 0 });
    });

    it('calls each misreading by its name, or by a set that holds it', () => {
      for (const [code, { applied, named }] of Object.entries(tally.misreadings)) {
        expect([code, named]).toEqual([code, applied]);
      }
    });
  },
);
