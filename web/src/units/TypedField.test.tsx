// @vitest-environment jsdom
import '../../test/dom.ts';
import type { Typed } from '@fonte/core/units';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { TypedField } from './TypedField.tsx';

let told: Typed;
function Depth({ error }: { error?: string }) {
  const [value, setValue] = useState<Typed>({ text: '', unit: 'm' });
  told = value;
  return <TypedField label="Depth to water" units={['m', 'ft']} value={value} onChange={setValue} error={error} hint="Below the mark." />;
}
const field = () => screen.getByLabelText<HTMLInputElement>('Depth to water');

it('keeps what is typed as it is typed', () => {
  render(<Depth />);
  fireEvent.change(field(), { target: { value: '7,40' } });
  expect([field().value, told]).toEqual(['7,40', { text: '7,40', unit: 'm' }]);
  expect(field().inputMode).toBe('decimal');
});

it('offers feet and inches as feet, and takes them over at a touch', () => {
  render(<Depth />);
  fireEvent.change(field(), { target: { value: `24' 7 3/8"` } });
  fireEvent.click(screen.getByRole('button', { name: 'Use 24.61 ft' }));
  expect([field().value, told]).toEqual(['24.61', { text: '24.61', unit: 'ft' }]);
  expect(screen.queryByRole('button', { name: /^Use / })).toBeNull();
});

it('says what is wrong in place of its hint, where a screen reader hears it', () => {
  const { rerender } = render(<Depth />);
  expect(screen.getByText('Below the mark.')).toBeTruthy();
  rerender(<Depth error="Must be a number." />);
  expect(screen.queryByText('Below the mark.')).toBeNull();
  expect(field().getAttribute('aria-invalid')).toBe('true');
  const says = document.getElementById(field().getAttribute('aria-describedby')!);
  expect([says?.textContent, says?.getAttribute('aria-live')]).toEqual(['Must be a number.', 'polite']);
});
