import { endpoints, materialSchema, newPieces } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../access/route';
import type { Services } from '../services';
import { keepMaterial, materialsOf, removeMaterial } from './materials';
import { keepPieces, removePiece, stockOf } from './service';

/** The stockroom is the school’s: its teachers keep it, and whoever is signed in may see what is there. */
export function stockRoutes(router: Router, services: Services): void {
  route(router, endpoints.stock, {
    allow: 'signed-in',
    run: () => stockOf(services),
  });
  route(router, endpoints.keepPieces, {
    allow: 'teacher',
    body: newPieces,
    run: ({ body }) => keepPieces(services, body),
  });
  route(router, endpoints.removePiece, {
    allow: 'teacher',
    owns: ({ params }) => params['pieceId'] ?? '',
    run: ({ owned }) => removePiece(services, owned),
  });
  route(router, endpoints.materials, {
    allow: 'signed-in',
    run: () => materialsOf(services),
  });
  route(router, endpoints.keepMaterial, {
    allow: 'teacher',
    body: materialSchema,
    run: ({ body }) => keepMaterial(services, body),
  });
  route(router, endpoints.removeMaterial, {
    allow: 'teacher',
    owns: ({ params }) => params['materialId'] ?? '',
    run: ({ owned }) => removeMaterial(services, owned),
  });
}
