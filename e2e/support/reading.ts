import {
  cylinderModel,
  expectReading,
  instrumentOf,
  mmPerMl,
  presetNamed,
  type BalancePicture,
  type CylinderPicture,
  type Picture,
  type Setting,
} from '@green-beam/core';
import type { SettingAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';

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

/** Reads a drawing as a careful student of the demo class would. */
export function readRightly(picture: Picture): string {
  return expectReading(
    instrumentOf(picture.kind),
    settings[picture.kind]?.(picture) ?? picture,
    presetNamed('Chemistry bench'),
  ).text;
}

const settings: Readonly<Record<string, (picture: Picture) => Setting>> = {
  'graduated-cylinder': (picture) => {
    const { kind, model, heightMm, surface, targetMl } = picture as CylinderPicture;
    const levelMl = Number((heightMm / mmPerMl(cylinderModel(model))).toPrecision(12));
    const setting = { kind, model, levelMl, surface, eyeMm: 0, targetMl };
    return setting;
  },
  'three-beam-balance': (picture) => {
    const { kind, model, riders, loadMoment } = picture as BalancePicture;
    const setting = {
      kind,
      model,
      riders,
      loadGrams: loadMoment,
      onPan: true,
      zeroErrorGrams: 0,
      handled: false,
    };
    return setting;
  },
};
