import { endpoints, materialSchema, newPieces } from '@green-beam/contract';
import type { Router } from 'express';
import { keepsTheSchools } from '../access/membership';
import { route, type Named } from '../access/route';
import type { Services } from '../services';
import { keepMaterial, materialsOf, removeMaterial } from './materials';
import { keepPieces, removePiece, stockOf } from './service';

/** Something of the school’s, for who may change it. @throws Problem */
const schoolsOwn = (named: Named, name: string): string => {
  keepsTheSchools(named);
  return named.params[name] ?? '';
};

/** The stockroom is the school’s: its teachers keep it, and whoever is signed in may see what is there. */
export function stockRoutes(router: Router, services: Services): void {
  route(router, endpoints.stock, {
    allow: 'signed-in',
    run: () => stockOf(services),
  });
  route(router, endpoints.keepPieces, {
    allow: 'teacher',
    owns: keepsTheSchools,
    body: newPieces,
    run: ({ body }) => keepPieces(services, body),
  });
  route(router, endpoints.removePiece, {
    allow: 'teacher',
    owns: (named) => schoolsOwn(named, 'pieceId'),
    run: ({ owned }) => removePiece(services, owned),
  });
  route(router, endpoints.materials, {
    allow: 'signed-in',
    run: () => materialsOf(services),
  });
  route(router, endpoints.keepMaterial, {
    allow: 'teacher',
    owns: keepsTheSchools,
    body: materialSchema,
    run: ({ body }) => keepMaterial(services, body),
  });
  route(router, endpoints.removeMaterial, {
    allow: 'teacher',
    owns: (named) => schoolsOwn(named, 'materialId'),
    run: ({ owned }) => removeMaterial(services, owned),
  });
}
