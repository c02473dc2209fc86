import type { BenchesAnswer } from '@green-beam/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { open, refusal, serve, teacher, tern, type Answers, type Call } from '../../test/page';
import { Benches } from './Benches';

const student = (id: string, name: string, absent = false) => ({ id, name, absent, steady: [], shaky: [] });
const answer: BenchesAnswer = {
  class: tern,
  students: [
    student('a', 'Ada Lind'),
    student('b', 'Bo Quill'),
    student('c', 'Cy Marl'),
    student('d', 'Dot Fenn', true),
  ],
  benches: [
    { id: 'one', name: 'Bench 1', members: ['a', 'b'] },
    { id: 'two', name: 'Bench 2', members: [] },
  ],
  apart: [],
};

/** A server that keeps what it is told. */
function benches(answers: Answers = {}) {
  let kept = answer;
  const server = serve({
    'GET /api/classes/*/benches': () => kept,
    'POST /api/classes/*/benches': ({ body }: Call) => (kept = { ...kept, ...body } as BenchesAnswer),
    ...answers,
  });
  const view = open(
    [{ path: '/class/:classId/benches', Component: Benches }],
    '/class/tern/benches',
    teacher,
  );
  return {
    ...server,
    ...view,
    asked: () => server.sent('POST /api/classes/*/benches').at(-1)?.body as never,
  };
}

describe('benches', () => {
  it('take somebody by a choice at the name, and give them back', async () => {
    const { user, asked } = benches();
    await user.selectOptions(await screen.findByLabelText('Bench of Ada Lind'), 'Bench 2');
    await waitFor(() =>
      expect(asked()).toMatchObject({ benches: [{ members: ['b'] }, { members: ['a'] }], apart: [] }),
    );
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(asked()).toMatchObject({ benches: [{ members: ['a', 'b'] }, { members: [] }] }),
    );
  });

  it('are drawn among who is there, and keep their names', async () => {
    const { user, asked } = benches();
    await user.selectOptions(await screen.findByLabelText('At a bench'), '2 students');
    await user.click(screen.getByRole('button', { name: 'Draw the benches' }));
    await waitFor(() =>
      expect(asked()).toMatchObject({ benches: [{ name: 'Bench 1' }, { name: 'Bench 2' }] }),
    );
    const { benches: drawn } = asked() as { benches: { members: string[] }[] };
    expect(drawn.flatMap(({ members }) => members).sort()).toEqual(['a', 'b', 'c']);
  });

  it('keep two apart, or say that it cannot be', async () => {
    const { user, asked } = benches();
    await user.click(await screen.findByRole('button', { name: /^Kept apart/ }));
    await user.selectOptions(screen.getByLabelText('One'), 'Ada Lind');
    await user.selectOptions(screen.getByLabelText('The other'), 'Bo Quill');
    await user.click(screen.getByRole('button', { name: 'Keep apart' }));
    await waitFor(() => expect(asked()).toMatchObject({ apart: [['a', 'b']] }));
    await user.selectOptions(screen.getByLabelText('At a bench'), '3 students');
    await user.click(screen.getByRole('button', { name: 'Draw the benches' }));
    expect(await screen.findByText(/these pairs cannot be kept apart/)).toBeVisible();
  });

  it('are renamed, added, and taken away when empty; what is refused says why', async () => {
    const { user, asked } = benches();
    const [name] = await screen.findAllByLabelText('Bench');
    await user.clear(name!);
    await user.type(name!, 'Window');
    await user.tab();
    await waitFor(() =>
      expect(asked()).toMatchObject({ benches: [{ name: 'Window' }, { name: 'Bench 2' }] }),
    );
    await user.click(screen.getByRole('button', { name: 'Add a bench' }));
    await waitFor(() => expect(asked()).toMatchObject({ benches: [{}, {}, { name: 'Bench 1' }] }));
    await user.click(await screen.findByRole('button', { name: 'Take away Bench 2' }));
    await waitFor(() => expect((asked() as { benches: object[] }).benches).toHaveLength(2));
  });

  it('say what the server refuses', async () => {
    const { user } = benches({
      'POST /api/classes/*/benches': () => refusal(422, 'not-valid', 'A student sits at one bench alone.'),
    });
    await user.selectOptions(await screen.findByLabelText('Bench of Cy Marl'), 'Bench 2');
    expect(await screen.findByRole('alert')).toHaveTextContent('A student sits at one bench alone.');
    expect(within(screen.getByRole('main')).getByLabelText('Bench of Cy Marl')).toHaveValue('');
  });
});
