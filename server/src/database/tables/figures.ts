import type { WorkedVerdict } from '@green-beam/core';
import { DataTypes } from 'sequelize';
import { id, needed, type Define, type Row } from './table';

export interface DrillItemRow extends Row {
  id: string;
  personId: string;
  conventionsId: string | null;
  kind: string;
  level: number;
  seed: number;
}

export interface DrillAttemptRow extends Row {
  id: string;
  itemId: string;
  personId: string;
  ordinal: number;
  text: string;
  unit: string;
  verdict: WorkedVerdict;
}

const { INTEGER, JSONB, TEXT, UUID } = DataTypes;

/** What was worked in the figures: drills. */
export const figuresTables = (table: Define) => ({
  drillItems: table<DrillItemRow>('drill_items', {
    id: id(),
    personId: needed(UUID),
    conventionsId: UUID,
    kind: needed(TEXT),
    level: needed(INTEGER),
    seed: needed(INTEGER),
  }),
  drillAttempts: table<DrillAttemptRow>('drill_attempts', {
    id: id(),
    itemId: needed(UUID),
    personId: needed(UUID),
    ordinal: needed(INTEGER),
    text: needed(TEXT),
    unit: needed(TEXT),
    verdict: needed(JSONB),
  }),
});
