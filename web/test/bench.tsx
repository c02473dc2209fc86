import { ownTexts } from '../src/browser/storage';
import type { AttemptAnswer, SettingAnswer, Who } from '@green-beam/contract';
import {
  checkParts,
  checkReading,
  expectReading,
  instrumentOf,
  isEstimated,
  makeSetting,
  modelOf,
  NotReady,
  presetComparison,
  partsAsked,
  readingOf,
  presetNamed,
  type Conventions,
  type InstrumentKind,
  type Mode,
  type Setting,
  type Verdict,
} from '@green-beam/core';
import { screen, waitFor } from '@testing-library/react';
import { expect } from 'vitest';
import { BenchIndex } from '../src/bench/BenchIndex';
import { Station } from '../src/bench/Station';
import { open, serve, student, type Answers, type Call } from './page';

export const skill = {
  state: 'steady',
  reason: '4 of your last 4 right at the first try',
  tries: 4,
} as const;

interface Wanted {
  readonly kind: InstrumentKind;
  readonly model?: string;
  readonly mode?: Mode;
  readonly seed?: number;
  readonly conventions?: Conventions;
  /** A setting of one's own, in place of a drawn one. */
  readonly setting?: Setting;
  readonly who?: Who;
  readonly answers?: Answers;
  readonly over?: Partial<SettingAnswer>;
}

/** A setting on the bench, over a made-up server that judges with the engine itself. */
export async function atTheBench({
  kind,
  model,
  mode = 'handle',
  seed = 1,
  conventions = presetNamed('Chemistry bench'),
  setting,
  who = student,
  answers = {},
  over = {},
}: Wanted) {
  const instrument = instrumentOf(kind);
  const make = modelOf(instrument, model ?? instrument.models[0]?.id ?? '');
  const laid = setting ?? makeSetting(instrument, make, conventions, mode, seed);
  const found = instrument.withConventions?.(laid, conventions) ?? laid;
  const parts = partsAsked(instrument, found, conventions);
  const attempts: AttemptAnswer[] = [];
  const handled = (hands: unknown) => (mode === 'read' ? found : instrument.handle(found, hands));
  const tried = ({ body }: Call): AttemptAnswer => {
    const { id, text, unit } = body as { id: string; text: string; unit: string };
    let verdict: Verdict;
    try {
      verdict = checkReading(instrument, handled(body['hands']), conventions, text, unit);
    } catch (error) {
      if (!(error instanceof NotReady)) throw error;
      verdict = { outcome: 'not ready', message: error.message };
    }
    const counts = verdict.outcome === 'right' || verdict.outcome === 'wrong';
    const triesLeft = verdict.outcome === 'right' ? 0 : 3 - attempts.length - (counts ? 1 : 0);
    const expected = triesLeft === 0 ? expectReading(instrument, handled(body['hands']), conventions) : null;
    const answer: AttemptAnswer = {
      id,
      text,
      unit,
      verdict,
      parts: body['parts'] ? checkParts(parts, body['parts'] as Record<string, string>) : [],
      triesLeft,
      solution: expected && {
        text: expected.text,
        unit: expected.unit,
        buildUp: instrument.buildUp(handled(body['hands']), expected.text),
        divisionsOff: 0,
        acceptedDivisions: 0.5,
      },
    };
    if (counts) attempts.push(answer);
    return answer;
  };
  const server = serve({
    'GET /api/bench': {
      instruments: [
        {
          kind,
          name: instrument.name,
          models: instrument.models,
          skill: { kind, ...skill },
          parts: [],
          mark: null,
        },
      ],
      suggestion: null,
    },
    'GET /api/question': { question: null },
    'GET /api/bench/settings/s': () => ({
      id: 's',
      kind,
      instrumentName: instrument.name,
      question: instrument.ask(found),
      mode,
      modelName: make.name,
      unitChoices: instrument.unitChoices,
      picture: instrument.picture(found),
      parts: parts.map(({ key, heading, unit }) => ({ key, heading, unit })),
      estimated: isEstimated(readingOf(instrument, found, conventions)),
      mayHear: false,
      shown: false,
      held: false,
      attempts,
      triesLeft: attempts.at(-1)?.triesLeft ?? 3,
      ...over,
    }),
    'POST /api/bench/settings/s/attempts': tried,
    'GET /api/bench/settings/s/presets': { presets: presetComparison(instrument, found) },
    ...answers,
  });
  const view = open(
    [
      { path: 'bench', Component: BenchIndex },
      { path: 'bench/:settingId', Component: Station },
    ],
    '/bench/s',
    who,
  );
  await screen.findByRole('textbox', { name: 'Your reading' }, { timeout: 5000 });
  const { user } = view;
  /** How the hands have left the apparatus, as far as it is kept on this device. */
  const hands = () =>
    JSON.parse(ownTexts(who.id).getItem(`green-beam/hands/${who.id}/s`) ?? 'null') as Record<string, number>;
  return {
    ...view,
    ...server,
    instrument,
    setting: found,
    /** Waits until the hands have come to rest and are kept. */
    rest: () => new Promise((resolve) => setTimeout(resolve, 250)),
    hands,
    /** What a right reader writes, with the hands as they were sent last or as they are kept. */
    right: () => expectReading(instrument, handled(hands()), conventions),
    async write(text: string, unit: string) {
      const field = screen.getByRole('textbox', { name: 'Your reading' });
      await user.clear(field);
      await user.type(field, text);
      await user.click(screen.getByRole('radio', { name: unit }));
      await user.click(screen.getByRole('button', { name: 'Check reading' }));
      await waitFor(() =>
        expect(server.sent('POST /api/bench/settings/*/attempts').length).toBeGreaterThan(0),
      );
    },
  };
}
