import type { Comparison } from '@green-beam/core';
import { wholeDay } from '../ui/clock';

/** A comparison with its days as they are spoken. */
export const named = (comparison: Comparison, by: string): Comparison =>
  by === 'day'
    ? {
        ...comparison,
        groups: comparison.groups.map((group) => ({ ...group, name: wholeDay(`${group.key}T12:00`) })),
      }
    : comparison;
