import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { UnitChoice } from './UnitChoice';

const Chooser = () => {
  const [unit, setUnit] = useState('');
  return <UnitChoice choices={['mL', 'g']} unit={unit} disabled={false} onChoose={setUnit} />;
};
const unit = (name: string) => screen.getByRole('radio', { name });

it('chooses no unit beforehand; one that is chosen stays when it is pressed again, and gives way to another', async () => {
  const user = userEvent.setup();
  render(<Chooser />);
  for (const name of ['mL', 'g']) expect(unit(name)).not.toBeChecked();
  await user.click(unit('mL'));
  await user.click(unit('mL'));
  expect(unit('mL')).toBeChecked();
  await user.click(unit('g'));
  expect(unit('g')).toBeChecked();
  expect(unit('mL')).not.toBeChecked();
});
