import type { MaterialsAnswer } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startHarness, type Browser, type Harness } from '../../test/harness';
import { teacher as owner } from '../demo/scenario';

let harness: Harness;
let teacher: Browser;
beforeAll(async () => {
  harness = await startHarness();
  teacher = await harness.asTeacher(owner.name, owner.password);
});
afterAll(() => harness.close());

const larch = { name: 'Larch of the boatyard', kind: 'wood', low: 0.5, high: 0.6, source: 'weighed here' };
const keep = (material: object) => teacher.post<MaterialsAnswer>('/api/materials', material);

describe('the school’s own materials', () => {
  it('are kept by name, changed and taken out, for whoever is signed in to hold a density against', async () => {
    const { body: first } = await keep(larch);
    expect(first.materials).toMatchObject([larch]);
    const { body: again } = await keep({ ...larch, name: ' larch of the BOATYARD', high: 0.62 });
    expect(again.materials).toMatchObject([
      { name: 'larch of the BOATYARD', high: 0.62, id: first.materials[0]!.id },
    ]);
    const student = await harness.asStudent('Verity Moss');
    expect((await student.get<MaterialsAnswer>('/api/materials')).body.materials).toHaveLength(1);
    const { body: none } = await teacher.delete(`/api/materials/${first.materials[0]!.id}`);
    expect(none).toEqual({ materials: [] });
  });

  it.each([
    [{ name: 'brass' }, 'comes with the app'],
    [{ low: 0.7 }, 'not less than the least'],
    [{ high: 24 }, 'no material is denser'],
    [{ low: 'light' }, 'a number in g/cm³'],
    [{ name: undefined }, 'name'],
    [{ source: '' }, 'source'],
    [{ kind: 'gas' }, 'kind'],
  ])('are refused in words where they cannot be: %j', async (rest, words) => {
    expect(await keep({ ...larch, ...rest })).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining(words) },
    });
  });
});
