import {
  beakers,
  burette,
  cylinders,
  digitalCaliper,
  electronicBalance,
  fourBeamModels,
  graduatedCylinder,
  hydrometer,
  instrumentCards,
  instrumentOf,
  instruments,
  micrometer,
  mmPerMl,
  readyMade,
  ruler,
  rulers,
  seeded,
  spindles,
  stemMm,
  stemPlaceMm,
  thermometer,
  thermometers,
  threeBeamModels,
  vernierCaliper,
  volumetricFlasks,
  volumetricPipettes,
  beakerHeightMm,
  type BalancePicture,
  type BeakerPicture,
  type BurettePicture,
  type CaliperPicture,
  type CylinderPicture,
  type DigitalCaliperPicture,
  type ElectronicBalancePicture,
  type HydrometerPicture,
  type Instrument,
  type MicrometerPicture,
  type Picture,
  type RingPicture,
  type RulerPicture,
  type ThermometerPicture,
} from '@green-beam/core';
import { renderToStaticMarkup as draw } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import {
  BeamBalance,
  Beaker,
  DigitalCaliper,
  digitalText,
  Downward,
  ElectronicBalance,
  GraduatedCylinder,
  Hydrometer,
  Micrometer,
  RingMark,
  Ruler,
  Thermometer,
  VernierCaliper,
} from '.';
import { beakerProfile } from './beaker';
import { LabelledInstrument } from './examples';
import { partPlaces } from './partPlaces';
import { cylinderProfile } from './graduatedCylinder';
import { sunkMm } from './wholeHydrometer';
import * as materials from './matter';
import { isDrawn, ObjectDrawing } from './objects';
import { ringContents, ringProfile } from './ringMark';
import { stickEnd } from './ruler';
import { heightOf, radiusAt, volumeBelow } from './vessel';
import { ringHeight } from './wholePipette';

// What a practitioner would check on each drawing, on its geometry. The table is in docs/instruments.md.

const pictureOf = <P extends Picture>(
  instrument: Instrument<never>,
  model: string,
  value?: number,
  changed: Partial<P> = {},
): P => {
  const make = instrument.models.find(({ id }) => id === model)!;
  return {
    ...(instrument.picture(instrument.sampleSetting(make, seeded(3), value) as never) as P),
    ...changed,
  };
};

/** The path of a part, as pairs of numbers of its straight and curved ends. */
const outline = (markup: string, part: string): string =>
  new RegExp(`<path d="([^"]*)"[^>]*class="${part}[" ]|<path[^>]*class="${part}[" ][^>]*? d="([^"]*)"`)
    .exec(markup)
    ?.slice(1)
    .find(Boolean) ?? '';
const has = (markup: string, ...parts: readonly string[]) => {
  for (const part of parts) expect(markup).toMatch(new RegExp(`class="(?:[^"]* )?${part}(?: [^"]*)?"`));
};
const boxes = (markup: string, part: string) =>
  [...markup.matchAll(new RegExp(`<rect class="${part}"[^>]*>`, 'g'))].map(([rect]) => {
    const at = (name: string) => Number(new RegExp(` ${name}="([-\\d.]+)"`).exec(rect)?.[1]);
    return { x: at('x'), y: at('y'), width: at('width'), height: at('height') };
  });
const group = (markup: string, part: string): string => {
  const from = markup.indexOf(`class="${part}"`);
  return markup.slice(from, from + 1500);
};

describe('a caliper', () => {
  const model = 'vernier-50-49';
  const caliper = (jaws: CaliperPicture['jaws'], at = 31.46) =>
    pictureOf<CaliperPicture>(vernierCaliper as never, model, at, {
      jaws,
      at,
      closedAt: 0,
      touchesAt: at,
      outOfRound: 0,
      yields: 0,
    });

  it('stands in the bore: its inside jaws cross, face outward, and touch the walls', () => {
    const markup = draw(<VernierCaliper picture={caliper('inside')} />);
    const [left, right] = boxes(markup, 'bore-wall');
    expect(left!.x + left!.width).toBeCloseTo(0, 9);
    expect(right!.x).toBeCloseTo(31.46, 9);
    // The tip of each jaw: its face first, its body beside it. The fixed one’s body lies right of its face, the moving one’s left.
    expect(outline(markup, 'fixed-inside-jaw')).toMatch(/^M0 -17 L1.6 -17/);
    expect(outline(markup, 'moving-inside-jaw')).toMatch(/^M0 -17 L-1.6 -17/);
    expect(markup).toContain('translate(31.46 0)');
    // Both tips lie between the rim and the roof of the bore.
    for (const wall of [left!, right!]) {
      expect(wall.y).toBeLessThan(-17);
      expect(wall.y + wall.height).toBeGreaterThan(-17);
    }
  });

  it('with its jaws closed, holds nothing and shuts', () => {
    const markup = draw(<VernierCaliper picture={{ ...caliper('inside'), at: 0, touchesAt: 20 }} />);
    expect(markup).not.toContain('bore-wall');
    expect(markup).toContain('translate(0 0)');
  });

  it('measures a depth with its rod in a sleeve: rim at the end of the beam, floor under the rod', () => {
    const markup = draw(<VernierCaliper picture={caliper('depth', 24.3)} />);
    const walls = boxes(markup, 'sleeve-wall');
    const floor = walls.find(({ width, height }) => width < height)!;
    const rod = /class="depth-rod"><g><rect x="([\d.]+)" y="([\d.]+)" width="([\d.]+)" height="([\d.]+)"/
      .exec(markup)!
      .slice(1)
      .map(Number) as [number, number, number, number];
    expect(rod[0] + rod[2]).toBeCloseTo(200 + 24.3, 9);
    expect(floor.x).toBeCloseTo(200 + 24.3, 9);
    const sides = walls.filter((wall) => wall !== floor).sort((a, b) => a.y - b.y);
    for (const side of sides) expect(side.x).toBe(200);
    expect(sides[0]!.y + sides[0]!.height).toBeLessThan(rod[1]);
    expect(sides[1]!.y).toBeGreaterThan(rod[1] + rod[3]);
  });

  it('has a wheel for the thumb and a lock, and grips what it measures', () => {
    const markup = draw(<VernierCaliper picture={caliper('outside')} />);
    has(markup, 'wheel', 'lock', 'fixed-outside-jaw', 'moving-outside-jaw', 'depth-rod');
    expect(outline(markup, 'moving-outside-jaw')).toMatch(/^M0 56/);
  });

  it('of the digital kind has a live window, keys, and all its jaws', () => {
    const picture = pictureOf<DigitalCaliperPicture>(digitalCaliper as never, 'digital-mm');
    const markup = draw(<DigitalCaliper picture={picture} closed={false} />);
    has(markup, 'fixed-inside-jaw', 'moving-inside-jaw', 'fixed-outside-jaw', 'depth-rod');
    expect(markup.split(`>${digitalText(picture)}<`)).toHaveLength(3);
    for (const key of ['on', 'zero', 'to in']) expect(markup).toContain(`>${key}<`);
  });
});

describe('a micrometer', () => {
  const picture = pictureOf<MicrometerPicture>(micrometer as never, 'micrometer-plain', undefined, {
    at: 7.38,
    closedAt: 0,
    touchesAt: 7.38,
  });
  const markup = draw(<Micrometer picture={picture} />);

  it('has its frame, anvil, spindle, sleeve, thimble with a knurl, ratchet and lock', () =>
    has(markup, 'frame', 'anvil', 'spindle', 'sleeve', 'thimble', 'ratchet', 'lock'));

  it('holds the pin between the faces of anvil and spindle', () => {
    expect(group(markup, 'anvil')).toMatch(/<rect x="-6" y="-3.2" width="6"/);
    expect(markup).toContain('translate(7.38 0)');
    expect(markup).toMatch(/<rect x="0" y="-9" width="7.38"/);
  });

  it('ends its thimble on the sleeve’s scale where it is read', () =>
    // The scale begins at 58; the edge of the thimble lies 7.38 mm further on.
    expect(Number(/translate\((65\.38\d*) 0\)"><g class="thimble"/.exec(markup)?.[1])).toBeCloseTo(65.38, 6));
});

describe.each([
  ...volumetricFlasks.map((model) => ['volumetric-flask', model] as const),
  ...volumetricPipettes.map((model) => ['volumetric-pipette', model] as const),
])('%s', (kind, model) => {
  const at = (aboveMm: number): RingPicture => ({
    kind,
    model: model.id,
    aboveMm,
    eyeMm: 0,
    markedExpel: false,
    handled: true,
    lastDrop: 'marking',
  });
  const profile = ringProfile(at(0));

  it(`holds its ${model.highest} mL up to its ring, on an even neck`, () => {
    const ring = ringHeight(profile, model);
    expect(volumeBelow(profile, ring)).toBeCloseTo(Number(model.highest), 6);
    // The bore about the ring is that of the make.
    for (const off of [-4, 0, 20]) expect(radiusAt(profile, ring + off)).toBeCloseTo(model.boreMm / 2, 6);
  });

  it('is filled to where its surface really is', () => {
    const ring = ringHeight(profile, model);
    for (const off of [-8, 0, 12])
      expect(heightOf(profile, ringContents(at(off))) - ring).toBeCloseTo(off, 3);
    // Far below the ring a flask’s surface lies in its body, where it is wider.
    expect(ringContents(at(-60))).toBeCloseTo(Number(model.highest) - 60 / mmPerMl(model), 9);
  });

  it('shows its ring on a dark and on a white ground alike', () => {
    const markup = draw(<RingMark picture={at(0)} card />);
    const rings = [...markup.matchAll(/<ellipse[^>]*ry="0.8"[^>]*stroke="(#\w+)" stroke-width="([\d.]+)"/g)];
    expect(rings.map(([, colour]) => colour)).toEqual(['#3a2804', '#f0c368']);
    expect(Number(rings[0]![2])).toBeGreaterThan(Number(rings[1]![2]));
    if (kind === 'volumetric-flask') has(markup, 'stopper');
  });
});

describe('a hydrometer', () => {
  it.each(spindles.map((model) => [model.id, model] as const))(
    '%s sinks as deep as its density says',
    (_, model) => {
      const middle = (Number(model.lowest) + Number(model.highest)) / 2;
      expect(sunkMm(model, middle, 'released')).toBeCloseTo(stemPlaceMm(model, middle), 9);
      // In too dense a liquid no line is under water; in too light a one all of them are.
      expect(sunkMm(model, Number(model.highest) + 0.05, 'released')).toBeGreaterThan(stemMm);
      expect(sunkMm(model, Number(model.lowest) - 0.05, 'released')).toBeLessThan(-stemMm / 10);
      const picture = pictureOf<HydrometerPicture>(hydrometer as never, model.id, middle);
      // Drawn: the topmost line lies that far above the surface at 214, at 1.75 units to the millimetre.
      const y = Number(
        /class="spindle" transform="translate\(108 ([-\d.]+)\)/.exec(
          draw(<Hydrometer picture={picture} />),
        )?.[1],
      );
      expect((214 - y) / 1.75).toBeCloseTo(stemPlaceMm(model, middle), 6);
    },
  );
});

describe.each(thermometers.map((model) => [model.id, model] as const))('%s', (_, model) => {
  it.each([-8, 4.6, 96.3])('joins its column to its bulb, and ends it at %d °C', (bath) => {
    const picture = pictureOf<ThermometerPicture>(thermometer as never, model.id, bath, {
      bath,
      bulbOnBase: false,
      seconds: 99,
    });
    const markup = draw(<Thermometer picture={picture} />);
    const [column] = boxes(markup, 'hung-column');
    const bulbTop = Number(/class="bulb" d="M[\d.]+ ([\d.]+)/.exec(markup)?.[1]);
    expect(column!.y + column!.height).toBeGreaterThan(bulbTop);
    expect(420 - column!.y).toBeCloseTo(bath * 3.1, 6);
  });
});

it('a thermometer with its scale behind has the plate around its column', () => {
  const picture = pictureOf<ThermometerPicture>(thermometer as never, 'thermometer-1-plate', 60);
  const plate = /<rect x="96" y="40" width="44" height="([\d.]+)"/.exec(
    draw(<Thermometer picture={picture} />),
  );
  // From the top of the stem to below its lowest line, at −10.
  expect(40 + Number(plate?.[1])).toBeGreaterThan(420 + 10 * 3.1);
});

describe.each(cylinders.map((model) => [model.id, model] as const))('%s', (_, model) => {
  it('stands on a foot, pours from a spout, and is guarded by a ring above its last line', () => {
    const markup = draw(
      <GraduatedCylinder picture={pictureOf<CylinderPicture>(graduatedCylinder as never, model.id)} card />,
    );
    has(markup, 'foot', 'guard-ring');
    const top = cylinderProfile(model).at(-1)![0];
    expect(0.93 * top).toBeGreaterThan(Number(model.highest) * mmPerMl(model));
    expect(volumeBelow(cylinderProfile(model), Number(model.highest) * mmPerMl(model))).toBeCloseTo(
      Number(model.highest),
      6,
    );
  });
});

describe.each(beakers.map((model) => [model.id, model] as const))('%s', (_, model) => {
  it('goes up past its last line, a cone into a neck', () => {
    const profile = beakerProfile(model);
    const last = beakerHeightMm(model, Number(model.highest));
    expect(profile.at(-1)![0]).toBeGreaterThan(last + 8);
    const [, mouth] = profile.at(-1)!;
    if (model.apexMm === null) expect(mouth).toBeCloseTo(model.baseMm / 2, 9);
    else {
      expect(mouth).toBeLessThan(model.baseMm / 4);
      // Even for some way: a neck, not a point.
      expect(radiusAt(profile, profile.at(-1)![0] - 20)).toBeCloseTo(mouth, 1);
    }
    expect(
      draw(<Beaker picture={pictureOf<BeakerPicture>(instrumentOf('beaker') as never, model.id)} card />),
    ).toContain('L');
  });
});

describe('a balance with beams', () => {
  it.each([...threeBeamModels, ...fourBeamModels].map((model) => [model.id, model] as const))(
    '%s has its pan, pivot, damper and zero screw; no rider hides a number',
    (id, model) => {
      const kind = model.beams.length > 3 ? 'four-beam-balance' : 'three-beam-balance';
      const picture = pictureOf<BalancePicture>(instrumentOf(kind) as never, id);
      const markup = draw(<BeamBalance picture={picture} pointer={0} />);
      has(markup, 'pan', 'pivot', 'damper', 'vane', 'zero-screw', 'pointer', 'post');
      // Numbers of the beam above end 11 units over its lower edge; a rider stops short of that edge by 4 at most.
      const numbers = [...markup.matchAll(/<text y="([\d.]+)" text-anchor="middle"/g)].map(([, y]) =>
        Number(y),
      );
      const tops = [
        ...markup.matchAll(
          /<g transform="translate\([\d.]+ ([\d.]+)\)"><rect x="-22"[^>]*><\/rect><path d="M-13 (-[\d.]+)/g,
        ),
      ].map(([, y, up]) => Number(y) + Number(up));
      expect(tops).toHaveLength(model.beams.length);
      for (const top of tops)
        for (const number of numbers) expect(top < number - 18 || top > number + 4).toBe(true);
    },
  );
});

it('an electronic balance has keys, level, feet and a draught shield, and tells net from gross', () => {
  const picture = pictureOf<ElectronicBalancePicture>(
    electronicBalance as never,
    electronicBalance.models[0]!.id,
  );
  const state = { load: 2, zeroed: null, doorOpen: false, seconds: 99, mended: true } as const;
  const markup = draw(<ElectronicBalance picture={picture} state={state} />);
  has(markup, 'key', 'level', 'foot', 'draught-shield', 'door', 'pan');
  expect(markup).not.toContain('>net<');
  expect(draw(<ElectronicBalance picture={picture} state={{ ...state, zeroed: 1 }} />)).toContain('>net<');
});

it('a burette’s numbers stand clear of its glass, above its tap and its tip', () => {
  const picture = pictureOf<BurettePicture>(burette as never, 'burette-50-0_1', 24.06, { task: 'reading' });
  const markup = draw(
    <Downward picture={picture} card pair={false} tap={{ open: 0, bubble: true, drop: true }} />,
  );
  const small = [...markup.matchAll(/<text x="([\d.]+)" y="[\d.]+">(?:0|10|20|30|40|50)<\/text>/g)].map(
    ([, x]) => Number(x),
  );
  expect(small.length).toBeGreaterThan(3);
  // Its axis is at 128, its wall 10 from there.
  for (const x of small) expect(x).toBeGreaterThan(138 + 4);
  has(markup, 'receiver', 'bubble', 'drop');
});

it.each(rulers.map((model) => [model.id, model] as const))('%s ends beyond its last numbers', (id, model) => {
  const end = Number(model.highest);
  const at = (from: number, to: number) =>
    draw(<Ruler picture={pictureOf<RulerPicture>(ruler as never, id, undefined, { from, to, eyeMm: 0 })} />);
  // Near its far end: the number of the last line, half as wide as it is, lies on the stick.
  const markup = at(end - Number(model.labelEvery), end);
  const lines = [...markup.matchAll(/class="ruler-line" x1="([-\d.]+)"/g)].map(([, x]) => Number(x));
  const px = (lines[1]! - lines[0]!) / Number(model.division);
  expect(stickEnd(model) * px).toBeGreaterThan(13);
  expect(lines.at(-1)).toBeCloseTo(500, 6);
});

it.each(instruments.map(({ kind, name }) => [name, kind] as const))(
  'each part on the card of the %s is pointed at on its drawing',
  (name, kind) => {
    const parts = instrumentCards[kind].parts.map((part) => part.name);
    expect(Object.keys(partPlaces[kind]).sort()).toEqual([...parts].sort());
    const markup = draw(<LabelledInstrument kind={kind} name={name} parts={parts} />);
    for (const at of parts.keys()) expect(markup).toContain(`>${at + 1}</text>`);
    // Labels stand on the stage, apart from each other.
    const labels = Object.values(partPlaces[kind]).map(([, label]) => label);
    for (const [x, y] of labels) expect(x > 16 && x < 754 && y > 16 && y < 624).toBe(true);
    for (const [at, [x, y]] of labels.entries())
      for (const [otherX, otherY] of labels.slice(at + 1))
        expect(Math.hypot(x - otherX, y - otherY)).toBeGreaterThan(34);
  },
);

it('every ready-made investigation shows its object', () => {
  for (const { object } of readyMade) {
    expect(isDrawn(object)).toBe(true);
    expect(draw(<ObjectDrawing object={object} />)).toMatch(/<(path|rect|circle)/);
  }
  expect(draw(<ObjectDrawing object="something of our own" />)).toBe('');
});

describe('what is read is legible', () => {
  /** Relative luminance of a colour (WCAG 2): what is left of it in grey. */
  const luminance = (colour: string): number => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5]
      .map((at) => parseInt(colour.slice(at, at + 2), 16) / 255)
      .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (a: string, b: string) => {
    const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
    return (high + 0.05) / (low + 0.05);
  };

  it.each(['steel', 'satin', 'wood', 'paper'] as const)('in grey: ink on %s, lit or in shade', (name) => {
    const { light, base, dark } = materials[name];
    for (const ground of [light, base, dark]) expect(contrast('#0f1f1a', ground)).toBeGreaterThan(4.5);
  });

  it('in grey: white lines with their dark edge on liquid, card and bench', () => {
    for (const ground of ['#2a6fb0', '#12302a', '#0b1411'])
      expect(contrast('#ffffff', ground)).toBeGreaterThan(4.5);
    expect(contrast('#0b1411', '#f2f4ee')).toBeGreaterThan(4.5);
  });

  it('at 390 px under the lens: the numbers of every scale', () => {
    const scale = 390 / 770;
    const drawn = [
      draw(<VernierCaliper picture={pictureOf(vernierCaliper as never, 'vernier-50-49')} />),
      draw(<Micrometer picture={pictureOf(micrometer as never, 'micrometer-vernier')} />),
      draw(<Ruler picture={pictureOf(ruler as never, 'ruler-mm')} />),
      draw(<Thermometer picture={pictureOf(thermometer as never, 'thermometer-0_2')} />),
      draw(
        <GraduatedCylinder picture={pictureOf(graduatedCylinder as never, 'cylinder-100-1-double')} card />,
      ),
      draw(<Downward picture={pictureOf(burette as never, 'burette-10-0_02')} card pair={false} />),
      draw(<Hydrometer picture={pictureOf(hydrometer as never, 'hydrometer-980')} />),
    ];
    for (const markup of drawn) {
      const sizes = [...markup.matchAll(/font-size="([\d.]+)"/g)].map(([, size]) => Number(size));
      // The largest are those of the scale; a digit is seven tenths of its size high.
      expect(Math.max(...sizes) * 0.7 * scale * 2.4).toBeGreaterThan(14);
    }
  });
});
