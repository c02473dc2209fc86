import {
  turnedBy,
  type BalancePicture,
  type BeakerPicture,
  type BurettePicture,
  type CaliperPicture,
  type CylinderPicture,
  type DigitalCaliperPicture,
  type ElectronicBalancePicture,
  type GraduatedPipettePicture,
  type HydrometerPicture,
  type InstrumentKind,
  type MicrometerPicture,
  type Picture,
  type RingPicture,
  type RulerPicture,
  type SqueezePicture,
  type ThermometerPicture,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { Beaker, beakerView } from './beaker';
import { BeamBalance, balanceView } from './beamBalance';
import { Downward, buretteView } from './burette';
import { DigitalCaliper, digitalCaliperView } from './digitalCaliper';
import { ElectronicBalance, electronicBalanceView, isSteady, type Load } from './electronicBalance';
import { GraduatedCylinder, cylinderView } from './graduatedCylinder';
import { Hydrometer, hydrometerView } from './hydrometer';
import { Micrometer, micrometerView } from './micrometer';
import { RingMark, ringView } from './ringMark';
import { Ruler, rulerView } from './ruler';
import { SqueezePipette, squeezeView } from './squeezePipette';
import { Thermometer, thermometerView } from './thermometer';
import { VernierCaliper, caliperView } from './vernierCaliper';

/** One way in which an apparatus that nobody handles is seen. */
interface ReadView {
  readonly name: string;
  readonly says: string;
  /** Drawings that are shown in turn: more than one where a display hops. */
  readonly frames: readonly ReactNode[];
}

/** An apparatus as it stands to be read: what is seen, and what may be chosen to be seen. */
export interface AsRead {
  readonly size: { readonly width: number; readonly height: number };
  readonly zoom: number;
  readonly choose: string | null;
  readonly views: readonly ReadView[];
}

const one = (size: AsRead['size'], drawing: ReactNode, zoom = 2.4): AsRead => ({
  size,
  zoom,
  choose: null,
  views: [{ name: '', says: '', frames: [drawing] }],
});

const closed = 'The jaws are closed, with nothing between.';

const balance = (picture: BalancePicture) => one(balanceView, <BeamBalance picture={picture} pointer={0} />);
const downward = (picture: BurettePicture | GraduatedPipettePicture) =>
  one(buretteView, <Downward picture={picture} card pair={picture.task === 'delivered'} />);
const ring = (picture: RingPicture) => one(ringView, <RingMark picture={picture} card />);

function electronic(picture: ElectronicBalancePicture): AsRead {
  const start = {
    zeroed: ({ nothing: null, pan: 0, vessel: 1 } as const)[picture.tared],
    doorOpen: picture.doorOpen,
    mended: picture.flaw === 'none',
  };
  const view = (name: string, load: Load): ReadView => {
    const at = (seconds: number) => ({ ...start, load, seconds });
    return {
      name,
      says: isSteady(at(picture.seconds)) ? 'The display stands.' : 'The digits move.',
      // A display that hops shows one number, then the other.
      frames: (picture.hops && load === 2 ? [20, 20.7] : [picture.seconds]).map((seconds) => (
        <ElectronicBalance key={seconds} picture={picture} state={at(seconds)} />
      )),
    };
  };
  return {
    size: electronicBalanceView,
    zoom: 2.4,
    choose: picture.task === 'difference' ? 'On the pan' : null,
    views:
      picture.task === 'difference'
        ? [view('Vessel with oil', 2), view('Vessel alone', 1), view('Nothing', 0)]
        : [view('', 2)],
  };
}

function caliper(picture: CaliperPicture): AsRead {
  const seen = { ...picture, touchesAt: picture.touchesAt - turnedBy(picture.outOfRound, picture.turn) };
  const { length } = picture.closings;
  return {
    size: caliperView,
    zoom: 4,
    choose: 'The jaws',
    views: [
      { name: 'As they stand', says: '', frames: [<VernierCaliper key="" picture={seen} />] },
      ...picture.closings.map((at, nth) => ({
        name: length > 1 ? `Closed, ${nth + 1} of ${length}` : 'Closed',
        says: closed,
        frames: [<VernierCaliper key="" picture={{ ...seen, at }} />],
      })),
    ],
  };
}

const kinds: { readonly [K in InstrumentKind]: (picture: never) => AsRead } = {
  ruler: (picture: RulerPicture) => one(rulerView, <Ruler picture={picture} />),
  thermometer: (picture: ThermometerPicture) => one(thermometerView, <Thermometer picture={picture} />),
  'three-beam-balance': balance,
  'four-beam-balance': balance,
  'electronic-balance': electronic,
  'vernier-caliper': caliper,
  'digital-caliper': (picture: DigitalCaliperPicture) => ({
    size: digitalCaliperView,
    zoom: 2.4,
    choose: 'The jaws',
    views: [
      {
        name: 'As they stand',
        says: '',
        frames: [<DigitalCaliper key="" picture={picture} closed={false} />],
      },
      {
        name: 'Closed',
        says: closed,
        frames: [<DigitalCaliper key="" picture={{ ...picture, atMm: 0 }} closed />],
      },
    ],
  }),
  micrometer: (picture: MicrometerPicture) => ({
    size: micrometerView,
    zoom: 3,
    choose: 'The screw',
    views: [
      { name: 'As it stands', says: '', frames: [<Micrometer key="" picture={picture} />] },
      {
        name: 'Closed',
        says: 'It is closed, with nothing between.',
        frames: [<Micrometer key="" picture={{ ...picture, at: picture.closedAt }} />],
      },
    ],
  }),
  'graduated-cylinder': (picture: CylinderPicture) =>
    one(cylinderView, <GraduatedCylinder picture={picture} card />),
  burette: downward,
  'graduated-pipette': downward,
  'volumetric-pipette': ring,
  'squeeze-pipette': (picture: SqueezePicture) => one(squeezeView, <SqueezePipette picture={picture} card />),
  beaker: (picture: BeakerPicture) => one(beakerView, <Beaker picture={picture} card />),
  'volumetric-flask': ring,
  hydrometer: (picture: HydrometerPicture) =>
    one(hydrometerView, <Hydrometer picture={picture} held="released" />),
};

/** How an instrument is seen by who only reads it. */
export const asRead = (kind: InstrumentKind, picture: Picture): AsRead => kinds[kind](picture as never);
