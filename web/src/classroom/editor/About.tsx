import type { Investigation } from '@green-beam/core';
import { ChoiceField, TextField } from '../../ui/fields';
import { BandsField } from './BandsField';
import type { Part } from './part';

export function About({ body, change }: Part) {
  return (
    <section aria-label="About" className="grid gap-3 sm:grid-cols-2">
      <TextField label="Title" value={body.title} onChange={(title) => change({ title })} />
      <TextField label="Object" value={body.object} onChange={(object) => change({ object })} />
      <TextField
        label="Aim"
        long
        value={body.aim}
        onChange={(aim) => change({ aim })}
        className="sm:col-span-2"
      />
      <TextField
        label="Why this route"
        long
        value={body.route}
        onChange={(route) => change({ route })}
        className="sm:col-span-2"
      />
      <ChoiceField
        label="Numbers that the teacher supplies"
        value={String(body.supplied)}
        choices={[
          ['true', 'may stand in a trial, marked as supplied'],
          ['false', 'are refused'],
        ]}
        onChange={(value) => change({ supplied: value === 'true' })}
      />
      <ChoiceField
        label="Second look"
        value={body.secondLook}
        choices={[
          ['students', 'students see it before they hand in'],
          ['teacher', 'only staff see it'],
        ]}
        onChange={(value) => change({ secondLook: value as Investigation['secondLook'] })}
      />
      <BandsField bands={body.bands} onChange={(bands) => change({ bands })} />
    </section>
  );
}
