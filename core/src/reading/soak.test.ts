import { describe, expect, it } from 'vitest';
import { soak, type Count } from '../../benchmark/soak';
import { instruments } from '../instruments';

const share = ({ applied }: Count, part: number): number => (applied === 0 ? 1 : part / applied);

describe.each(instruments.map((instrument) => [instrument.name, instrument] as const))(
  '2000 settings of the %s',
  (_, instrument) => {
    const tally = soak(instrument, 2000, 7000);

    it('never calls a correct reading wrong', () => {
      expect([tally.rightCalledWrong, tally.examples.filter((text) => text.includes('refused'))]).toEqual([
        0,
        [],
      ]);
      expect(tally.rightAnswers).toBe(2000);
    });

    it('calls each misreading by its name, or by a set that holds it', () => {
      for (const [code, { applied, named }] of Object.entries(tally.misreadings)) {
        expect([code, named]).toEqual([code, applied]);
      }
    });

    it('names one cause alone in practice, and two together where both show', () => {
      expect(share(tally.practice, tally.practice.single)).toBeGreaterThanOrEqual(0.95);
      expect(share(tally.pairs, tally.pairs.named)).toBeGreaterThanOrEqual(0.9);
    });
  },
);
