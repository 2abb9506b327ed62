import { Button } from 'antd';
import type { ReactNode } from 'react';
import { explain } from '../api/call.ts';

export function Loading({ what }: { what: string }) {
  return (
    <p className="waiting" role="status">
      Opening {what} …
    </p>
  );
}

/** Something could not be read; nothing is lost, and it can be tried again. */
export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  return (
    <div className="problem stack" role="alert">
      <p>{explain(error)}</p>
      {retry && (
        <div>
          <Button onClick={retry}>Try again</Button>
        </div>
      )}
    </div>
  );
}

/** Something that is not there yet, and what to do about it. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="empty">
      <h2>{title}</h2>
      {children}
    </div>
  );
}
