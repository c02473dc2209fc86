import {
  cylinders,
  fourBeamModels,
  graduatedCylinder,
  mmPerMl,
  threeBeamBalance,
  threeBeamModels,
  type BalanceSetting,
  type CylinderSetting,
  type BalancePicture,
  type CylinderPicture,
} from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { GraduatedCylinder, LevelGauge, ReadersMark, BeamBalance, eyeMmAt, eyeY, gramsAt, riderX } from '.';

const draw = renderToStaticMarkup;
const attributes = (markup: string, pattern: RegExp): number[] =>
  [...markup.matchAll(pattern)].map(([, number]) => Number(number));

describe('the cylinder', () => {
  it.each(cylinders.map((model) => [model.id, model] as const))(
    '%s is drawn true to scale, its level where it belongs',
    (id, model) => {
      const levelMl = (Number(model.lowest) + Number(model.highest)) / 2;
      const setting: CylinderSetting = {
        kind: 'graduated-cylinder',
        model: id,
        levelMl,
        surface: 'concave',
        eyeMm: 0,
        targetMl: null,
        filmMl: null,
        filling: false,
      };
      const markup = draw(
        <GraduatedCylinder picture={graduatedCylinder.picture(setting) as CylinderPicture} card />,
      );
      const path = / class="marks"[^>]* d="([^"]*)"/.exec(markup)?.[1] ?? '';
      const lines = attributes(path, /M[-\d.]+ ([-\d.]+)L/g);
      const gaps = lines.slice(1).map((y, at) => Math.abs(y - (lines[at] ?? 0)));
      // Every line is one division from the next, and countable.
      const apart = gaps[0] ?? 0;
      expect(apart).toBeGreaterThan(10);
      for (const gap of gaps) expect(gap).toBeCloseTo(apart, 6);
      // True to scale across as along: a division is as high as its volume in this bore.
      const wide =
        /<rect x="([-\d.]+)" y="[-\d.]+" width="11"[^>]*><\/rect><rect x="([-\d.]+)"/.exec(markup) ?? [];
      const bore = Number(wide[2]) - Number(wide[1]) - 11;
      expect(bore / apart).toBeCloseTo(model.boreMm / (mmPerMl(model) * Number(model.division)), 6);
      // The level of 330 units lies at the right fraction between two lines.
      const lowestShown = Math.max(...lines);
      const divisions = (lowestShown - 330) / apart;
      const lowestMl = levelMl - divisions * Number(model.division);
      expect(
        Math.abs(lowestMl / Number(model.division) - Math.round(lowestMl / Number(model.division))),
      ).toBeLessThan(1e-6);
    },
  );

  it('puts the eye where it is held', () => {
    for (const mm of [-140, -20, 0, 55, 140]) expect(eyeMmAt(eyeY(mm))).toBeCloseTo(mm, 9);
    expect(eyeMmAt(-9999)).toBe(140);
  });
});

describe('the balance', () => {
  const setting: BalanceSetting = {
    kind: 'three-beam-balance',
    model: 'three-beam-600',
    riders: { hundreds: 200, tens: 30, ones: 7.4 },
    loadGrams: 237.4,
    onPan: true,
    zeroErrorGrams: 0,
    handled: false,
  };

  it.each([...threeBeamModels, ...fourBeamModels].map((model) => [model.id, model] as const))(
    '%s puts riders where they stand and finds them again, its small lines countable',
    (_, { beams, division }) => {
      for (const beam of beams)
        for (const share of [0, 0.31, 1])
          expect(gramsAt(beam, riderX(beam, share * beam.top))).toBeCloseTo(share * beam.top, 9);
      const sliding = beams.at(-1)!;
      expect(gramsAt(sliding, 10_000)).toBe(sliding.top);
      expect(riderX(sliding, Number(division)) - riderX(sliding, 0)).toBeGreaterThan(5);
    },
  );

  it('lies level at zero and tips the way the pointer goes', () => {
    const turn = (pointer: number) =>
      attributes(
        draw(<BeamBalance picture={threeBeamBalance.picture(setting) as BalancePicture} pointer={pointer} />),
        /rotate\(([-\d.e]+) /g,
      )[0];
    expect(turn(0)).toBeCloseTo(0);
    expect(turn(5)).toBeLessThan(0);
    expect(turn(-5)).toBeGreaterThan(0);
  });
});

describe('small pictures', () => {
  it.each([
    [{ shows: 'lean', lean: { direction: 'level', distance: 'level' } }, 'level'],
    [{ shows: 'lean', lean: { direction: 'high', distance: 'well off' } }, 'reads high, well off'],
    [{ shows: 'exact', off: -1.7, accepted: 0.2, unit: 'divisions' }, 'reads low by 1.7 divisions'],
    [{ shows: 'exact', off: 0.1, accepted: 0.2, unit: 'divisions' }, 'level'],
  ] as const)('the gauge says what it shows: %j', (gauge, words) => {
    expect(draw(<LevelGauge gauge={gauge} />)).toContain(`aria-label="${words}"`);
  });

  it('the mark says whose habit it is', () => {
    expect(draw(<ReadersMark mark={{ bias: 1.3, spread: 0.4, n: 9 }} />)).toContain(
      'leans 1.3 divisions high, spread 0.4 divisions, 9 readings',
    );
  });
});
