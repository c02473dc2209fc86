import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { SchoolsTable } from './SchoolsTable';

/** One action at the end of a setting: what other schools would have accepted. */
export function OtherSchools({ settingId }: { readonly settingId: string }) {
  const [asked, setAsked] = useState(false);
  const schools = useQuery({
    queryKey: ['schools', settingId],
    queryFn: () => call(endpoints.presets, { params: { settingId } }),
    enabled: asked,
    staleTime: Infinity,
  });
  return (
    <section aria-label="Other schools" className="border-t border-rule pt-3">
      <Button look="quiet" aria-expanded={asked} onClick={() => setAsked(!asked)}>
        What would other schools accept?
      </Button>
      {asked && schools.data && <SchoolsTable schools={schools.data.schools} />}
      {asked && schools.isError && <p role="alert">{sentenceFor(schools.error)}</p>}
    </section>
  );
}
