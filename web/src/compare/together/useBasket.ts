import { useDraft } from '../../outbox/useDraft';

/** Groups that were put aside to be compared with others from elsewhere: each the address of a comparison that shows it alone. */
export function useBasket() {
  const [text, write] = useDraft('compare/together');
  const addresses = text === '' ? [] : text.split('\n');
  const set = (own: readonly string[]) => write([...new Set(own)].join('\n'));
  return {
    addresses,
    put: (more: readonly string[]) => set([...addresses, ...more]),
    takeOut: (address: string) => set(addresses.filter((own) => own !== address)),
    hold: set,
  };
}

/** Where groups of these addresses are compared. */
export const togetherAt = (classId: string, addresses: readonly string[]): string =>
  `/class/${classId}/compare/together?${new URLSearchParams(addresses.map((own) => ['group', own]))}`;
