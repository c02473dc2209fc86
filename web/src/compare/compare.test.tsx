import type { ReadingsAnswer } from '@green-beam/contract';
import { presetNamed } from '@green-beam/core';
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { open as openPage, serve, teacher, tern } from '../../test/page';
import { numbersOfGroups } from '../../test/numbers';
import { ReadingsCompare } from './ReadingsCompare';
import { CompareIndex } from './CompareIndex';

const reading = (who: string, value: number, truth: number, at: string) => ({
  id: `${who} ${at}`,
  who,
  bench: who.startsWith('A') ? 'Bench 1' : 'Bench 2',
  at,
  make: 'cylinder 50 mL',
  value,
  truth,
  division: 1,
  step: 0.1,
});
/** Sixty of Ada’s end in 0 or 5; Bo reads what is there, but for one line of ten. */
const readings = Array.from({ length: 60 }, (_, at) => {
  const truth = 10 + at / 10;
  const time = `2026-11-${at < 30 ? '03' : '04'}T09:${String(at % 60).padStart(2, '0')}:00`;
  return [
    reading('Ada Lind', Math.round(truth * 2) / 2, truth, time),
    reading('Bo Quill', at === 0 ? truth + 10 : truth, truth, time),
    reading('Cy Marl', truth + (at % 2 ? 0.3 : 0.1), truth, time),
  ];
}).flat();
const answer: ReadingsAnswer = {
  class: tern,
  conventions: presetNamed('Chemistry bench'),
  kinds: [{ kind: 'graduated-cylinder', name: 'graduated cylinder', readings: readings.length }],
  questions: [],
  readings,
  unit: 'mL',
};

function open(address: string, answers = {}) {
  const server = serve({
    'GET /api/classes/*/readings': answer,
    'GET /api/classes/*/comparisons': { comparisons: [] },
    'POST /api/classes/*/comparisons': ({ body }: { body: object }) => ({ comparisons: [body] }),
    ...answers,
  });
  const shown = openPage(
    [
      { path: '/class/:classId/compare/readings', Component: ReadingsCompare },
      { path: '/class/:classId/compare', Component: CompareIndex },
    ],
    address,
    teacher,
  );
  return { ...server, ...shown };
}

describe('how a class reads', () => {
  it('is compared by reader without what is a misreading, until it is counted', async () => {
    const { user } = open('/class/tern/compare/readings?kind=graduated-cylinder');
    expect((await numbersOfGroups())[1]).toMatch(/^Bo Quill59/);
    await user.click(screen.getByLabelText(/^Count the one more than 5 divisions off/));
    expect((await numbersOfGroups())[1]).toMatch(/^Bo Quill60/);
  });

  it('tells whose last digits are not those of the scale, and of nobody else', async () => {
    open('/class/tern/compare/readings?kind=graduated-cylinder');
    const digits = await screen.findByRole('region', { name: 'Last digits' });
    expect(digits).toHaveTextContent('Ada Lind writes 0 and 5 more often than the scale has them');
    expect(digits).not.toHaveTextContent('Bo Quill');
  });

  it('is compared by days, of chosen groups alone, and kept with them', async () => {
    const { user, sent } = open('/class/tern/compare/readings?kind=graduated-cylinder');
    await user.selectOptions(await screen.findByLabelText('Between'), 'days');
    expect((await numbersOfGroups())[0]).toMatch(/^3 November 2026|^November 3, 2026/);
    await user.selectOptions(screen.getByLabelText('Between'), 'readers');
    await user.click(screen.getByRole('button', { name: /^Keep this comparison/ }));
    await user.clear(screen.getByLabelText('Name'));
    await user.type(screen.getByLabelText('Name'), 'Our cylinders');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText(/^Kept; it stands under/)).toBeVisible();
    expect(sent('POST /api/classes/*/comparisons')[0]?.body).toMatchObject({
      name: 'Our cylinders',
      address: '/class/tern/compare/readings?kind=graduated-cylinder&by=reader',
    });
  });

  it('is kept with what is left out, which stands so for whoever opens it', async () => {
    const address = '/class/tern/compare/readings?kind=graduated-cylinder';
    const first = open(address);
    const count = async () => (await numbersOfGroups())[1];
    expect(await count()).toMatch(/^Bo Quill59/);
    await first.user.click(screen.getByRole('button', { name: /^Trials/ }));
    await first.user.click(screen.getAllByRole('button', { name: /^Leave out Bo Quill/ })[0]!);
    await first.user.type(screen.getByLabelText('Why is it left out?'), 'the tap ran');
    await first.user.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(await count()).toMatch(/^Bo Quill58/);
    await first.user.click(screen.getByRole('button', { name: /^Keep this comparison/ }));
    await first.user.click(screen.getByRole('button', { name: 'Keep it' }));
    await screen.findByText(/^Kept; it stands under/);
    const kept = first.sent('POST /api/classes/*/comparisons')[0]?.body as { address: string };
    first.unmount();
    // On another device.
    localStorage.clear();
    const second = open(kept.address);
    expect(await count()).toMatch(/^Bo Quill58/);
    await second.user.click(screen.getByRole('button', { name: /^Trials/ }));
    expect(screen.getByText('the tap ran')).toBeVisible();
    await second.user.click(screen.getByRole('button', { name: /^Take it back Bo Quill/ }));
    expect(await count()).toMatch(/^Bo Quill59/);
  });

  it('stands in the order that is asked for', async () => {
    const { user } = open('/class/tern/compare/readings?kind=graduated-cylinder&by=day');
    expect((await numbersOfGroups()).length).toBe(2);
    await user.selectOptions(screen.getByLabelText('Between'), 'readers');
    const names = async () => (await numbersOfGroups()).map((text) => text?.slice(0, 2));
    expect(screen.getByLabelText('In order')).toHaveValue('as they come');
    expect(await names()).toEqual(['Ad', 'Bo', 'Cy']);
    await user.selectOptions(screen.getByLabelText('In order'), 'from the least spread');
    expect(await names()).toEqual(['Bo', 'Cy', 'Ad']);
    await user.selectOptions(screen.getByLabelText('In order'), 'from the least error');
    expect((await names()).at(-1)).toBe('Cy');
  });

  it('shows its dots go to where they are sorted, turned or turned back on their way', async () => {
    vi.spyOn(globalThis, 'matchMedia').mockReturnValue({ matches: false } as MediaQueryList);
    const { user } = open('/class/tern/compare/readings?kind=graduated-cylinder');
    const plot = await screen.findByRole('img', { name: /3 groups on one scale/ });
    expect(plot).not.toHaveAttribute('data-turning');
    await user.selectOptions(screen.getByLabelText('In order'), 'from the least spread');
    expect(plot).toHaveAttribute('data-turning');
    // What is saved meanwhile has its dots.
    const saved = vi.spyOn(XMLSerializer.prototype, 'serializeToString').mockReturnValue('');
    vi.stubGlobal(
      'URL',
      Object.assign(URL, { createObjectURL: () => 'blob:', revokeObjectURL: () => undefined }),
    );
    await user.click(screen.getByRole('button', { name: 'Save as SVG' }));
    const copy = saved.mock.calls[0]?.[0] as Element;
    expect(copy.querySelectorAll('path').length).toBeGreaterThan(3);
    expect(copy.querySelector('[display]')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Rings' }));
    await user.click(screen.getByRole('button', { name: 'Dots on one scale' }));
    await user.selectOptions(screen.getByLabelText('In order'), 'as they come');
    await waitFor(() => expect(plot).not.toHaveAttribute('data-turning'), { timeout: 5000 });
    // Other trials are there at once.
    await user.selectOptions(screen.getByLabelText('Between'), 'days');
    expect(screen.getByRole('img', { name: /2 groups on one scale/ })).not.toHaveAttribute('data-turning');
    vi.restoreAllMocks();
  });

  it('is laid over everything for the projector', async () => {
    const { user } = open('/class/tern/compare/readings?kind=graduated-cylinder');
    await user.click(await screen.findByRole('button', { name: 'Projector' }));
    expect(screen.getByRole('main')).toHaveClass('projector');
    expect(screen.queryByRole('region', { name: 'Last digits' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Leave the projector' }));
    expect(screen.getByRole('main')).not.toHaveClass('projector');
  });
});

describe('the room', () => {
  it('shows from where groups can come, and what is kept', async () => {
    const kept = {
      id: 'k',
      name: 'Our cylinders',
      address: '/class/tern/compare/readings?kind=graduated-cylinder',
    };
    const { user, sent } = open('/class/tern/compare', {
      'GET /api/classes/*/comparisons': { comparisons: [kept] },
      'GET /api/classes/*/investigations': { investigations: [] },
      'DELETE /api/classes/*/comparisons/*': { comparisons: [] },
    });
    expect(await screen.findByRole('link', { name: 'graduated cylinder' })).toHaveAttribute(
      'href',
      '/class/tern/compare/readings?kind=graduated-cylinder',
    );
    expect(await screen.findByRole('link', { name: 'Our cylinders' })).toHaveAttribute('href', kept.address);
    await user.click(screen.getByRole('button', { name: 'Take it out Our cylinders' }));
    expect(await screen.findByText(/can be kept under a name/)).toBeVisible();
    expect(sent('DELETE /api/classes/*/comparisons/*')).toHaveLength(1);
  });
});
