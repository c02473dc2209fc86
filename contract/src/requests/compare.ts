import { object, type InferType } from 'yup';
import { clientId, named, needed } from './fields';
import { isScreen } from '../screens';

/** A comparison to be kept under a name; its address says which groups of what. */
export const newComparison = object({
  id: clientId,
  name: named('name', 80),
  address: needed('address', 8000).test(
    'compares',
    'The address is none of a comparison.',
    (address) => address !== undefined && leadsToComparison(address),
  ),
}).noUnknown();

const leadsToComparison = (address: string): boolean => {
  const [path = ''] = address.split('?');
  return isScreen(path) && /^\/(class\/[^/]+|stock)\/compare(\/|$)/.test(path);
};

export type NewComparison = InferType<typeof newComparison>;
