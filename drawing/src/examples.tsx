import type {
  BalancePicture,
  BeakerPicture,
  BurettePicture,
  CaliperPicture,
  CylinderPicture,
  DigitalCaliperPicture,
  ElectronicBalancePicture,
  GraduatedPipettePicture,
  HydrometerPicture,
  InstrumentKind,
  MicrometerPicture,
  RingPicture,
  RulerPicture,
  SqueezePicture,
  ThermometerPicture,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { BeamBalance } from './beamBalance';
import { Beaker } from './beaker';
import { Downward } from './burette';
import { DigitalCaliper } from './digitalCaliper';
import { ElectronicBalance } from './electronicBalance';
import { GraduatedCylinder } from './graduatedCylinder';
import { Hydrometer } from './hydrometer';
import { figureFont, ink } from './ink';
import { Micrometer } from './micrometer';
import { RingMark } from './ringMark';
import { Ruler } from './ruler';
import { SqueezePipette } from './squeezePipette';
import { Thermometer } from './thermometer';
import { VernierCaliper } from './vernierCaliper';

type Place = readonly [x: number, y: number];

interface Example {
  /** Drawn as on the stage, 770 × 640. */
  readonly drawing: ReactNode;
  /** The part of the stage on which it is seen whole. */
  readonly whole: readonly [x: number, y: number, width: number, height: number];
  /** Where the parts of its card lie: where the label stands and what it points at. */
  readonly places: Readonly<Record<string, readonly [at: Place, label: Place]>>;
}

const ruler: RulerPicture = { kind: 'ruler', model: 'ruler-mm', from: 20, to: 64.3, eyeMm: 0 };
const caliper: CaliperPicture = {
  kind: 'vernier-caliper',
  model: 'vernier-50-49',
  at: 31.46,
  closedAt: 0,
  touchesAt: 31.46,
  yields: 0,
  task: 'size',
  jaws: 'inside',
  closings: [0],
  outOfRound: 0,
  turn: 0,
};
const digital: DigitalCaliperPicture = {
  kind: 'digital-caliper',
  model: 'digital-mm',
  sizeMm: 27.2,
  yieldsMm: 0,
  atMm: 27.2,
  closedShowsMm: 0,
  zeroed: true,
};
const micrometer: MicrometerPicture = {
  kind: 'micrometer',
  model: 'micrometer-plain',
  at: 7.38,
  closedAt: 0,
  touchesAt: 7.38,
};
const threeBeam: BalancePicture = {
  kind: 'three-beam-balance',
  model: 'three-beam-600',
  riders: { hundreds: 200, tens: 30, ones: 7.4 },
  onPan: true,
  loadMoment: 237.4,
  zeroMoment: 0,
  handled: false,
};
const fourBeam: BalancePicture = {
  ...threeBeam,
  kind: 'four-beam-balance',
  model: 'four-beam-310',
  riders: { hundreds: 100, tens: 40, ones: 7, tenths: 0.43 },
};
const electronic: ElectronicBalancePicture = {
  kind: 'electronic-balance',
  model: 'electronic-0_01',
  task: 'straight',
  loadedGrams: 62.08,
  vesselGrams: 0,
  emptyGrams: 0,
  draughtGrams: 0,
  doorOpen: false,
  tared: 'nothing',
  seconds: 99,
  flaw: 'none',
  flawGrams: 0,
  hops: false,
};
const cylinder: CylinderPicture = {
  kind: 'graduated-cylinder',
  model: 'cylinder-100-1',
  heightMm: 76.4 * 1.74656,
  surface: 'concave',
  eyeMm: 0,
  targetMl: null,
  filmMl: null,
  filling: false,
};
const burette: BurettePicture = {
  kind: 'burette',
  model: 'burette-50-0_1',
  task: 'reading',
  initialMl: 0,
  levelMl: 24.06,
  surface: 'concave',
  eyeMm: 0,
  faults: { bubble: 0, drop: 0, wall: 0 },
  airInTip: false,
  wantedMl: 20,
};
const pipette: GraduatedPipettePicture = {
  kind: 'graduated-pipette',
  model: 'graduated-pipette-10',
  task: 'reading',
  initialMl: 0,
  levelMl: 3.42,
  surface: 'concave',
  eyeMm: 0,
};
const ring = {
  aboveMm: 0,
  eyeMm: 0,
  markedExpel: false,
  handled: false,
  lastDrop: 'marking',
} as const;
const ringPipette: RingPicture = { ...ring, kind: 'volumetric-pipette', model: 'volumetric-pipette-25' };
const ringFlask: RingPicture = { ...ring, kind: 'volumetric-flask', model: 'volumetric-flask-100' };
const squeeze: SqueezePicture = {
  kind: 'squeeze-pipette',
  model: 'squeeze-3',
  levelMl: 1.8,
  surface: 'flat',
  eyeMm: 0,
  drops: 0,
  wanted: 0,
};
const beaker: BeakerPicture = {
  kind: 'beaker',
  model: 'beaker-250',
  levelMl: 135,
  surface: 'concave',
  eyeMm: 0,
};
const thermometer: ThermometerPicture = {
  kind: 'thermometer',
  model: 'thermometer-1',
  bath: 23.4,
  before: 20,
  seconds: 99,
  baseExcess: 0,
  bulbOnBase: false,
  eyeMm: 0,
};
const hydrometer: HydrometerPicture = {
  kind: 'hydrometer',
  model: 'hydrometer-980',
  density: 1.025,
  line: 'level',
};

const beamPlaces = (slidingY: number): Example['places'] => ({
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

const jawPlaces = (gapX: number, rodX: number): Example['places'] => ({
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

/** Each instrument in use, as it is shown on the shelf, on its card and on paper. */
export const examples: Readonly<Record<InstrumentKind, Example>> = {
  ruler: {
    drawing: <Ruler picture={ruler} eyeProps={{}} />,
    whole: [0, 40, 770, 600],
    places: {
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
  },
  thermometer: {
    drawing: <Thermometer picture={thermometer} />,
    whole: [0, 0, 244, 640],
    places: {
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
  },
  'three-beam-balance': {
    drawing: <BeamBalance picture={threeBeam} pointer={0} />,
    whole: [0, 40, 770, 600],
    places: beamPlaces(470),
  },
  'four-beam-balance': {
    drawing: <BeamBalance picture={fourBeam} pointer={0} />,
    whole: [0, 40, 770, 600],
    places: {
      ...beamPlaces(496),
      rider: [
        [409, 212],
        [409, 150],
      ],
    },
  },
  'electronic-balance': {
    drawing: (
      <ElectronicBalance
        picture={electronic}
        state={{ load: 2, zeroed: null, doorOpen: false, seconds: 99, mended: true }}
      />
    ),
    whole: [80, 20, 610, 610],
    places: {
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
  },
  'vernier-caliper': {
    drawing: <VernierCaliper picture={caliper} />,
    whole: [0, 0, 770, 270],
    places: {
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
  },
  'digital-caliper': {
    drawing: <DigitalCaliper picture={digital} closed={false} />,
    whole: [0, 0, 770, 270],
    places: {
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
  },
  micrometer: {
    drawing: <Micrometer picture={micrometer} />,
    whole: [90, 0, 590, 270],
    places: {
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
  },
  'graduated-cylinder': {
    drawing: <GraduatedCylinder picture={cylinder} card />,
    whole: [0, 56, 186, 584],
    places: {
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
  },
  burette: {
    drawing: <Downward picture={burette} card={false} pair={false} />,
    whole: [0, 0, 222, 640],
    places: {
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
  },
  'graduated-pipette': {
    drawing: <Downward picture={pipette} card pair={false} />,
    whole: [0, 16, 212, 624],
    places: {
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
  },
  'volumetric-pipette': {
    drawing: <RingMark picture={ringPipette} card />,
    whole: [0, 16, 212, 624],
    places: {
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
  },
  'squeeze-pipette': {
    drawing: <SqueezePipette picture={squeeze} card={false} />,
    whole: [0, 16, 208, 624],
    places: {
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
  },
  beaker: {
    drawing: <Beaker picture={beaker} card={false} />,
    whole: [40, 20, 620, 620],
    places: {
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
  },
  'volumetric-flask': {
    drawing: <RingMark picture={ringFlask} card />,
    whole: [0, 180, 250, 450],
    places: {
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
  },
  hydrometer: {
    drawing: <Hydrometer picture={hydrometer} />,
    whole: [0, 60, 212, 580],
    places: {
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
  },
};

/** An instrument seen whole and small. It says nothing by itself: its name stands beside it. */
export function WholeInstrument({
  kind,
  className,
}: {
  readonly kind: InstrumentKind;
  readonly className?: string;
}) {
  const { drawing, whole } = examples[kind];
  const [, , width, height] = whole;
  // The inner frame cuts off what lies beside it on the stage.
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className={className} aria-hidden="true" focusable="false">
      <svg viewBox={whole.join(' ')} width={width} height={height}>
        {drawing}
      </svg>
    </svg>
  );
}

/** An instrument with its parts numbered, in the order in which they are given. */
export function LabelledInstrument({
  kind,
  parts,
  name,
  className,
}: {
  readonly kind: InstrumentKind;
  readonly parts: readonly string[];
  readonly name: string;
  readonly className?: string;
}) {
  const { drawing, places } = examples[kind];
  return (
    <svg
      viewBox="0 0 770 640"
      className={className}
      role="img"
      aria-label={`${name}: ${parts.map((part, at) => `${at + 1} ${part}`).join(', ')}`}
    >
      {drawing}
      {parts.map((part, at) => {
        const [[x, y], [labelX, labelY]] = places[part] ?? [
          [0, 0],
          [0, 0],
        ];
        return (
          <g key={part} fontFamily={figureFont}>
            <path d={`M${x} ${y} L${labelX} ${labelY}`} stroke={ink.bench} strokeWidth={5} />
            <path d={`M${x} ${y} L${labelX} ${labelY}`} stroke="#f0d59a" strokeWidth={2} />
            <circle cx={x} cy={y} r={4.5} fill="#f0d59a" stroke={ink.bench} strokeWidth={1.5} />
            <circle cx={labelX} cy={labelY} r={17} fill="#f0d59a" stroke={ink.bench} strokeWidth={2.5} />
            <text x={labelX} y={labelY + 7} textAnchor="middle" fontSize={20} fontWeight={700} fill={ink.ink}>
              {at + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
