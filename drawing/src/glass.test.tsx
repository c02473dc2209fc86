import {
  beaker,
  beakerHeightMm,
  beakers,
  burette,
  burettes,
  digitalCaliper,
  graduatedPipette,
  graduatedPipettes,
  hydrometer,
  instruments,
  points,
  seeded,
  spindles,
  stemMm,
  stemPlaceMm,
  squeezePipette,
  type BeakerPicture,
  type BurettePicture,
  type DigitalCaliperPicture,
  type GraduatedPipettePicture,
  type HydrometerPicture,
  type SqueezePicture,
} from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import {
  Beaker,
  beakerSpots,
  DigitalCaliper,
  DotPlot,
  Downward,
  downwardSpots,
  Hydrometer,
  hydrometerSpots,
  PointedOut,
  SqueezePipette,
} from '.';

const draw = renderToStaticMarkup;
const marks = (markup: string): number[] =>
  [
    ...markup.matchAll(/<line class="mark"[^>]*? y1="([-\d.]+)"/g),
    ...(/ class="marks"[^>]* d="([^"]*)"/.exec(markup)?.[1] ?? '').matchAll(/M[-\d.]+ ([-\d.]+)L/g),
  ].map(([, y]) => Number(y));
const gaps = (ys: readonly number[]): number[] =>
  [...ys].sort((a, b) => a - b).flatMap((y, at, all) => (at === 0 ? [] : [y - (all[at - 1] ?? 0)]));

describe.each([
  ...burettes.map((model) => [model.id, model, burette] as const),
  ...graduatedPipettes.map((model) => [model.id, model, graduatedPipette] as const),
])('%s', (_, model, instrument) => {
  const picture = instrument.picture(instrument.sampleSetting(model, seeded(4), 3.4) as never) as
    BurettePicture | GraduatedPipettePicture;

  it('grows downward, its lines countable and even', () => {
    const markup = draw(<Downward picture={picture} card pair={false} />);
    const ys = marks(markup);
    expect(ys.length).toBeGreaterThan(10);
    const apart = gaps(ys)[0] ?? 0;
    expect(apart).toBeGreaterThan(10);
    for (const gap of gaps(ys)) expect(gap).toBeCloseTo(apart, 6);
    const numbers = [
      ...markup.matchAll(/translate\(0 ([-\d.]+)\)"><text[^>]*class="number"[^>]*>([\d.]+)<\/text>/g),
    ].map(([, y, text]) => [Number(text), Number(y)] as const);
    const sorted = [...numbers].sort((a, b) => a[0] - b[0]);
    expect(sorted.map(([, y]) => y)).toEqual([...sorted.map(([, y]) => y)].sort((a, b) => a - b));
  });

  it('points to the level and counts the spaces out', () => {
    const spots = downwardSpots(picture, false);
    expect(spots.level).toMatchObject({ y: 330 });
    expect(spots.spaces).toMatchObject({ count: 10 });
    expect(draw(<PointedOut at={spots.spaces!} />)).toContain('>10</text>');
  });
});

describe.each(beakers.map((model) => [model.id, model] as const))('%s', (_, model) => {
  it('puts its lines where the volume is, and its level between them', () => {
    const picture = beaker.picture(
      beaker.sampleSetting(model, seeded(1), Number(model.division) * 1.5),
    ) as BeakerPicture;
    const ys = marks(draw(<Beaker picture={picture} card={false} />));
    const level = beakerSpots(picture).level as { y: number };
    const between = ys.filter((y) => y > level.y);
    expect(between).toHaveLength(1);
    expect(gaps(ys).every((gap) => gap > 5)).toBe(true);
  });

  it('fills its cone or cylinder to the volume that is meant', () => {
    // By Simpson's rule over the height: the area of a cone's section is quadratic in it, so that the rule is exact.
    const volume = Number(model.highest);
    const height = beakerHeightMm(model, volume);
    const area = (mm: number) =>
      (Math.PI / 4) * (model.baseMm * (model.apexMm === null ? 1 : 1 - mm / model.apexMm)) ** 2;
    const simpson = (height / 6) * (area(0) + 4 * area(height / 2) + area(height));
    expect(simpson / 1000).toBeCloseTo(volume, 6);
  });
});

describe.each(spindles.map((model) => [model.id, model] as const))('%s', (_, model) => {
  it('draws its lines closer together toward the dense end', () => {
    const middle = (Number(model.lowest) + Number(model.highest)) / 2;
    const picture = hydrometer.picture(
      hydrometer.sampleSetting(model, seeded(1), middle),
    ) as HydrometerPicture;
    const apart = gaps(marks(draw(<Hydrometer picture={picture} />)));
    for (const [at, gap] of apart.entries()) {
      expect(gap).toBeGreaterThan(5);
      if (at > 0) expect(gap).toBeLessThan(apart[at - 1]!);
    }
    expect(stemPlaceMm(model, Number(model.lowest))).toBeCloseTo(0, 12);
    expect(stemPlaceMm(model, Number(model.highest))).toBeCloseTo(stemMm, 12);
    expect(hydrometerSpots(picture).spaces).toMatchObject({ count: 10 });
  });
});

it('a spindle that does not float on its scale is told, not drawn at a reading', () => {
  const picture: HydrometerPicture = {
    kind: 'hydrometer',
    model: 'hydrometer-700',
    density: 0.8,
    line: 'level',
  };
  expect(draw(<Hydrometer picture={picture} chosen="hydrometer-1130" />)).toContain('like a stone');
  expect(draw(<Hydrometer picture={{ ...picture, density: 1.1 }} chosen="hydrometer-700" />)).toContain(
    'stands out',
  );
});

it('a digital caliper shows what it measures, in either unit', () => {
  const picture = digitalCaliper.picture({
    kind: 'digital-caliper',
    model: 'digital-mm',
    sizeMm: 25.4,
    yieldsMm: 0,
    atMm: 25.4,
    closedShowsMm: 0.12,
    zeroed: true,
  }) as DigitalCaliperPicture;
  expect(draw(<DigitalCaliper picture={picture} closed={false} />)).toContain('>25.40<');
  expect(draw(<DigitalCaliper picture={{ ...picture, zeroed: false }} closed={false} />)).toContain(
    '>25.52<',
  );
  expect(draw(<DigitalCaliper picture={{ ...picture, model: 'digital-inch' }} closed={false} />)).toContain(
    '>1.0000<',
  );
});

it('as many drops lie on the card as fell', () => {
  const model = squeezePipette.models[1]!;
  const picture = squeezePipette.picture(
    squeezePipette.sampleSetting(model, seeded(1), 23),
  ) as SqueezePicture;
  expect(draw(<SqueezePipette picture={picture} card={false} />).match(/class="fallen"/g)).toHaveLength(23);
});

it('a dot plot tells names and truth only when it may', () => {
  const dots = [
    { value: 37.2, right: true, name: 'Ada' },
    { value: 47.2, right: false, name: 'Bo' },
  ];
  const plot = (truth: number | null) =>
    draw(<DotPlot dots={dots} accepted={[37, 37.4]} truth={truth} unit="mL" division={1} />);
  expect(plot(null)).not.toContain('wrong</title>');
  expect(plot(37.2)).toContain('Bo: wrong');
  expect(plot(37.2)).toContain('aria-label="2 answers, 1 right, 1 wrong"');
});

it('every misreading that points, points to a part that there is', () => {
  for (const { misreadings } of instruments)
    for (const { point } of misreadings) if (point) expect(points).toContain(point);
});
