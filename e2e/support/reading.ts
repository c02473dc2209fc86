import {
  cylinderModel,
  expectReading,
  instrumentOf,
  isDrawn,
  instruments,
  mmPerMl,
  presetNamed,
  type BalancePicture,
  type CaliperPicture,
  type Conventions,
  type ElectronicBalancePicture,
  type MicrometerPicture,
  type CylinderPicture,
  type Picture,
  type Setting,
} from '@green-beam/core';
import type { SettingAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';
import { baseUrl } from './people';

/** What lies on the shelf. */
export const instrumentNames = instruments.map(({ name }) => name);

/** The setting that the page was given last: what its drawing shows. */
export async function settingShown(page: Page, act: () => Promise<void>): Promise<SettingAnswer> {
  const [response] = await Promise.all([
    page.waitForResponse(
      (candidate) =>
        candidate.url().endsWith('/api/bench/settings') && candidate.request().method() === 'POST',
    ),
    act(),
  ]);
  return (await response.json()) as SettingAnswer;
}

/** Takes an instrument from its page of the shelf, any make of it or one, to read or to handle. */
export async function take(page: Page, mode: 'Read' | 'Handle', name: string, model?: string): Promise<void> {
  const instrument = instruments.find((one) => one.name === name);
  await page.goto(`${baseUrl()}/bench/instruments/${instrument?.kind}`);
  // Of one make there is nothing to choose.
  if (model && instrument && instrument.models.length > 1)
    await page.locator(`input[name="make"][value="${model}"]`).check();
  await page.getByRole('button', { name: `${mode} the ${name}` }).click();
}

/** Reads a drawing as a careful student of the demo class would. */
export function readRightly(
  picture: SettingAnswer['picture'],
  conventions: Conventions = presetNamed('Chemistry bench'),
): string {
  if (isDrawn(picture)) throw new Error('The picture came as shapes: its reading stands nowhere in it.');
  return expectReading(instrumentOf(picture.kind), settings[picture.kind]?.(picture) ?? picture, conventions)
    .text;
}

/** The setting that a drawing shows, handled well: what is right to write. */
const settings: Readonly<Record<string, (picture: Picture) => Setting>> = {
  'graduated-cylinder': (picture) => {
    const { kind, model, heightMm, surface, targetMl, filmMl } = picture as CylinderPicture;
    const levelMl = Number((heightMm / mmPerMl(cylinderModel(model))).toPrecision(12));
    return of({ kind, model, levelMl, surface, eyeMm: 0, targetMl, filmMl, filling: false });
  },
  'three-beam-balance': (picture) => {
    const { kind, model, riders, loadMoment } = picture as BalancePicture;
    return of({ kind, model, riders, loadGrams: loadMoment, onPan: true, zeroErrorGrams: 0, handled: false });
  },
  'electronic-balance': (picture) => {
    const { kind, model, loadedGrams, vesselGrams, emptyGrams } = picture as ElectronicBalancePicture;
    const [contentsGrams, vessel] = [loadedGrams - vesselGrams, vesselGrams - emptyGrams];
    return of({
      kind,
      model,
      contentsGrams,
      vesselGrams: vessel,
      residueGrams: 0,
      tared: 'pan',
      draughtGrams: 0,
      doorOpen: false,
      seconds: 99,
      task: 'straight',
      flaw: 'none',
      flawGrams: 0,
      mended: true,
      hops: false,
    });
  },
  'vernier-caliper': (picture) => ofSize(picture as CaliperPicture),
  micrometer: (picture) => ofSize(picture as MicrometerPicture),
};

/** Less its zero error, the size of what lies between the jaws. */
const ofSize = ({ kind, model, closedAt, touchesAt }: CaliperPicture | MicrometerPicture): Setting =>
  of({
    kind,
    model,
    size: touchesAt - closedAt,
    at: touchesAt,
    zeroError: closedAt,
    yields: 0,
    task: 'size',
    jaws: 'outside',
    closings: [closedAt],
    outOfRound: 0,
    turn: 0,
  });

/** A setting of any kind, with what its kind needs besides. */
const of = <S extends Setting>(setting: S): Setting => setting;
