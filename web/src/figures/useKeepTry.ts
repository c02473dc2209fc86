import { paths, type NewRearranged, type NewSpotted } from '@green-beam/contract';
import { useOutbox } from '../outbox/OutboxContext';
import { useKeeping } from '../outbox/useKeeping';

type Given<Body> = Omit<Body, 'id'>;

/**
 * Keeps tries at what the page asked by itself, so that they tell what somebody can do: through the outbox, for the page has
 * judged them already and needs no answer. `trouble` is what to say where one could not be kept.
 */
export function useKeepTry() {
  const outbox = useOutbox();
  const [keeping, trouble] = useKeeping();
  const keep = (path: string, given: object) => {
    const id = crypto.randomUUID();
    void keeping(outbox.add({ id, path, body: { id, ...given } }));
  };
  return {
    trouble,
    keepRearranged: (given: Given<NewRearranged>) => keep(paths.rearranged, given),
    keepSpotted: (given: Given<NewSpotted>) => keep(paths.spotted, given),
  };
}
