import { createContext, useContext, useEffect, useState } from 'react';
import { cssVariables, type Variant } from './tokens.ts';

const key = 'fonte.light';
export const variants: readonly Variant[] = ['day', 'night', 'sun'];

export const VariantContext = createContext<{ variant: Variant; choose: (variant: Variant) => void }>({
  variant: 'day',
  choose: () => undefined,
});
export const useVariant = () => useContext(VariantContext);

/** The chosen light, kept on this device, and laid on the document as CSS variables. */
export function useVariantState() {
  const [variant, setVariant] = useState<Variant>(() => variants.find((known) => known === localStorage.getItem(key)) ?? 'day');
  useEffect(() => {
    for (const [name, value] of Object.entries(cssVariables(variant))) document.documentElement.style.setProperty(name, value);
    document.documentElement.dataset['light'] = variant;
  }, [variant]);
  const choose = (chosen: Variant) => {
    localStorage.setItem(key, chosen);
    setVariant(chosen);
  };
  return { variant, choose };
}
