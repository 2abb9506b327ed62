// @vitest-environment jsdom
import '../../test/dom.ts';
import { render } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { Checked } from './Checked.tsx';

const answer = vi.hoisted(() => ({ data: undefined as object[] | undefined, error: undefined as unknown }));
vi.mock('../api/useAnswer.ts', () => ({ useAnswer: () => answer }));
vi.mock('../book/useRound.ts', () => ({ useRound: () => ({ id: 'r', round: { prepare: [], plan: { zone: 'Atlantic/Azores' } } }) }));
vi.mock('@fonte/core/prepare', async (original) => ({
  ...(await original<object>()),
  kindReadiness: () => 'unchecked',
}));
vi.mock('./Override.tsx', () => ({ Override: () => null }));
vi.mock('react-router', () => ({ Link: () => null }));

const shownWith = (data: object[] | undefined, error?: unknown) => {
  Object.assign(answer, { data, error });
  const { unmount } = render(<Checked kind="probe">the form</Checked>);
  const text = document.body.textContent;
  unmount();
  return text;
};

it('offers no form before it is known whether the instrument has to be checked', () => {
  expect(shownWith(undefined)).toBe('Opening the instruments …');
  expect(shownWith([{ kind: 'probe' }])).toContain('What it reads now would prove nothing.');
  expect(shownWith([])).toBe('the form');
  // Offline, and never asked before: nobody has to have one.
  expect(shownWith(undefined, new Error('offline'))).toBe('the form');
});
