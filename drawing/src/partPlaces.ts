import type { InstrumentKind } from '@green-beam/core';

type Place = readonly [x: number, y: number];
/** Where the parts of a card lie on the stage: what a label points at, and where it stands. */
export type Places = Readonly<Record<string, readonly [at: Place, label: Place]>>;

const beamPlaces = (slidingY: number): Places => ({
  pan: [
    [70, 128],
    [168, 96],
  ],
  'zero screw': [
    [40, 258],
    [40, 320],
  ],
  pivot: [
    [112, 222],
    [190, 170],
  ],
  'notched beam': [
    [520, 262],
    [520, 190],
  ],
  'sliding beam': [
    [560, slidingY],
    [560, slidingY + 60],
  ],
  rider: [
    [359, 210],
    [359, 150],
  ],
  pointer: [
    [715, 230],
    [715, 104],
  ],
  damper: [
    [726, 390],
    [640, 560],
  ],
});

const jawPlaces = (gapX: number, rodX: number): Places => ({
  'outside jaws': [
    [gapX + 4, 226],
    [gapX + 70, 262],
  ],
  'inside jaws': [
    [gapX - 3, 74],
    [gapX + 60, 24],
  ],
  'depth rod': [
    [rodX, 126],
    [rodX, 180],
  ],
  lock: [
    [gapX + 84, 82],
    [gapX + 150, 38],
  ],
  wheel: [
    [gapX + 147, 162],
    [gapX + 190, 220],
  ],
});

/** By the names of the parts on the card of each instrument. */
export const partPlaces: Readonly<Record<InstrumentKind, Places>> = {
  ruler: {
    'first line': [
      [28, 562],
      [60, 506],
    ],
    'numbered line': [
      [367, 346],
      [367, 420],
    ],
    'smallest space': [
      [433, 308],
      [433, 250],
    ],
    object: [
      [300, 240],
      [300, 150],
    ],
    eye: [
      [500, 76],
      [570, 110],
    ],
  },
  thermometer: {
    bulb: [
      [118, 505],
      [200, 520],
    ],
    column: [
      [392, 420],
      [320, 470],
    ],
    scale: [
      [430, 260],
      [540, 220],
    ],
    clamp: [
      [130, 103],
      [60, 150],
    ],
    beaker: [
      [54, 470],
      [30, 400],
    ],
  },
  'three-beam-balance': beamPlaces(470),
  'four-beam-balance': {
    ...beamPlaces(496),
    rider: [
      [409, 212],
      [409, 150],
    ],
  },
  'electronic-balance': {
    pan: [
      [310, 292],
      [250, 240],
    ],
    'draught shield': [
      [192, 120],
      [120, 120],
    ],
    door: [
      [580, 190],
      [650, 150],
    ],
    level: [
      [628, 372],
      [690, 330],
    ],
    feet: [
      [154, 604],
      [80, 620],
    ],
    display: [
      [300, 500],
      [300, 560],
    ],
    'zero key': [
      [632, 470],
      [710, 520],
    ],
  },
  'vernier-caliper': {
    ...jawPlaces(126, 600),
    'main scale': [
      [430, 440],
      [430, 374],
    ],
    vernier: [
      [330, 480],
      [330, 556],
    ],
    'zero line': [
      [140, 476],
      [80, 540],
    ],
  },
  'digital-caliper': {
    ...jawPlaces(115, 620),
    display: [
      [300, 420],
      [230, 420],
    ],
    'zero key': [
      [385, 540],
      [385, 616],
    ],
    'unit key': [
      [560, 540],
      [560, 616],
    ],
  },
  micrometer: {
    frame: [
      [237, 238],
      [320, 270],
    ],
    anvil: [
      [166, 76],
      [120, 24],
    ],
    spindle: [
      [268, 76],
      [262, 22],
    ],
    lock: [
      [322, 30],
      [370, 20],
    ],
    sleeve: [
      [384, 76],
      [410, 140],
    ],
    thimble: [
      [500, 76],
      [500, 140],
    ],
    ratchet: [
      [585, 76],
      [640, 130],
    ],
  },
  'graduated-cylinder': {
    surface: [
      [392, 330],
      [392, 400],
    ],
    'numbered line': [
      [330, 260],
      [330, 190],
    ],
    spout: [
      [62, 84],
      [40, 130],
    ],
    'guard ring': [
      [150, 120],
      [196, 160],
    ],
    foot: [
      [110, 604],
      [196, 560],
    ],
    card: [
      [590, 290],
      [650, 330],
    ],
  },
  burette: {
    zero: [
      [128, 44],
      [196, 30],
    ],
    surface: [
      [392, 330],
      [392, 400],
    ],
    clamp: [
      [104, 201],
      [80, 250],
    ],
    tap: [
      [128, 434],
      [196, 440],
    ],
    tip: [
      [128, 508],
      [196, 500],
    ],
    receiver: [
      [140, 590],
      [204, 570],
    ],
  },
  'graduated-pipette': {
    bulb: [
      [106, 70],
      [180, 60],
    ],
    zero: [
      [106, 214],
      [180, 190],
    ],
    surface: [
      [392, 330],
      [392, 400],
    ],
    tip: [
      [106, 608],
      [170, 590],
    ],
  },
  'volumetric-pipette': {
    bulb: [
      [106, 70],
      [180, 60],
    ],
    ring: [
      [392, 330],
      [392, 240],
    ],
    body: [
      [106, 400],
      [180, 400],
    ],
    tip: [
      [106, 608],
      [170, 590],
    ],
  },
  'squeeze-pipette': {
    bulb: [
      [104, 100],
      [180, 90],
    ],
    line: [
      [104, 346],
      [40, 330],
    ],
    tip: [
      [104, 600],
      [170, 580],
    ],
  },
  beaker: {
    surface: [
      [480, 312],
      [600, 280],
    ],
    line: [
      [300, 387],
      [190, 430],
    ],
    spout: [
      [74, 64],
      [60, 130],
    ],
  },
  'volumetric-flask': {
    ring: [
      [392, 330],
      [392, 240],
    ],
    neck: [
      [100, 300],
      [180, 270],
    ],
    stopper: [
      [216, 566],
      [220, 500],
    ],
    body: [
      [60, 560],
      [30, 470],
    ],
  },
  hydrometer: {
    stem: [
      [392, 180],
      [300, 140],
    ],
    body: [
      [108, 400],
      [190, 410],
    ],
    ballast: [
      [108, 476],
      [190, 520],
    ],
    surface: [
      [230, 330],
      [290, 280],
    ],
    jar: [
      [56, 330],
      [24, 280],
    ],
  },
};
