// @vitest-environment jsdom
import '../../test/dom.ts';
import { parameter, parameterIds } from '@fonte/core/parameters';
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { ParameterSelect } from './ParameterSelect.tsx';

const shown = () => [...document.querySelectorAll('.ant-select-item-option-content')].map((one) => one.textContent);
const typed = (text: string) => fireEvent.change(screen.getByRole('combobox'), { target: { value: text } });

describe('the choice of a parameter', () => {
  it.each([
    ['PFOS', 'PFOS (µg/L)'],
    ['79-01-6', 'Trichloroethene (µg/L)'],
    ['perfringens', 'Clostridium perfringens (/100 mL)'],
  ])('finds %s', (text, found) => {
    const chosen = vi.fn();
    render(<ParameterSelect withUnit open virtual={false} onChange={chosen} />);
    typed(text);
    expect(shown()).toEqual([found]);
    fireEvent.click(document.querySelector('.ant-select-item-option-content')!);
    const [id] = chosen.mock.calls[0] as [(typeof parameterIds)[number]];
    expect(found.startsWith(parameter(id).name)).toBe(true);
  });

  it('offers every one of them', () => {
    render(<ParameterSelect open virtual={false} />);
    expect(shown().length).toBe(parameterIds.length);
  });
});
