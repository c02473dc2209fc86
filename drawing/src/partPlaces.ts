import type { InstrumentKind } from '@green-beam/core';

type Place = readonly [x: number, y: number];
/** Where the parts of a card lie on the stage: what a label points at, and where it stands. */
export type Places = Readonly<Record<string, readonly [at: Place, label: Place]>>;

const place = (x: number, y: number, labelX: number, labelY: number): Places[string] => [
  [x, y],
  [labelX, labelY],
];

const beamPlaces = (slidingY: number): Places => ({
  pan: place(70, 128, 168, 96),
  'zero screw': place(40, 258, 40, 320),
  pivot: place(112, 222, 190, 170),
  'notched beam': place(520, 262, 520, 190),
  'sliding beam': place(560, slidingY, 560, slidingY + 60),
  rider: place(359, 210, 359, 150),
  pointer: place(715, 230, 715, 104),
  damper: place(726, 390, 640, 560),
});

const jawPlaces = (gapX: number, rodX: number): Places => ({
  'outside jaws': place(gapX + 4, 226, gapX + 70, 262),
  'inside jaws': place(gapX - 3, 74, gapX + 60, 24),
  'depth rod': place(rodX, 126, rodX, 180),
  lock: place(gapX + 84, 82, gapX + 150, 38),
  wheel: place(gapX + 147, 162, gapX + 190, 220),
});

/** By the names of the parts on the card of each instrument. */
export const partPlaces: Readonly<Record<InstrumentKind, Places>> = {
  ruler: {
    'first line': place(28, 562, 60, 506),
    'numbered line': place(367, 346, 367, 420),
    'smallest space': place(433, 308, 433, 250),
    object: place(300, 240, 300, 150),
    eye: place(500, 76, 570, 110),
  },
  thermometer: {
    bulb: place(118, 505, 200, 520),
    column: place(392, 420, 320, 470),
    scale: place(430, 260, 540, 220),
    clamp: place(130, 103, 60, 150),
    beaker: place(54, 470, 30, 400),
  },
  'three-beam-balance': beamPlaces(470),
  'four-beam-balance': {
    ...beamPlaces(496),
    rider: place(409, 212, 409, 150),
  },
  'electronic-balance': {
    pan: place(310, 292, 250, 240),
    'draught shield': place(192, 120, 120, 120),
    door: place(580, 190, 650, 150),
    level: place(628, 372, 690, 330),
    feet: place(154, 604, 80, 620),
    display: place(300, 500, 300, 560),
    'zero key': place(632, 470, 710, 520),
  },
  'vernier-caliper': {
    ...jawPlaces(126, 600),
    'main scale': place(430, 440, 430, 374),
    vernier: place(330, 480, 330, 556),
    'zero line': place(140, 476, 80, 540),
  },
  'digital-caliper': {
    ...jawPlaces(115, 620),
    display: place(300, 420, 230, 420),
    'zero key': place(385, 540, 385, 616),
    'unit key': place(560, 540, 560, 616),
  },
  micrometer: {
    frame: place(237, 238, 320, 270),
    anvil: place(166, 76, 120, 24),
    spindle: place(268, 76, 262, 22),
    lock: place(322, 30, 370, 20),
    sleeve: place(384, 76, 410, 140),
    thimble: place(500, 76, 500, 140),
    ratchet: place(585, 76, 640, 130),
  },
  'graduated-cylinder': {
    surface: place(392, 330, 392, 400),
    'numbered line': place(330, 260, 330, 190),
    spout: place(62, 84, 40, 130),
    'guard ring': place(150, 120, 196, 160),
    foot: place(110, 604, 196, 560),
    card: place(590, 290, 650, 330),
  },
  burette: {
    zero: place(128, 44, 196, 30),
    surface: place(392, 330, 392, 400),
    clamp: place(104, 201, 80, 250),
    tap: place(128, 434, 196, 440),
    tip: place(128, 508, 196, 500),
    receiver: place(140, 590, 204, 570),
  },
  'graduated-pipette': {
    bulb: place(106, 70, 180, 60),
    zero: place(106, 214, 180, 190),
    surface: place(392, 330, 392, 400),
    tip: place(106, 608, 170, 590),
  },
  'volumetric-pipette': {
    bulb: place(106, 70, 180, 60),
    ring: place(392, 330, 392, 240),
    body: place(106, 400, 180, 400),
    tip: place(106, 608, 170, 590),
  },
  'squeeze-pipette': {
    bulb: place(104, 100, 180, 90),
    line: place(104, 346, 40, 330),
    tip: place(104, 600, 170, 580),
  },
  beaker: {
    surface: place(480, 312, 600, 280),
    line: place(300, 387, 190, 430),
    spout: place(74, 64, 60, 130),
  },
  'volumetric-flask': {
    ring: place(392, 330, 392, 240),
    neck: place(100, 300, 180, 270),
    stopper: place(216, 566, 220, 500),
    body: place(60, 560, 30, 470),
  },
  hydrometer: {
    stem: place(392, 180, 300, 140),
    body: place(108, 400, 190, 410),
    ballast: place(108, 476, 190, 520),
    surface: place(230, 330, 290, 280),
    jar: place(56, 330, 24, 280),
  },
};
