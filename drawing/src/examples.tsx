import type { InstrumentKind } from '@green-beam/core';
import type { ReactNode } from 'react';
import * as pictures from './examplePictures';
import { partPlaces } from './partPlaces';
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

interface Example {
  /** Drawn as on the stage, 770 × 640. */
  readonly drawing: ReactNode;
  /** The part of the stage on which it is seen whole. */
  readonly whole: readonly [x: number, y: number, width: number, height: number];
}

/** Each instrument in use, as it is shown on the shelf, on its card and on paper. */
export const examples: Readonly<Record<InstrumentKind, Example>> = {
  ruler: {
    drawing: <Ruler picture={pictures.ruler} eyeProps={{}} />,
    whole: [0, 40, 770, 600],
  },
  thermometer: {
    drawing: <Thermometer picture={pictures.thermometer} />,
    whole: [0, 0, 244, 640],
  },
  'three-beam-balance': {
    drawing: <BeamBalance picture={pictures.threeBeam} pointer={0} />,
    whole: [0, 40, 770, 600],
  },
  'four-beam-balance': {
    drawing: <BeamBalance picture={pictures.fourBeam} pointer={0} />,
    whole: [0, 40, 770, 600],
  },
  'electronic-balance': {
    drawing: (
      <ElectronicBalance
        picture={pictures.electronic}
        state={{ load: 2, zeroed: null, doorOpen: false, seconds: 99, mended: true }}
      />
    ),
    whole: [80, 20, 610, 610],
  },
  'vernier-caliper': {
    drawing: <VernierCaliper picture={pictures.caliper} />,
    whole: [0, 0, 770, 270],
  },
  'digital-caliper': {
    drawing: <DigitalCaliper picture={pictures.digital} closed={false} />,
    whole: [0, 0, 770, 270],
  },
  micrometer: {
    drawing: <Micrometer picture={pictures.micrometer} />,
    whole: [90, 0, 590, 270],
  },
  'graduated-cylinder': {
    drawing: <GraduatedCylinder picture={pictures.cylinder} card />,
    whole: [0, 56, 186, 584],
  },
  burette: {
    drawing: <Downward picture={pictures.burette} card={false} pair={false} />,
    whole: [0, 0, 222, 640],
  },
  'graduated-pipette': {
    drawing: <Downward picture={pictures.pipette} card pair={false} />,
    whole: [0, 16, 212, 624],
  },
  'volumetric-pipette': {
    drawing: <RingMark picture={pictures.ringPipette} card />,
    whole: [0, 16, 212, 624],
  },
  'squeeze-pipette': {
    drawing: <SqueezePipette picture={pictures.squeeze} card={false} />,
    whole: [0, 16, 208, 624],
  },
  beaker: {
    drawing: <Beaker picture={pictures.beaker} card={false} />,
    whole: [40, 20, 620, 620],
  },
  'volumetric-flask': {
    drawing: <RingMark picture={pictures.ringFlask} card />,
    whole: [0, 180, 250, 450],
  },
  hydrometer: {
    drawing: <Hydrometer picture={pictures.hydrometer} />,
    whole: [0, 60, 212, 580],
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
  const { drawing } = examples[kind];
  return (
    <svg
      viewBox="0 0 770 640"
      className={className}
      role="img"
      aria-label={`${name}: ${parts.map((part, at) => `${at + 1} ${part}`).join(', ')}`}
    >
      {drawing}
      {parts.map((part, at) => {
        const [[x, y], [labelX, labelY]] = partPlaces[kind][part] ?? [
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
