import {
  breakWords,
  fileWords,
  holdsHead,
  isGood,
  readBookFile,
  signatureWords,
  verifyBookFile,
  type BookFile,
  type VerifiedFile,
} from '@fonte/core/book';
import { readHead } from '@fonte/core/custody';
import { filesNamed, kindOf, titleOf } from '@fonte/core/round';
import { InboxOutlined } from '@ant-design/icons';
import { Input, Upload } from 'antd';
import { useState } from 'react';
import { ByCamera } from '../feedback/ByCamera.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { Mark } from '../theme/Mark.tsx';
import { isSignedBy } from './prove.ts';

/** Whether a book that was handed out is whole, and by whom its entries are. Nothing of it leaves this device, and no server is asked. */
export function VerifyPage() {
  const [file, setFile] = useState<{ name: string; book: BookFile } | null>(null);
  const [verified, setVerified] = useState<VerifiedFile | null>(null);
  const [witness, setWitness] = useState('');
  const { busy, run, say } = useAction();
  const head = readHead(witness);
  const open = (chosen: File) =>
    void run(async () => {
      setVerified(null);
      const book = readBookFile(await chosen.text());
      setFile({ name: chosen.name, book });
      setVerified(await verifyBookFile(book, null, { kindOf, prove: isSignedBy, filesOf: filesNamed }));
    });
  // Compared as it is typed, however long the signatures of a long book take: they do not hang on it.
  const isWitnessed = file && head ? holdsHead(file.book.entries, head) : null;
  return (
    <div className="stack-wide">
      <header className="stack">
        <h1>Verify a book</h1>
        <p className="soft">Nothing of it leaves this device, and no server is asked.</p>
      </header>
      <Upload.Dragger
        accept=".json,application/json"
        showUploadList={false}
        disabled={busy}
        beforeUpload={(chosen) => {
          open(chosen);
          return false;
        }}
      >
        <p>
          <InboxOutlined /> Drop a book that was handed out here, or choose it
        </p>
      </Upload.Dragger>
      <div className="stack">
        <label className="strong" htmlFor="witness">
          Count and hash, where a paper says them
        </label>
        <div className="row" style={{ flexWrap: 'nowrap' }}>
          <Input
            id="witness"
            size="large"
            value={witness}
            placeholder="120:3f9a…"
            maxLength={140}
            status={witness !== '' && head === null ? 'error' : ''}
            onChange={(event) => setWitness(event.target.value)}
          />
          <ByCamera label="Count and hash of the paper" onRead={setWitness} />
        </div>
        {witness !== '' && head === null && <span className="field-error">A number, a colon and 64 signs from 0 to 9 and a to f.</span>}
      </div>
      <Said say={say} />
      {file && verified && <Verdict name={file.name} book={file.book} verified={{ ...verified, isWitnessed }} />}
    </div>
  );
}

/** What came with a book beside its entries. */
function saysFiles(files: VerifiedFile['files']): string {
  if (files === null) return 'Its pictures and files were not handed out with it.';
  if (files.named === 0) return 'Its entries name no pictures or files.';
  return files.named === 1
    ? 'The one file that an entry names came with it.'
    : `All ${files.named} pictures and files that its entries name came with it.`;
}

function Verdict({ name, book, verified }: { name: string; book: BookFile; verified: VerifiedFile }) {
  const good = isGood(verified);
  const { breaks, signatures, isWhole, isWitnessed, head, files } = verified;
  const entryOf = (id: string) => book.entries.find((entry) => entry.id === id);
  const said = (seq: number, id: string) => {
    const entry = entryOf(id);
    return `Entry ${seq}${entry ? `, ${titleOf(entry).toLowerCase()}` : ''}`;
  };
  return (
    <section className={`finding ${good ? 'good' : 'stop'} stack`} role="status" aria-labelledby="verdict">
      <Mark kind={good ? 'good' : 'stop'} />
      <h2 id="verdict">{good ? `${name} is whole` : `${name} is not what was written`}</h2>
      <ul className="plain stack">
        {breaks.map(({ seq, id, code }) => (
          <li key={`${seq} ${code}`}>
            {said(seq, id)}: {breakWords[code]}.
          </li>
        ))}
        {signatures.faults.map(({ seq, id, code }) => (
          <li key={`${seq} ${code}`}>
            {said(seq, id)}: {signatureWords[code]}.
          </li>
        ))}
        {(files?.faults ?? []).map(({ seq, id, code }, place) => (
          <li key={`${seq} ${code} ${place}`}>
            {said(seq, id)}: {fileWords[code]}.
          </li>
        ))}
        {!isWhole && <li>It does not end where it says.</li>}
        {isWitnessed === false && <li>It is not the book of which the paper tells.</li>}
        {isWitnessed === true && <li>It holds what the paper tells of it.</li>}
      </ul>
      <p>
        {head ? `${head.count} entries; the last has the hash ${head.hash.slice(0, 16)}….` : 'It is empty.'} {signatures.signed} are signed
        by the devices that wrote them, {signatures.byServer} are the server’s own
        {signatures.unsigned > 0 ? `, ${signatures.unsigned} are from before devices signed, and prove nothing of who wrote them` : ''}
        {signatures.unreadable > 0 ? `, ${signatures.unreadable} had a name taken away since, as the book records` : ''}.
      </p>
      {files?.faults.length ? null : <p className="small">{saysFiles(files)}</p>}
      {book.devices.length > 0 && (
        <p className="small">
          {book.devices
            .map(({ name: called, people }) => {
              const on = people.map(({ person }) => book.people.find(({ id }) => id === person)?.name ?? 'somebody').join(', ');
              return `${called}: ${on}`;
            })
            .join('. ')}
          .
        </p>
      )}
    </section>
  );
}
