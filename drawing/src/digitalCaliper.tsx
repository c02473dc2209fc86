import { digitalCaliperModel, digitalDisplay, type DigitalCaliperPicture } from '@green-beam/core';
import { memo, type SVGProps } from 'react';
import { body, CaliperBody, gapAt, gapX } from './caliperBody';
import { Display, Key } from './display';
import { figureFont, ink, textFont } from './ink';
import { Lines, type Line } from './lines';
import { hardPlastic, satin, steel } from './matter';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const digitalCaliperView = { width: 770, height: 640 } as const;

/** Where the sliding jaw stands for so many millimetres, and back. */
export const digitalJawX = gapX;
export const digitalJawAt = gapAt;

/** What the display shows with the jaws as they stand. */
export function digitalText(picture: DigitalCaliperPicture): string {
  const model = digitalCaliperModel(picture.model);
  const shownMm = picture.atMm + (picture.zeroed ? 0 : picture.closedShowsMm);
  return digitalDisplay(model, shownMm)
    .toFixed(model.division.split('.')[1]?.length ?? 0)
    .replace('-', '−');
}

/** A digital caliper: the whole of it on its object, and its housing with display and keys enlarged below. */
export function DigitalCaliper({
  picture,
  closed,
  jawProps,
}: {
  readonly picture: DigitalCaliperPicture;
  /** True with the jaws closed. */
  readonly closed: boolean;
  readonly jawProps?: SVGProps<SVGGElement>;
}) {
  const { unit } = digitalCaliperModel(picture.model);
  const text = digitalText(picture);
  return (
    <g fontFamily={figureFont}>
      <CaliperBody
        held={{
          jaws: 'outside',
          gapMm: picture.atMm,
          sizeMm: closed ? null : Math.min(picture.sizeMm, picture.atMm),
          turn: null,
          soft: picture.yieldsMm > 0,
        }}
        beam={track}
        slide={<SmallHousing text={text} />}
        jawProps={jawProps}
      />
      <Housing text={text} unit={unit} inch={unit === 'in'} />
    </g>
  );
}

/** The strip that the slide’s reader passes over: a track, not a scale to be read. */
const Track = memo(function Track() {
  const dashes = Array.from({ length: 64 }, (_, at): Line => [4 + at * 3, 4.6, 4 + at * 3, 11.4]);
  return (
    <g>
      <rect x={2} y={3.6} width={194} height={8.8} fill={hardPlastic.base} />
      <Lines lines={dashes} stroke={hardPlastic.light} strokeWidth={0.6} />
    </g>
  );
});

const track = <Track />;

/** The housing on the slide, with its live window. */
function SmallHousing({ text }: { readonly text: string }) {
  return (
    <g>
      <rect
        x={2}
        y={-5}
        width={66}
        height={25}
        rx={2}
        fill={hardPlastic.base}
        stroke={hardPlastic.edge}
        strokeWidth={0.4}
      />
      <rect x={3} y={-4.2} width={64} height={1.2} fill={hardPlastic.light} />
      <rect
        x={7}
        y={-0.6}
        width={56}
        height={11}
        rx={0.8}
        fill="#d8e4cf"
        stroke={hardPlastic.edge}
        strokeWidth={0.4}
      />
      <text className="digits" x={61} y={8.2} textAnchor="end" fontSize={9} fontWeight={600} fill={ink.ink}>
        {text}
      </text>
      {[9, 29, 49].map((x, at) => (
        <rect key={x} x={x} y={13} width={12} height={4.6} rx={1} fill={at === 1 ? ink.beam : satin.base} />
      ))}
    </g>
  );
}

/** The housing enlarged: what it shows, and the keys that it has. */
function Housing({
  text,
  unit,
  inch,
}: {
  readonly text: string;
  readonly unit: string;
  readonly inch: boolean;
}) {
  return (
    <g fontFamily={textFont}>
      <rect x={0} y={398} width={770} height={128} fill={steel.base} />
      <rect x={0} y={398} width={770} height={6} fill={steel.light} />
      <rect x={0} y={518} width={770} height={8} fill={steel.dark} />
      <rect
        x={96}
        y={318}
        width={578}
        height={286}
        rx={12}
        fill={hardPlastic.base}
        stroke={hardPlastic.edge}
        strokeWidth={2}
      />
      <path d="M108 322 H662" stroke={hardPlastic.light} strokeWidth={4} strokeLinecap="round" />
      <Display x={140} y={352} width={490} height={132} text={text} unit={unit} size={86} />
      {['on', 'zero', inch ? 'to mm' : 'to in'].map((name, at) => (
        <Key
          key={name}
          name={name}
          x={150 + at * 175}
          y={516}
          width={120}
          height={48}
          main={name === 'zero'}
        />
      ))}
    </g>
  );
}

/** Where its parts lie. */
export const digitalCaliperSpots = (picture: DigitalCaliperPicture): Spots => ({
  display: { x: 470, y: 420 },
  edge: { x: digitalJawX(picture.atMm), y: body.top + 40 * body.px },
});
