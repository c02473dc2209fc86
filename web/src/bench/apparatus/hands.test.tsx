import {
  flaws,
  instrumentOf,
  presetNamed,
  seeded,
  spindles,
  type BalanceSetting,
  type BuretteSetting,
  type CylinderSetting,
  type ElectronicBalanceSetting,
  type HydrometerSetting,
  type InstrumentKind,
  type RingSetting,
  type Setting,
  type ThermometerSetting,
} from '@green-beam/core';
import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { atTheBench } from '../../../test/bench';

const button = (name: RegExp | string) => screen.getByRole('button', { name });
const slider = (name: RegExp | string) => screen.getByRole('slider', { name });
const said = () =>
  screen
    .getAllByRole('status')
    .map(({ textContent }) => textContent)
    .join(' ');

beforeEach(() => vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] }));
afterEach(() => vi.useRealTimers());
/** Lets time go by, a tick at a time, as the page draws itself between two ticks. */
const pass = async (seconds: number) => {
  for (let tick = 0; tick < Math.round(seconds * 10); tick += 1)
    await act(async () => void vi.advanceTimersByTime(100));
};

/** Presses a key on a handle, many times over. */
const keys = (handle: HTMLElement, key: string, times = 1, shiftKey = false) => {
  for (let pressed = 0; pressed < times; pressed += 1) fireEvent.keyDown(handle, { key, shiftKey });
};
/** Moves a handle by keys until something holds, coarse and then fine. */
const until = (handle: HTMLElement, key: string, holds: () => boolean, shiftKey = false) => {
  for (let pressed = 0; pressed < 3000 && !holds(); pressed += 1) keys(handle, key, 1, shiftKey);
  expect(holds()).toBe(true);
};
const eyeLevel = async (level: RegExp, along: 'x' | 'y' = 'y') => {
  const eye = slider('Your eye');
  const [forward, back] = along === 'x' ? ['ArrowRight', 'ArrowLeft'] : ['ArrowUp', 'ArrowDown'];
  const words = () => eye.getAttribute('aria-valuetext') ?? '';
  const high = () => /above|right/.test(words());
  until(eye, high() ? back! : forward!, () => level.test(words()), true);
};

/** A drawn setting that is as a test wants it. */
function drawn<S extends Setting>(kind: InstrumentKind, wanted: (setting: S) => boolean, model = 0): S {
  const instrument = instrumentOf(kind);
  for (let seed = 1; seed < 400; seed += 1) {
    const setting = instrument.initial(instrument.models[model]!, seeded(seed)) as S;
    if (wanted(setting)) return setting;
  }
  throw new Error('There is no such setting.');
}

/** Writes what is right with the hands as they lie, and is told so. */
async function readsRightly(bench: Awaited<ReturnType<typeof atTheBench>>) {
  await pass(0.3);
  const { text, unit } = bench.right();
  await bench.write(text, unit);
  expect(await screen.findByText('Level: rightly read.')).toBeVisible();
}

describe('a beam balance in hand', () => {
  const exact = () =>
    drawn<BalanceSetting>('three-beam-balance', ({ zeroErrorGrams }) => zeroErrorGrams === 0);

  it('is brought level with the keys, and its riders say where they are without the reading', async () => {
    const bench = await atTheBench({ kind: 'three-beam-balance', setting: exact() });
    const { loadMoment } = bench.instrument.picture(bench.setting) as unknown as { loadMoment: number };
    await bench.user.click(button('Put the tin on the pan'));
    await pass(0.3);
    expect(said()).toContain('The pointer rests high, at its stop.');
    keys(slider(/hundreds/), 'ArrowRight', Math.floor(loadMoment / 100));
    keys(slider(/tens/), 'ArrowRight', Math.floor((loadMoment % 100) / 10));
    const ones = Number((loadMoment % 10).toFixed(2));
    keys(slider(/0 to 10/), 'ArrowRight', Math.floor(ones / 0.1 + 1e-9));
    keys(slider(/0 to 10/), 'ArrowRight', Math.round((ones % 0.1) / 0.01), true);
    expect(slider(/hundreds/)).toHaveAttribute('aria-valuetext', `in notch ${Math.floor(loadMoment / 100)}`);
    await pass(0.3);
    expect(said()).toContain('The pointer rests on its mark.');
    await readsRightly(bench);
  });

  it('drops a rider that is let go near a notch into it, and leaves one between two', async () => {
    const bench = await atTheBench({ kind: 'three-beam-balance', setting: exact() });
    const rider = slider(/hundreds/);
    keys(rider, 'ArrowRight', 3);
    keys(rider, 'ArrowRight', 2, true);
    expect(rider).toHaveAttribute('aria-valuetext', 'between two notches');
    fireEvent.pointerUp(rider);
    expect(rider).toHaveAttribute('aria-valuetext', 'in notch 3');
    keys(rider, 'ArrowRight', 5, true);
    fireEvent.pointerUp(rider);
    expect(rider).toHaveAttribute('aria-valuetext', 'between two notches');
    keys(rider, 'ArrowLeft', 1);
    expect(rider).toHaveAttribute('aria-valuetext', 'in notch 3');
    expect(bench.hands()).toBeNull();
    await pass(0.3);
    expect(bench.hands()).toMatchObject({ hundreds: 300 });
  });

  it('is set to zero with its screw', async () => {
    const off = drawn<BalanceSetting>('three-beam-balance', ({ zeroErrorGrams }) => zeroErrorGrams > 0);
    await atTheBench({ kind: 'three-beam-balance', setting: off });
    await pass(0.3);
    expect(said()).toContain('The pointer rests high');
    fireEvent.change(screen.getByRole('slider', { name: 'Zero screw' }), {
      target: { value: String(-off.zeroErrorGrams) },
    });
    await pass(0.3);
    expect(said()).toContain('The pointer rests on its mark.');
    expect(screen.getByRole('slider', { name: 'Zero screw' })).toHaveAttribute(
      'aria-valuetext',
      expect.stringContaining('left'),
    );
  });

  it('lies as it was left, after a reload', async () => {
    const setting = exact();
    const first = await atTheBench({ kind: 'three-beam-balance', setting });
    keys(slider(/tens/), 'ArrowRight', 4);
    first.unmount();
    await atTheBench({ kind: 'three-beam-balance', setting });
    expect(slider(/tens/)).toHaveAttribute('aria-valuetext', 'in notch 4');
  });

  it('that is not level is told as such', async () => {
    const bench = await atTheBench({ kind: 'three-beam-balance', setting: exact() });
    await bench.user.click(button('Put the tin on the pan'));
    keys(slider(/0 to 10/), 'ArrowRight', 5);
    await pass(0.3);
    await bench.write('0.5', 'g');
    expect(await screen.findByText('The balance was not level when you read it.')).toBeVisible();
  });

  it('puts its rider down with Escape, and minds only its own keys', async () => {
    await atTheBench({ kind: 'four-beam-balance' });
    const rider = slider(/0 to 1 g/);
    rider.focus();
    keys(rider, 'PageUp', 3);
    expect(rider).toHaveAttribute('aria-valuenow', '0');
    keys(rider, 'Escape');
    expect(rider).not.toHaveFocus();
  });
});

describe('calipers and the micrometer in hand', () => {
  it('a vernier caliper is closed on the object, and read', async () => {
    const bench = await atTheBench({ kind: 'vernier-caliper', seed: 3 });
    expect(said()).toContain('The jaws do not touch the object yet.');
    await pass(0.3);
    await bench.write('10.0', bench.instrument.unitChoices[0]!);
    expect(await screen.findByText(/It does not touch the object yet/)).toBeVisible();
    until(slider('Sliding jaw'), 'ArrowLeft', () => said().includes('The jaws touch the object.'));
    await readsRightly(bench);
  });

  it('a jaw goes by either pair of arrows', async () => {
    await atTheBench({ kind: 'vernier-caliper', seed: 3 });
    const at = () => slider('Sliding jaw').getAttribute('aria-valuenow');
    const before = at();
    keys(slider('Sliding jaw'), 'ArrowUp', 20);
    expect(at()).not.toBe(before);
    keys(slider('Sliding jaw'), 'ArrowLeft', 20);
    expect(at()).toBe(before);
    keys(slider('Sliding jaw'), 'ArrowRight', 20);
    keys(slider('Sliding jaw'), 'ArrowDown', 20);
    expect(at()).toBe(before);
  });

  it('a locked jaw stays', async () => {
    const { user } = await atTheBench({ kind: 'vernier-caliper', seed: 3 });
    await user.click(button('Lock'));
    const at = slider('Sliding jaw').getAttribute('aria-valuenow');
    keys(slider('Sliding jaw'), 'ArrowLeft', 20);
    expect(slider('Sliding jaw')).toHaveAttribute('aria-valuenow', at);
    expect(said()).toContain('Locked.');
  });

  it('has its zero checked as often as the class does it', async () => {
    const conventions = { ...presetNamed('Chemistry bench'), zeroClosings: 3 };
    const { user } = await atTheBench({ kind: 'vernier-caliper', seed: 3, conventions });
    for (const of of [1, 2, 3]) {
      await user.click(button(/Close the jaws/));
      expect(button(/Close the jaws/)).toHaveTextContent(`${of} of 3`);
    }
    expect(screen.queryByRole('slider', { name: 'Sliding jaw' })).toBeNull();
    await user.click(button(/Close the jaws/));
    expect(slider('Sliding jaw')).toBeVisible();
  });

  it('turns what is not round', async () => {
    const setting = drawn<Setting & { readonly outOfRound: number }>(
      'vernier-caliper',
      ({ outOfRound }) => outOfRound > 0,
    );
    const bench = await atTheBench({ kind: 'vernier-caliper', setting });
    const turn = () => bench.hands()?.['turn'] ?? 0;
    await pass(0.3);
    await bench.user.click(button(/↶ Turn/));
    await pass(0.3);
    const before = turn();
    await bench.user.click(button(/Turn ↷/));
    await bench.user.click(button(/Turn ↷/));
    await bench.user.click(button(/↶ Turn/));
    await pass(0.3);
    expect(turn()).toBe(before + 15);
  });

  it('a digital caliper is zeroed closed, closed on the object, and read in either unit', async () => {
    const bench = await atTheBench({ kind: 'digital-caliper', seed: 2 });
    expect(button('Zero')).toBeDisabled();
    await bench.user.click(button('Close the jaws (check zero)'));
    await bench.user.click(button('Zero'));
    expect(said()).toContain('The jaws are closed, with nothing between.');
    await bench.user.click(button('Close the jaws (check zero)'));
    until(slider('Sliding jaw'), 'ArrowLeft', () => said().includes('The jaws touch the object.'));
    await bench.user.click(button('To inches'));
    await bench.user.click(button('To millimetres'));
    await readsRightly(bench);
  });

  it('a micrometer closes until its ratchet slips; its screw can be forced, and the reading is then wrong', async () => {
    const bench = await atTheBench({ kind: 'micrometer', seed: 2 });
    expect(said()).toMatch(/The spindle does not touch yet|It is fully open/);
    await bench.user.click(button('Ratchet'));
    expect(said()).toContain('The ratchet slips: it touches.');
    await pass(0.3);
    const { text, unit } = bench.right();
    keys(slider('Thimble'), 'ArrowLeft', 1);
    expect(said()).toContain('The screw is forced.');
    await pass(0.3);
    const forced = bench.hands()['at']!;
    await bench.user.click(button('Ratchet'));
    await pass(0.3);
    expect(bench.hands()['at']).toBeGreaterThan(forced);
    await bench.write(text, unit);
    expect(await screen.findByText('Level: rightly read.')).toBeVisible();
  });

  it('a micrometer takes no more than 25 mm, and a locked one does not turn', async () => {
    const { user } = await atTheBench({ kind: 'micrometer', seed: 2 });
    keys(slider('Thimble'), 'ArrowRight', 300);
    expect(said()).toContain('It is fully open: 25 mm is all it takes.');
    await user.click(button('Lock'));
    keys(slider('Thimble'), 'ArrowLeft', 5);
    expect(said()).toContain('It is fully open');
    expect(button('Ratchet')).toBeDisabled();
    await user.click(button('Close the jaws (check zero)'));
    expect(said()).toContain('It is closed, with nothing between.');
  });
});

describe('an electronic balance in hand', () => {
  const plain = (flaw: string) =>
    drawn<ElectronicBalanceSetting>(
      'electronic-balance',
      (setting) => setting.flaw === flaw && setting.task === 'straight' && setting.doorOpen,
    );

  it('is set to zero empty, loaded, and read once it stands', async () => {
    const bench = await atTheBench({ kind: 'electronic-balance', setting: plain('none') });
    await bench.user.click(button(/^Zero/));
    await pass(8);
    await bench.user.click(button('The ring'));
    expect(button('The ring')).toHaveAttribute('aria-pressed', 'true');
    await pass(10);
    expect(said()).toContain('The digits move.');
    await bench.user.click(button('Shut the door'));
    await pass(10);
    expect(said()).toContain('The display stands.');
    await readsRightly(bench);
  });

  it('shows an overload, and takes no reading of it', async () => {
    const bench = await atTheBench({ kind: 'electronic-balance', setting: plain('none') });
    await bench.user.click(button(/^Zero/));
    await bench.user.click(button('The whole crate'));
    await pass(5);
    await bench.write('500', 'g');
    expect(await screen.findByText(/It weighs more than this balance carries/)).toBeVisible();
  });

  it.each(['wet', 'warm', 'off-centre'] as const)(
    'says what is amiss, and what mends it: %s',
    async (flaw) => {
      const { user } = await atTheBench({ kind: 'electronic-balance', setting: plain(flaw) });
      expect(said()).toContain(flaws[flaw].seen);
      await user.click(button(flaws[flaw].mend));
      expect(said()).not.toContain(flaws[flaw].seen);
      expect(screen.queryByRole('button', { name: flaws[flaw].mend })).toBeNull();
    },
  );
});

describe('glass in hand', () => {
  it('a cylinder is read with the eye brought level', async () => {
    const setting = drawn<CylinderSetting>('graduated-cylinder', ({ filling }) => !filling);
    const bench = await atTheBench({ kind: 'graduated-cylinder', setting });
    await eyeLevel(/closed to a line/);
    await bench.user.keyboard('{Escape}');
    await readsRightly(bench);
  });

  it('a cylinder is filled, the last part by drops', async () => {
    const setting = drawn<CylinderSetting>('graduated-cylinder', ({ filling }) => filling);
    const bench = await atTheBench({ kind: 'graduated-cylinder', setting });
    await bench.user.click(button('Pour'));
    const target = setting.targetMl ?? 0;
    const level = () => bench.hands()?.['level'] ?? 0;
    for (let tick = 0; tick < 400 && level() < target * 0.98; tick += 1) await pass(0.2);
    await bench.user.click(button('By drops'));
    for (let tick = 0; tick < 3000 && level() < target - 0.02; tick += 1) await pass(0.2);
    await bench.user.click(button('Stop'));
    await eyeLevel(/closed to a line/);
    await readsRightly(bench);
    expect(button('Pour it out')).toBeVisible();
  });

  it('a burette is noted, run and read as what it delivered', async () => {
    const bench = await atTheBench({ kind: 'burette', seed: 5 });
    await pass(0.3);
    await bench.write('10.00', 'mL');
    expect(await screen.findByText(/note the start before you run any out/)).toBeVisible();
    await eyeLevel(/closed to a line/);
    // Fast, to drive out what air there is in the tip; then begin again from the top.
    keys(slider('Tap'), 'ArrowUp', 5);
    expect(said()).toContain('The tap is open: it runs.');
    await pass(2);
    await bench.user.click(button('Shut'));
    await pass(60);
    await bench.user.click(button('Touch off the drop'));
    await bench.user.click(button('Note the start'));
    expect(button('Start noted; note again')).toBeVisible();
    keys(slider('Tap'), 'ArrowUp', 3);
    const { wantedMl } = bench.setting as BuretteSetting;
    const delivered = () => (bench.hands()['level'] ?? 0) - (bench.hands()['initial'] ?? 0);
    for (let tick = 0; tick < 300 && delivered() < wantedMl - 1; tick += 1) await pass(0.3);
    keys(slider('Tap'), 'ArrowDown', 2);
    expect(said()).toContain('The tap is feathered: it drips.');
    await pass(2);
    await bench.user.click(button('Shut'));
    await pass(60);
    expect(said()).toContain('A drop hangs at the tip.');
    await bench.user.click(button('Touch off the drop'));
    expect(said()).not.toContain('A drop hangs');
    await readsRightly(bench);
  });

  it('a graduated pipette runs while the finger is off, and only from a bulb', async () => {
    const bench = await atTheBench({ kind: 'graduated-pipette', seed: 4 });
    await eyeLevel(/closed to a line/);
    await bench.user.click(button('Lift: run'));
    for (let tick = 0; tick < 100 && (bench.hands()?.['level'] ?? -1) < 1; tick += 1) await pass(0.2);
    await bench.user.click(button('Hold'));
    await bench.user.click(button('Note the start'));
    await bench.user.click(button('Lift: run'));
    expect(button('Start noted; note again')).toBeDisabled();
    const { highest } = bench.instrument.models[0]!;
    for (let tick = 0; tick < 200 && (bench.hands()?.['level'] ?? 0) < Number(highest) * 0.6; tick += 1)
      await pass(0.2);
    await bench.user.click(button('Ease: drops'));
    await pass(2);
    await bench.user.click(button('Hold'));
    await readsRightly(bench);
    await bench.user.click(button('Draw it up again'));
    await pass(0.3);
    expect(bench.hands()).toMatchObject({ noted: false });
  });

  it('a ring-marked pipette is run down to its ring, delivered and touched off', async () => {
    const setting = drawn<RingSetting>('volumetric-pipette', ({ markedExpel }) => !markedExpel);
    const bench = await atTheBench({ kind: 'volumetric-pipette', setting });
    await eyeLevel(/closed to a line/);
    await bench.user.click(button('Ease: drops'));
    const above = () => bench.hands()?.['aboveMm'] ?? 99;
    for (let tick = 0; tick < 3000 && above() > 0.3; tick += 1) await pass(0.3);
    await bench.user.click(button('Hold'));
    await bench.user.click(button('Deliver'));
    expect(said()).toContain('It runs out.');
    expect(button('Touch the tip to the wall')).toBeDisabled();
    await pass(5);
    expect(said()).toContain('It has run out.');
    await bench.user.click(button('Touch the tip to the wall'));
    await pass(0.3);
    expect(bench.hands()).toMatchObject({ delivered: true, touched: true });
    await readsRightly(bench);
    await bench.user.click(button('Draw it up again'));
    expect(said()).toContain('The surface');
  });

  it('a ring-marked flask is filled to its ring and emptied again', async () => {
    const bench = await atTheBench({ kind: 'volumetric-flask', seed: 4 });
    await bench.user.click(button('Pour'));
    await pass(1);
    await bench.user.click(button('Stop'));
    await pass(0.3);
    const poured = bench.hands()['aboveMm'];
    await bench.user.click(button('Empty it'));
    await pass(0.3);
    expect(bench.hands()['aboveMm']).not.toBe(poured);
  });

  it('drops of a squeeze pipette are let fall by a key, and the count begins again', async () => {
    const instrument = instrumentOf('squeeze-pipette');
    const counting = instrument.models.findIndex((_, at) => {
      const setting = instrument.initial(instrument.models[at]!, seeded(1));
      return 'drops' in setting && /drop/i.test(instrument.ask(setting));
    });
    const bench = await atTheBench({
      kind: 'squeeze-pipette',
      model: instrument.models[counting]!.id,
    });
    (document.activeElement as HTMLElement).blur();
    await bench.user.keyboard('ddddddddd');
    await bench.user.click(button(/Let a drop fall/));
    await pass(0.3);
    expect(bench.hands()).toMatchObject({ drops: 10 });
    await bench.user.click(button('Lost the count: begin again'));
    await pass(0.3);
    expect(bench.hands()).toMatchObject({ drops: 0 });
  });

  it('a beaker is read with the right humility', async () => {
    const bench = await atTheBench({ kind: 'beaker', seed: 3 });
    await eyeLevel(/closed to a line/);
    await readsRightly(bench);
  });
});

describe('other things in hand', () => {
  it('a ruler is read with the eye square above the end', async () => {
    const bench = await atTheBench({ kind: 'ruler', seed: 3 });
    await eyeLevel(/square above the end/, 'x');
    await readsRightly(bench);
  });

  it('a thermometer is raised off the base, and read once its column rests', async () => {
    const setting = drawn<ThermometerSetting>('thermometer', ({ bulbOnBase }) => bulbOnBase);
    const bench = await atTheBench({ kind: 'thermometer', setting });
    await bench.user.click(button('Raise the clamp'));
    expect(said()).toContain('The column moves.');
    await pass(120);
    expect(said()).toContain('The column rests.');
    await eyeLevel(/level with the end/);
    await readsRightly(bench);
    await bench.user.click(button('Lower the clamp'));
    expect(said()).toContain('The column moves.');
  });

  it('a hydrometer is chosen from the light end, lowered, and let go when it floats', async () => {
    const setting = drawn<HydrometerSetting>('hydrometer', ({ density }) => density > 0.86 && density < 0.98);
    const bench = await atTheBench({ kind: 'hydrometer', setting });
    expect(said()).toContain('Begin with the spindle for the lightest liquids.');
    const choices = screen.getByRole('group', { name: 'Spindle' }).querySelectorAll('button');
    const fits = spindles.findIndex(
      ({ lowest, highest }) => setting.density > Number(lowest) && setting.density < Number(highest),
    );
    // Too dense a range goes down like a stone, too light a one stands out.
    for (const [at, felt, came] of [
      [fits + 1, 'It pulls down', 'It dropped to the bottom'],
      [fits - 1, 'It pushes up', 'Its whole scale stands out'],
      [fits, 'You feel it carry itself.', 'It floats, clear of the wall.'],
    ] as const) {
      await bench.user.click(choices[at]!);
      expect(button('Let go')).toBeDisabled();
      await bench.user.click(button('Lower it'));
      expect(said()).toContain(felt);
      await bench.user.click(button('Let go'));
      expect(said()).toContain(came);
    }
    await readsRightly(bench);
  });
});
