import type { InstrumentKind, Setting, Verdict } from '@green-beam/core';
import { DataTypes } from 'sequelize';
import { id, key, needed, type Define, type Row } from './table';

export interface PracticeSettingRow extends Row {
  id: string;
  personId: string;
  conventionsId: string | null;
  kind: InstrumentKind;
  model: string;
  mode: 'read' | 'handle';
  seed: number;
  /** The truth. Never leaves the server as it is. */
  setting: Setting;
  /** The show that it is a go at, if it is one. */
  showId?: string | null;
}

export interface AttemptRow extends Row {
  id: string;
  settingId: string;
  personId: string;
  ordinal: number;
  text: string;
  unit: string;
  hands: Readonly<Record<string, number | boolean>> | null;
  verdict: Verdict;
  divisionsOff: number | null;
  /** The number in the instrument's own unit; null when it could not be compared. */
  value?: number | null;
  /** The parts of the reading, as written, where they are written apart. */
  parts?: Readonly<Record<string, string>> | null;
}

export interface ShowRow extends Row {
  id: string;
  classId: string;
  personId: string;
  kind: InstrumentKind;
  model: string;
  setting: Setting;
}

export interface ShowEndRow extends Row {
  showId: string;
}

const { DOUBLE, INTEGER, JSONB, TEXT, UUID } = DataTypes;

/** What was read on the bench, and what was shown to a class. */
export const benchTables = (table: Define) => ({
  practiceSettings: table<PracticeSettingRow>('practice_settings', {
    id: id(),
    personId: needed(UUID),
    conventionsId: UUID,
    kind: needed(TEXT),
    model: needed(TEXT),
    mode: needed(TEXT),
    seed: needed(INTEGER),
    setting: needed(JSONB),
    showId: UUID,
  }),
  attempts: table<AttemptRow>('attempts', {
    id: id(),
    settingId: needed(UUID),
    personId: needed(UUID),
    ordinal: needed(INTEGER),
    text: needed(TEXT),
    unit: needed(TEXT),
    hands: JSONB,
    verdict: needed(JSONB),
    divisionsOff: DOUBLE,
    value: DOUBLE,
    parts: JSONB,
  }),
  shows: table<ShowRow>('shows', {
    id: id(),
    classId: needed(UUID),
    personId: needed(UUID),
    kind: needed(TEXT),
    model: needed(TEXT),
    setting: needed(JSONB),
  }),
  showEnds: table<ShowEndRow>('show_ends', { showId: key() }),
});
