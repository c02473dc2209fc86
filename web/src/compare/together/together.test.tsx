import type { ReadingsAnswer } from '@green-beam/contract';
import { pieceOf, presetNamed } from '@green-beam/core';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { open as openPage, serve, teacher, tern } from '../../../test/page';
import { numbersOfGroups } from '../../../test/numbers';
import { CompareIndex } from '../CompareIndex';
import { PiecesCompare } from '../PiecesCompare';
import { ReadingsCompare } from '../ReadingsCompare';
import { Together } from './Together';

const reading = (who: string, value: number) => ({
  ...{ id: `${who} ${value}`, who, bench: 'Bench 1', at: '2026-11-03T09:00:00Z', make: 'cylinder 50 mL' },
  ...{ value, truth: 20, division: 1, step: 0.1 },
});
/** Twenty millilitres, read by two; and in divisions of another instrument. */
const asked: ReadingsAnswer = {
  class: tern,
  conventions: presetNamed('Chemistry bench'),
  kinds: [{ kind: 'ruler', name: 'ruler', readings: 2 }],
  questions: [
    {
      ...{ id: 'q', at: '2026-11-03T09:00:00Z', kind: 'graduated-cylinder', answers: 5 },
      ...{ instrumentName: 'graduated cylinder', makeName: 'cylinder 50 mL' },
    },
  ],
  readings: [19.9, 20, 20.2].map((value) => reading('Ada Lind', value)).concat(reading('Bo Quill', 20.4)),
  unit: 'mL',
};
const ruled: ReadingsAnswer = { ...asked, readings: [reading('Ada Lind', 20.1), reading('Cy Marl', 19.8)] };
const check = (known: string, shown: string) => ({ at: '2026-11-02', by: 'MM', note: '', known, shown });
const stocked = {
  ...{ id: 'p', revision: 1 },
  ...pieceOf({ tag: 'C-04', kind: 'graduated-cylinder', model: 'cylinder-50-1' }),
  checks: [check('20', '20.3'), check('40', '40.1')],
};

function open(address: string, other: ReadingsAnswer = asked) {
  const server = serve({
    'GET /api/classes/*/readings': ({ query }: { query: URLSearchParams }) =>
      query.get('kind') === 'ruler' ? ruled : query.get('question') === 'r' ? other : asked,
    'GET /api/classes/*/investigations': { investigations: [] },
    'GET /api/classes/*/comparisons': { comparisons: [] },
    'POST /api/classes/*/comparisons': ({ body }: { body: object }) => ({ comparisons: [body] }),
    'GET /api/stock': { pieces: [stocked] },
    'GET /api/conventions': { conventions: asked.conventions },
  });
  const shown = openPage(
    [
      { path: '/class/:classId/compare', Component: CompareIndex },
      { path: '/class/:classId/compare/readings', Component: ReadingsCompare },
      { path: '/class/:classId/compare/together', Component: Together },
      { path: '/stock/compare', Component: PiecesCompare },
    ],
    address,
    teacher,
  );
  return { ...server, ...shown };
}
const aside = /^Compare with groups from elsewhere/;

describe('groups from several places', () => {
  it('are put aside where they are, compared together, and kept so', async () => {
    const { user, router, sent } = open('/class/tern/compare/readings?question=q');
    await user.click(await screen.findByRole('button', { name: aside }));
    await user.click(screen.getByRole('button', { name: 'Put all 2 aside' }));
    expect(screen.getByRole('button', { name: 'Bo Quill is put aside' })).toBeVisible();
    await router.navigate('/stock/compare');
    await screen.findByText('what each showed, less what was known');
    await user.click(await screen.findByRole('button', { name: aside }));
    await user.click(screen.getByRole('button', { name: 'Put C-04 aside' }));
    await router.navigate('/class/tern/compare');
    await screen.findByRole('heading', { name: 'Put aside' });
    await user.click(await screen.findByRole('link', { name: 'Compare the 3 that are put aside' }));

    // 20 mL was to be read, and a check is 0 off: their errors are of one kind.
    expect(await screen.findByLabelText('What is compared')).toHaveValue('errors');
    const [ada, bo, piece] = await numbersOfGroups();
    expect(ada).toMatch(/^Ada Lind30\.030\.033 mL more/);
    expect(bo).toMatch(/^Bo Quill1/);
    expect(piece).toMatch(/^C-0420\.2/);
    expect(
      screen.getByRole('region', { name: /^graduated cylinder, (3 November|November 3)/ }),
    ).toBeVisible();

    await user.click(screen.getByRole('button', { name: /^Keep this comparison/ }));
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    await screen.findByText(/^Kept; it stands under/);
    const { address } = sent('POST /api/classes/*/comparisons')[0]?.body as { address: string };
    expect(address).toMatch(/^\/class\/tern\/compare\/together\?group=/);
    await user.click(screen.getByRole('button', { name: 'Take it out Bo Quill' }));
    expect((await numbersOfGroups()).length).toBe(2);
  });

  it('that measure other things say so; those of one name say from where', async () => {
    const at = (search: string) => ['group', `/class/tern/compare/readings?${search}`];
    const groups = [
      at('question=q&only=Ada+Lind'),
      at('kind=ruler&only=Ada+Lind'),
      at('kind=ruler&only=Nobody'),
    ];
    const { user } = open(`/class/tern/compare/together?${new URLSearchParams(groups)}`);
    expect(
      await screen.findByText('Not compared: it is in divisions, and the first is in mL.'),
    ).toBeVisible();
    expect((await numbersOfGroups())[0]).toMatch(
      /^graduated cylinder, (3 November|November 3,) 2026, \d\d:00.*, Ada Lind/,
    );
    expect(screen.getByRole('region', { name: 'There no more' })).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Add groups from elsewhere' }));
    expect(await screen.findByText('Compare the 3 that are put aside')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Put none aside' }));
    expect(screen.queryByText(/that are put aside/)).toBeNull();
  });

  it('of one name from one place are counted', async () => {
    const again = { ...asked, readings: asked.readings.map((own) => ({ ...own, id: `${own.id} again` })) };
    const at = (search: string) => ['group', `/class/tern/compare/readings?${search}`];
    const groups = [at('question=q&only=Ada+Lind'), at('question=r&only=Ada+Lind')];
    open(`/class/tern/compare/together?${new URLSearchParams(groups)}`, {
      ...again,
      questions: asked.questions.map((own) => ({ ...own, id: 'r' })),
    });
    expect((await numbersOfGroups()).map((text) => text?.slice(0, 12))).toEqual([
      'Ada Lind320.',
      'Ada Lind (2)',
    ]);
    expect(screen.getByRole('link', { name: 'Ada Lind (2)' })).toBeVisible();
  });

  it('come without what was left out of them where they were picked', async () => {
    const { user, router } = open('/class/tern/compare/readings?question=q');
    await user.click(await screen.findByRole('button', { name: /^Trials/ }));
    await user.click(screen.getAllByRole('button', { name: /^Leave out Ada Lind/ })[0]!);
    await user.type(screen.getByLabelText('Why is it left out?'), 'the tap ran');
    await user.click(screen.getByRole('button', { name: 'Leave it out' }));
    await user.click(screen.getByRole('button', { name: aside }));
    await user.click(screen.getByRole('button', { name: 'Put all 2 aside' }));
    await router.navigate('/class/tern/compare');
    await screen.findByRole('heading', { name: 'Put aside' });
    await user.click(await screen.findByRole('link', { name: 'Compare the 2 that are put aside' }));
    expect((await numbersOfGroups())[0]).toMatch(/^Ada Lind2 of 3/);
  });
});
