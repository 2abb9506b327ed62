/** What a mark says. Each has a shape of its own, so that colour is never needed to tell them apart. */
export type MarkKind = 'good' | 'question' | 'stop' | 'open' | 'note' | 'live';

const shapes: Record<MarkKind, React.ReactNode> = {
  /** A drop: fine. */
  good: <path d="M10 2c4 5 6 7.5 6 10.5a6 6 0 0 1-12 0C4 9.5 6 7 10 2z" fill="currentColor" />,
  /** A tilted square, half full: look again. */
  question: (
    <>
      <path d="M10 1.5 18.5 10 10 18.5 1.5 10z" fill="none" stroke="currentColor" strokeWidth="2" />
      <path d="M1.5 10h17L10 18.500z" fill="currentColor" />
    </>
  ),
  /** A closed gate: two posts and a bar. */
  stop: <path d="M2 3h4v4h8V3h4v14h-4v-4H6v4H2z" fill="currentColor" />,
  /** An open ring: cannot be told. */
  open: <path d="M16.5 6A7.5 7.5 0 1 0 17.5 11" fill="none" stroke="currentColor" strokeWidth="2.5" strokeLinecap="round" />,
  note: <path d="M3 10h14" stroke="currentColor" strokeWidth="2.5" strokeLinecap="round" />,
  /** Two ripples: running. */
  live: (
    <path
      d="M2 7.500c2.7-3.3 5.3 3.3 8 0s5.3 3.3 8 0M2 13.500c2.7-3.3 5.3 3.3 8 0s5.3 3.3 8 0"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinecap="round"
    />
  ),
};

export function Mark({ kind, size = 18 }: { kind: MarkKind; size?: number }) {
  return (
    <svg className={`mark mark-${kind}`} width={size} height={size} viewBox="0 0 20 20" aria-hidden="true">
      {shapes[kind]}
    </svg>
  );
}
