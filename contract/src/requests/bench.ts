import { mixed, object, string, type InferType } from 'yup';
import { clientId, textsByKey, needed, shortText } from './fields';

export const newSetting = object({
  id: clientId,
  kind: needed('kind of instrument', 40),
  mode: string()
    .oneOf(['read', 'handle'] as const, 'A setting is to read or to handle.')
    .required('Say whether to read or to handle.'),
  model: shortText('model', 60),
  /** The work that is set for which it is taken. */
  task: clientId.optional(),
}).noUnknown();

/** The state of the apparatus, as the instrument's own file describes it; its numbers are checked there. */
const hands = mixed<Readonly<Record<string, number | boolean>>>(
  (value): value is Record<string, number | boolean> => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const parts = Object.values(value);
    return parts.length <= 20 && parts.every((part) => typeof part === 'number' || typeof part === 'boolean');
  },
)
  .typeError('The state of the apparatus could not be read.')
  .nullable()
  .default(null);

export const newAttempt = object({
  id: clientId,
  text: shortText('reading', 60).defined('The reading is missing.'),
  unit: shortText('unit', 24).defined('The unit is missing.'),
  hands,
  parts: textsByKey(12, 60).typeError('The parts of the reading could not be read.').nullable().default(null),
}).noUnknown();

export const askedWords = object({ hands }).noUnknown();

export const whichInstrument = object({
  size: needed('size', 60),
  unit: needed('unit', 24),
  percent: needed('relative uncertainty', 60),
}).noUnknown();

export type NewSetting = InferType<typeof newSetting>;
export type NewAttempt = InferType<typeof newAttempt>;
export type WhichInstrument = InferType<typeof whichInstrument>;
export type AskedWords = InferType<typeof askedWords>;
