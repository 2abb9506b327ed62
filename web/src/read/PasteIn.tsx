import { Button, Input } from 'antd';
import { useState } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useDraft } from '../units/useDraft.ts';

/** Letters of a report that is pasted, at most. */
const longest = 500_000;

/** Text of a report, pasted from a message or a page; it is read as a file is. */
export function PasteIn({ keep, take, done }: { keep: string; take: (file: File) => Promise<void>; done: () => void }) {
  const { busy, run, say } = useAction();
  const [text, setText, clear] = useDraft(`pasted.${keep}`, '');
  const [isTried, setTried] = useState(false);
  const isMissing = isTried && text.trim() === '';
  const read = () => {
    setTried(true);
    if (text.trim() === '') return;
    void run(async () => {
      await take(new File([text], 'Pasted text.txt', { type: 'text/plain' }));
      clear();
      done();
    });
  };
  return (
    <section className="stack">
      <h2>Paste text</h2>
      <label className="stack" htmlFor="pasted">
        <span className="soft">The table with its headings, or the lines of a message, each with a name, a number and its unit.</span>
        <Input.TextArea
          id="pasted"
          aria-label="Text of the report"
          value={text}
          maxLength={longest}
          rows={10}
          status={isMissing ? 'error' : ''}

          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {isMissing && <p className="field-error">Paste the text first.</p>}
      <Said say={say} />
      <div className="row">
        <Button type="primary" size="large" loading={busy} onClick={read}>
          Read it
        </Button>
        <Button size="large" onClick={done}>
          Later
        </Button>
      </div>
    </section>
  );
}
