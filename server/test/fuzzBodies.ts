import { boltPin, presetNamed } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { entry } from './entry';

/** A body that each route would take, before it is spoilt. @param studentId of somebody in the class */
export function fuzzBodies(studentId: string): Readonly<Record<string, () => object>> {
  const fullEntry = () => entry({ tag: null, supplied: false, takenId: null, attemptId: null });
  const attempt = () => ({
    id: randomUUID(),
    text: '12.40',
    unit: 'mm',
    hands: { jaw: 12.3, lock: false },
    parts: null,
  });
  return {
    'post /api/session/teacher': () => ({ name: 'Ms Marrow', password: 'no', ownDevice: false }),
    'post /api/session/student': () => ({
      classCode: 'TERN9',
      name: 'Delphi Marsh',
      passphrase: 'no',
      ownDevice: false,
    }),
    'post /api/session/password': () => ({ current: 'no', next: 'something longer' }),
    'post /api/classes/:classId/rules': () => ({ rules: presetNamed('Half-division'), from: 1 }),
    'post /api/bench/settings': () => ({
      id: randomUUID(),
      kind: 'burette',
      mode: 'handle',
      model: 'burette-50-0_1',
    }),
    'post /api/bench/settings/:settingId/words': () => ({ hands: { jaw: 1 } }),
    'post /api/bench/settings/:settingId/attempts': attempt,
    'post /api/bench/which': () => ({ size: '12.4', unit: 'mm', percent: '1' }),
    'post /api/questions/:questionId/settings': () => ({ id: randomUUID() }),
    'post /api/classes/:classId/question': () => ({
      id: randomUUID(),
      kind: 'ruler',
      model: 'ruler-mm',
      indicates: '12.4',
    }),
    'post /api/classes/:classId/station': () => ({
      id: randomUUID(),
      kind: 'ruler',
      model: 'ruler-mm',
      tag: 'R-1',
      reading: '12.4',
      tolerance: '0.1',
    }),
    'post /api/balance/readings': () => ({}),
    'post /api/drills/items': () => ({ id: randomUUID(), kind: 'rounding' }),
    'post /api/drills/items/:itemId/attempts': () => ({ id: randomUUID(), text: '12.4', unit: 'g' }),
    'post /api/rearranged': () => ({
      id: randomUUID(),
      exerciseId: randomUUID(),
      formula: 'ρ = m / V',
      wanted: 'V',
      text: 'm / ρ',
    }),
    'post /api/spotted': () => ({
      id: randomUUID(),
      exerciseId: randomUUID(),
      seed: 7,
      marks: [{ place: { trial: 1, column: 'mass' }, code: 'other-unit' }],
    }),
    'post /api/logbooks/:logbookId/calculations': () => ({
      id: randomUUID(),
      expression: '214.6 g / 24.5 mL',
    }),
    'post /api/investigations/:investigationId/logbook': () => ({}),
    'post /api/logbooks/:logbookId/entries': fullEntry,
    'post /api/logbooks/:logbookId/blocks': () => ({ id: randomUUID(), entries: [fullEntry(), fullEntry()] }),
    'post /api/classes/:classId/investigations': () => ({
      id: randomUUID(),
      replaces: null,
      body: boltPin,
    }),
    'post /api/classes/:classId/investigations/:investigationId': () => ({ retired: false }),
    'post /api/classes': () => ({ name: '9 Gull' }),
    'post /api/classes/:classId/students': () => ({ names: ['New One', 'New Two'] }),
    'post /api/classes/:classId/students/:studentId': () => ({ spoken: true }),
    'post /api/classes/:classId/slips': () => ({ studentIds: [studentId], everyone: false }),
  };
}
