import { CameraOutlined } from '@ant-design/icons';
import { addressOf } from '@fonte/core/endpoints';
import { pictureFile, pictureTaken, remarkMade, type Picture } from '@fonte/core/pictures';
import type { VisitState } from '@fonte/core/round';
import { Button, Image, Upload } from 'antd';
import { useRef } from 'react';
import { Correct } from '../book/Correct.tsx';
import { keepFile, useKeptFile } from '../book/files.ts';
import { Pointed } from '../book/picture/Pointed.tsx';
import { useRound } from '../book/useRound.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { showMoment } from '../time/show.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { DrawArrow } from './DrawArrow.tsx';
import { shrunk } from '../book/picture/shrink.ts';
import './pictures.css';

/** What was seen at a point: the outlet, a label, damage. A picture is kept as soon as it is chosen. */
function PicturesAt({ visit }: { visit: VisitState }) {
  const {
    id: round,
    append,
    round: { plan },
  } = useRound();
  const chosen = useRef<File | null>(null);
  const form = useEntryForm<{ shows: string }, { shows: string }>({
    keep: `picture.${visit.id}`,
    initial: { shows: '' },
    schema: pictureTaken.payload.pick({ shows: true }),
    write: async ({ shows }, { id, kept: done }) => {
      if (!chosen.current) return;
      const kept = await keepFile({ round }, await shrunk(chosen.current));
      await append(pictureTaken, { ...kept, shows }, { at: visit.id, id, kept: done });
    },
  });
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <EntryForm
        of={form}
        by={pictureTaken.by}
        enter="nothing"
        className="stack picture-ask"
        beside={
          <Upload
            accept="image/*"
            showUploadList={false}
            beforeUpload={(file) => {
              chosen.current = file;
              form.form.submit();
              return false;
            }}
          >
            <Button type="primary" size="large" icon={<CameraOutlined />} loading={form.busy}>
              Take a picture
            </Button>
          </Upload>
        }
      >
        <Field name="shows" placeholder="outlet from below, cracked cap …" />
      </EntryForm>
      <p className="soft small">Without people on it. It is made smaller, and where it was taken is not kept in it.</p>
      {visit.pictures.length === 0 ? (
        <Empty title="No picture of this visit yet" />
      ) : (
        <Image.PreviewGroup>
          <ul className="plain pictures">
            {visit.pictures.map((picture) => (
              <Taken key={picture.entry} picture={picture} visit={visit.id} />
            ))}
          </ul>
        </Image.PreviewGroup>
      )}
      {visit.remarks.length > 0 && (
        <section className="stack">
          <h2>Remarks</h2>
          <ul className="plain stack">
            {visit.remarks.map(({ entry, at, text, about }) => (
              <li key={entry}>
                {text}
                <span className="row between small soft">
                  <span>
                    {showMoment(at, plan.zone)}
                    {about === '' ? '' : `, at “${about}”`}
                  </span>
                  <Correct entry={entry} kind={remarkMade} what={`remark ${text.slice(0, 40)}`} label="Strike" />
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function Taken({ picture, visit }: { picture: Picture; visit: string }) {
  const { id, round } = useRound();
  const name = picture.shows || 'Picture';
  const src = useKeptFile(picture.sha256, addressOf(pictureFile, { in: { round: id, sha256: picture.sha256 } }));
  return (
    <li>
      {src && (
        <Pointed arrow={picture.arrow}>
          <Image src={src} alt={name} />
        </Pointed>
      )}
      <span className="strong">{name}</span>
      <span className="row between small soft">
        <span>
          {showMoment(picture.at, round.plan.zone)}, {picture.sha256.slice(0, 12)}…
        </span>
        {src && <DrawArrow picture={picture} src={src} visit={visit} />}
        <Correct entry={picture.entry} kind={pictureTaken} what={`picture ${name}`} label="Strike" />
      </span>
    </li>
  );
}

export const PicturesPage = atVisit(PicturesAt);
