import type { Instrument, Picture, Setting } from '../instruments/instrument';

/** A real set-up in the room, with the teacher's own reading as its key. */
export interface StationSetting extends Setting {
  /** What stands there, as it is labelled. */
  readonly tag: string;
  /** The teacher's reading as written, in the model's unit. */
  readonly reading: string;
  /** How far another's reading may be off, as ±, in the model's unit. */
  readonly tolerance: string;
}

export interface StationPicture extends Picture {
  /** A real set-up is not drawn: it stands in the room. */
  readonly tag: string;
}

export const isStation = (setting: Setting): setting is StationSetting => 'tag' in setting;
export const isStationPicture = (picture: Picture): picture is StationPicture => 'tag' in picture;

/**
 * An instrument whose setting nobody but the teacher has seen: read by the class's rules for its scale, judged by the
 * teacher's reading and tolerance, without causes.
 */
export function realStation(instrument: Instrument): Instrument<StationSetting> {
  const { kind, name, quantity, unitChoices, models } = instrument;
  const none = (): never => {
    throw new RangeError('A station in the room is not made up.');
  };
  const key = ({ reading }: StationSetting): number => Number(reading);
  return {
    kind,
    name,
    quantity,
    unitChoices,
    models,
    misreadings: [],
    sampleSetting: none,
    initial: none,
    sampleHandled: none,
    handle: none,
    indication: key,
    observed: key,
    correct: (_, number) => number,
    tolerance: ({ tolerance }) => Number(tolerance),
    picture: ({ model, tag }): StationPicture => ({ kind, model, tag }),
    ask: ({ tag }) => `Go to ${tag} and read it.`,
    buildUp: (_, written) => [`Your teacher read ${written}.`],
    lookFirst: () => 'Read it once more at the station, or ask a partner to.',
  };
}

/** The instrument that a stored setting is read with. */
export const readWith = (instrument: Instrument, setting: Setting): Instrument =>
  isStation(setting) ? realStation(instrument) : instrument;
