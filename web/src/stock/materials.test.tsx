import { materials } from '@green-beam/core';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { open, serve, student, teacher, type Answers } from '../../test/page';
import { Materials } from './Materials';

const larch = { id: 'm1', name: 'larch', kind: 'wood', low: 0.5, high: 0.6, source: 'weighed here' };
function room(who = teacher, answers: Answers = {}) {
  const server = serve({ 'GET /api/materials': { materials: [larch] }, ...answers });
  return { ...server, ...open([{ path: '*', Component: Materials }], '/stock/materials', who) };
}

describe('the table of materials', () => {
  it('shows the school’s own before those that come with the app', async () => {
    room();
    expect(await screen.findByRole('row', { name: /^larch wood 0.5 0.6 weighed here/ })).toBeVisible();
    expect(screen.getAllByRole('row')).toHaveLength(materials.length + 2);
  });

  it('takes a new one, each problem at its field', async () => {
    const { user, calls } = room(teacher, {
      'POST /api/materials': ({ body }: { body: object }) => ({ materials: [larch, { ...body, id: 'm2' }] }),
    });
    const form = within(await screen.findByRole('form', { name: 'Add a material' }));
    await user.click(form.getByRole('button', { name: 'Add it' }));
    expect(await form.findByText(/^The least density: a number in g\/cm³/)).toBeVisible();
    await user.type(form.getByLabelText('Name'), 'boxwood');
    await user.type(form.getByLabelText('From, g/cm³'), '0,95');
    await user.type(form.getByLabelText('To'), '1.00');
    await user.type(form.getByLabelText('Where the numbers come from'), 'weighed here');
    await user.click(form.getByRole('button', { name: 'Add it' }));
    expect(await screen.findByRole('row', { name: /^boxwood/ })).toBeVisible();
    expect(calls.find(({ method }) => method === 'POST')?.body).toEqual({
      name: 'boxwood',
      kind: 'wood',
      low: 0.95,
      high: 1,
      source: 'weighed here',
    });
    await waitFor(() => expect(form.getByLabelText('Name')).toHaveValue(''));
  });

  it('is only read by students', async () => {
    room(student);
    await screen.findByRole('row', { name: /^larch/ });
    expect(screen.queryByRole('form')).toBeNull();
    expect(screen.queryByRole('button', { name: /Take out/ })).toBeNull();
  });
});
