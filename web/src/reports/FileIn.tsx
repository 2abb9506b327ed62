import { keepBrought, reportFileTypes } from '@fonte/core/read';
import { Button, Upload } from 'antd';
import { useState } from 'react';
import { call } from '../api/call.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { PasteIn } from '../read/index.ts';
import { readDraft } from '../units/drafts.ts';

export interface KeptFile {
  sha256: string;
  name: string;
}

/** The file of a report, chosen on the device or pasted as text. */
export function FileIn({ keep, file, set }: { keep: string; file: KeptFile | undefined; set: (file: KeptFile) => void }) {
  const { busy, run, say } = useAction();
  const [isPasting, setPasting] = useState(() => readDraft(`pasted.${keep}`) !== null);
  const take = async (chosen: File) => set({ ...(await call(keepBrought, { body: chosen })), name: chosen.name.slice(0, 200) });
  return (
    <section className="panel stack" aria-label="File">
      <div className="row between">
        <p>{file ? <span className="strong">{file.name}</span> : 'CSV, Excel workbook, PDF, message or text, as the lab sent it.'}</p>
        <div className="row">
          <Upload
            accept={Object.values(reportFileTypes).flat().join(',')}
            showUploadList={false}
            beforeUpload={(chosen) => {
              void run(() => take(chosen));
              return false;
            }}
          >
            <Button size="large" type={file ? 'default' : 'primary'} loading={busy}>
              {file ? 'Another file' : 'Choose the file'}
            </Button>
          </Upload>
          <Button size="large" onClick={() => setPasting(true)}>
            Paste text
          </Button>
        </div>
      </div>
      <Said say={say} />
      {isPasting && <PasteIn keep={keep} take={take} done={() => setPasting(false)} />}
    </section>
  );
}
