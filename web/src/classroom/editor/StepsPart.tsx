import type { MethodStep } from '@green-beam/core';
import { ListField, TextField } from '../../ui/fields';
import type { Part } from './part';

export function StepsPart({ body, change }: Part) {
  return (
    <ListField<MethodStep>
      title="Method"
      one="step"
      items={body.steps}
      blank={{ text: '' }}
      onChange={(steps) => change({ steps })}
    >
      {(step, set) => (
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label="What is done"
            long
            value={step.text}
            onChange={(text) => set({ text })}
            className="sm:col-span-2"
          />
          <TextField
            label="Precaution: which error it prevents"
            value={step.precaution ?? ''}
            onChange={(text) => set({ precaution: text === '' ? undefined : text })}
          />
          <TextField
            label="Caution: what protects people"
            value={step.caution ?? ''}
            onChange={(text) => set({ caution: text === '' ? undefined : text })}
          />
          <TextField
            label="Minutes of waiting"
            value={step.waitMinutes === undefined ? '' : String(step.waitMinutes)}
            onChange={(text) => set({ waitMinutes: /^\d+$/.test(text) ? Number(text) : undefined })}
          />
        </div>
      )}
    </ListField>
  );
}
