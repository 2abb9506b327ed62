import { expect, it } from 'vitest';
import { drawStyles } from './drawnStyles.tsx';

it('one sheet serves every light: colours and sizes are variables of the page', () => {
  const [day, night, sun] = (['day', 'night', 'sun'] as const).map((variant) => drawStyles(variant).css);
  expect(night).toBe(day);
  expect(sun).toBe(day);
  expect(day).not.toMatch(/#[0-9a-f]{6}\b/i);
});

it('it holds what is drawn of a component only once it is open, and leaves links as the page has them', () => {
  const { css, of } = drawStyles('day');
  for (const part of ['.ant-modal-mask', '.ant-select-dropdown', '.ant-picker-dropdown', '.ant-popover', '.ant-spin', '.ant-tooltip'])
    expect(css, part).toContain(part);
  expect(of).toContain('progress');
  expect(css).not.toMatch(/[};]a[{:]/);
});
