import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { PresetTable } from './PresetTable';

/** One action at the end of a setting: what classes with other house rules would have accepted. */
export function OtherRules({ settingId }: { readonly settingId: string }) {
  const [asked, setAsked] = useState(false);
  const presets = useQuery({
    queryKey: ['presets', settingId],
    queryFn: () => call(endpoints.presets, { params: { settingId } }),
    enabled: asked,
    staleTime: Infinity,
  });
  return (
    <section aria-label="Other house rules" className="border-t border-rule pt-3">
      <Button look="quiet" aria-expanded={asked} onClick={() => setAsked(!asked)}>
        What would other house rules accept?
      </Button>
      {asked && presets.data && <PresetTable presets={presets.data.presets} />}
      {asked && presets.isError && <p role="alert">{sentenceFor(presets.error)}</p>}
    </section>
  );
}
