/** What went wrong with the last thing a person did, beside the button that did it. */
export function Said({ say }: { say: string | null }) {
  return (
    <div aria-live="assertive">
      {say && (
        <p className="problem" role="alert">
          {say}
        </p>
      )}
    </div>
  );
}
