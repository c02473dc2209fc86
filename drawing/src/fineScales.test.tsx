import {
  calipers,
  columnAt,
  electronicBalance,
  leastCount,
  micrometer,
  micrometers,
  ruler,
  rulers,
  screwParts,
  seeded,
  thermometer,
  thermometers,
  vernierCaliper,
  vernierParts,
  type CaliperPicture,
  type ElectronicBalancePicture,
  type MicrometerPicture,
  type RulerPicture,
  type ThermometerPicture,
} from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import {
  displayText,
  ElectronicBalance,
  Micrometer,
  Ruler,
  rulerEyeMmAt,
  rulerEyeX,
  Thermometer,
  thermometerEyeMmAt,
  thermometerEyeY,
  VernierCaliper,
} from '.';

const draw = renderToStaticMarkup;
const places = (markup: string, name: string, attribute: string): number[] =>
  [...markup.matchAll(new RegExp(`<line class="${name}"[^>]*? ${attribute}="([-\\d.]+)"`, 'g'))].map(
    ([, value]) => Number(value),
  );

/** Where the lines of one path begin. */
const beginnings = (markup: string, name: string): [x: number, y: number][] => {
  const [, d = ''] = new RegExp(`<path[^>]*class="${name}"[^>]* d="([^"]*)"`).exec(markup) ?? [];
  return [...d.matchAll(/M([-\d.e]+) ([-\d.e]+)L/g)].map(([, x, y]) => [Number(x), Number(y)]);
};

describe.each(calipers.map((model) => [model.name, model] as const))('%s, as drawn', (_, model) => {
  it('shows the coinciding line where it is read', () => {
    const random = seeded(2);
    for (let times = 0; times < 40; times += 1) {
      const setting = vernierCaliper.sampleSetting(model, random);
      const picture = vernierCaliper.picture(setting) as CaliperPicture;
      const markup = draw(<VernierCaliper picture={picture} />);
      const slid = Number(/translate\(([-\d.]+)\)/.exec(markup)?.[1]);
      const mains = beginnings(markup, 'main-lines').map(([x]) => x + slid);
      const verniers = beginnings(markup, 'vernier-lines').map(([x]) => x);
      expect(verniers).toHaveLength(model.lines + 1);
      const apart = verniers.map((x) => Math.min(...mains.map((main) => Math.abs(main - x))));
      const best = apart.slice(0, model.lines).indexOf(Math.min(...apart.slice(0, model.lines)));
      expect(best).toBe(vernierParts(model, picture.at).line);
    }
  });

  it('keeps its lines countable', () => {
    const picture = vernierCaliper.picture(vernierCaliper.sampleSetting(model, seeded(1))) as CaliperPicture;
    const verniers = beginnings(draw(<VernierCaliper picture={picture} />), 'vernier-lines').map(([x]) => x);
    expect((verniers[1] ?? 0) - (verniers[0] ?? 0)).toBeGreaterThan(5);
    expect(leastCount(model)).toBeGreaterThan(0);
  });
});

describe.each(micrometers.map((model) => [model.name, model] as const))('%s, as drawn', (_, model) => {
  it('uncovers the sleeve marks that are read, and turns the thimble to its division', () => {
    const random = seeded(4);
    for (let times = 0; times < 40; times += 1) {
      const picture = micrometer.picture(micrometer.sampleSetting(model, random)) as MicrometerPicture;
      const markup = draw(<Micrometer picture={picture} />);
      const parts = screwParts(model, picture.at);
      const marks = beginnings(markup, 'sleeve-lines');
      const read = Math.round(parts.sleeve / model.pitch) + 1;
      // A mark that the edge just lets show, before its turn is complete, may be one more.
      expect([read, read + 1]).toContain(marks.length);
      const turned = (picture.at / model.pitch) * model.thimble;
      const nearest =
        beginnings(markup, 'thimble-lines')
          .map(([, y]) => Math.abs(y - 466))
          .sort((a, b) => a - b)[0] ?? NaN;
      const off = Math.abs(turned - Math.round(turned));
      expect(nearest).toBeCloseTo(Math.sin((off / model.thimble) * 2 * Math.PI) * 132, 3);
    }
  });
});

it.each(rulers.map((model) => [model.name, model] as const))(
  '%s puts the end of the token where it belongs',
  (_, model) => {
    const picture = ruler.picture(ruler.sampleSetting(model, seeded(6))) as RulerPicture;
    const markup = draw(<Ruler picture={picture} />);
    const lines = places(markup, 'ruler-line', 'x1');
    const px = ((lines[1] ?? 0) - (lines[0] ?? 0)) / Number(model.division);
    const [, fromX, , width] =
      /class="token"><g><rect x="([\d.]+)" y="([\d.]+)" width="([\d.]+)"/.exec(markup)?.map(Number) ?? [];
    expect((width ?? 0) / px).toBeCloseTo(picture.to - picture.from, 6);
    expect(fromX).toBeGreaterThan(0);
    for (const mm of [-140, 0, 70]) expect(rulerEyeMmAt(rulerEyeX(mm))).toBeCloseTo(mm, 9);
  },
);

it.each(thermometers.map((model) => [model.name, model] as const))(
  '%s ends its column between the right lines',
  (_, model) => {
    const picture = thermometer.picture(thermometer.sampleSetting(model, seeded(8))) as ThermometerPicture;
    const lines = places(draw(<Thermometer picture={picture} />), 'thermometer-line', 'y1');
    const below = Math.min(...lines.filter((y) => y >= 330 - 1e-6));
    const fraction = (below - 330) / 22;
    const divisions = columnAt(picture) / Number(model.division);
    expect(fraction).toBeCloseTo(divisions - Math.floor(divisions + 1e-9), 6);
    for (const mm of [-140, 0, 70]) expect(thermometerEyeMmAt(thermometerEyeY(mm))).toBeCloseTo(mm, 9);
  },
);

describe('the electronic balance, as drawn', () => {
  const model = electronicBalance.models[1]!;
  const picture = {
    ...electronicBalance.picture(electronicBalance.sampleSetting(model, seeded(1))),
    task: 'difference',
    loadedGrams: 83.65,
    vesselGrams: 31.25,
    emptyGrams: 0.2,
    draughtGrams: 0.1,
  } as ElectronicBalancePicture;
  const state = { load: 2, zeroed: null, doorOpen: false, seconds: 99, mended: true } as const;

  it.each([
    [state, '83.65'],
    [{ ...state, load: 1 }, '31.25'],
    [{ ...state, load: 0 }, '0.20'],
    [{ ...state, load: 0, zeroed: 1 }, '−31.05'],
    [{ ...state, zeroed: 1 }, '52.40'],
  ] as const)('%j shows %s', (now, text) => {
    expect(displayText(picture, now)).toBe(text);
    expect(draw(<ElectronicBalance picture={picture} state={now} />)).toContain(`>${text}<`);
  });

  it('does not stand still with the door open', () => {
    const shown = [1, 2, 3, 4, 5].map((seconds) =>
      displayText(picture, { ...state, doorOpen: true, seconds: 60 + seconds / 2 }),
    );
    expect(new Set(shown).size).toBeGreaterThan(1);
  });
});
