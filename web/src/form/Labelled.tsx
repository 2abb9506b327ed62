import { useId, type ReactNode } from 'react';

interface Props {
  label: string;
  error?: string | undefined;
  /** The control, given the id that its label points to. */
  children: (id: string) => ReactNode;
}

/** A control with its label above it and what is wrong with it below. */
export function Labelled({ label, error, children }: Props) {
  const id = useId();
  return (
    <div className="typed">
      <label htmlFor={id}>{label}</label>
      {children(id)}
      {error && <p className="field-error">{error}</p>}
    </div>
  );
}
