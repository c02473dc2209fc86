import type { Material } from '@green-beam/core';

/** The school’s own materials, by name. */
export interface MaterialsAnswer {
  readonly materials: readonly (Material & { readonly id: string })[];
}
