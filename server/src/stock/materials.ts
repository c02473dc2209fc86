import { materialSchema, readStored, type MaterialsAnswer } from '@green-beam/contract';
import type { Material } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { Problem } from '../http/problem';
import type { Services } from '../services';

/** So many of its own a school keeps at most. */
const mostMaterials = 500;

export async function materialsOf({ database }: Services): Promise<MaterialsAnswer> {
  const rows = await database.models.schoolMaterials.findAll({ order: [['name', 'asc']] });
  return { materials: rows.map(({ id, body }) => ({ ...readStored(materialSchema, body, 'material'), id })) };
}

/** Keeps a material in place of the one of its name. @throws Problem */
export async function keepMaterial(services: Services, material: Material): Promise<MaterialsAnswer> {
  const { database, now } = services;
  const name = material.name.trim();
  await database.sequelize.query(
    `insert into school_materials (id, name, body, created_at) values ($1, $2, $3, $4)
     on conflict (lower(name)) do update set name = excluded.name, body = excluded.body`,
    { bind: [randomUUID(), name, JSON.stringify({ ...material, name }), now()] },
  );
  const kept = await materialsOf(services);
  if (kept.materials.length <= mostMaterials) return kept;
  await database.models.schoolMaterials.destroy({ where: { name } });
  throw new Problem('not-valid', `A school keeps ${mostMaterials} materials of its own.`);
}

export async function removeMaterial(services: Services, id: string): Promise<MaterialsAnswer> {
  await services.database.models.schoolMaterials.destroy({ where: { id } });
  return materialsOf(services);
}
