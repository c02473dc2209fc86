import { levels, type Band } from '@green-beam/core';
import { BandsField } from './BandsField';
import { levelNames } from '../levels';
import { Check, Choice, Text, useAt, Whole, YesNo } from './bound';

export function About() {
  const [bands, setBands] = useAt<readonly Band[] | null>('bands');
  return (
    <section aria-label="About" className="grid gap-3 sm:grid-cols-2">
      <Text name="title" label="Title" />
      <Text name="object" label="Object" />
      <Text name="aim" label="Aim" long className="sm:col-span-2" />
      <Text name="route" label="Why this route" long className="sm:col-span-2" />
      <Whole name="minutes" label="Minutes that it takes" />
      <Choice
        name="level"
        label="Level"
        choices={[['', 'not said'], ...levels.map((level) => [level, levelNames[level]] as const)]}
      />
      <YesNo
        name="supplied"
        label="Numbers that the teacher supplies"
        yes="may stand in a trial, marked as supplied"
        no="are refused"
      />
      <Choice
        name="secondLook"
        label="Second look"
        choices={[
          ['students', 'students see it before they hand in'],
          ['teacher', 'only staff see it'],
        ]}
      />
      <Check
        name="workedApart"
        label="Each reader works the columns for themselves; a partner’s value is covered until then"
        className="sm:col-span-2"
      />
      <BandsField bands={bands} onChange={setBands} />
    </section>
  );
}
