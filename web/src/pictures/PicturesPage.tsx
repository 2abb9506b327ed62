import { CameraOutlined } from '@ant-design/icons';
import { addressOf } from '@fonte/core/endpoints';
import { keepPicture, pictureFile, pictureTaken, type Picture } from '@fonte/core/pictures';
import type { VisitState } from '@fonte/core/round';
import { Button, Image, Input, Upload } from 'antd';
import { call } from '../api/call.ts';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { Labelled } from '../form/Labelled.tsx';
import { showMoment } from '../time/show.ts';
import { useDraft } from '../units/useDraft.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { shrunk } from './shrink.ts';
import './pictures.css';

/** What was seen at a point: the outlet, a label, damage. A picture is kept as soon as it is chosen. */
function PicturesAt({ visit }: { visit: VisitState }) {
  const { id: round, append } = useRound();
  const [shows, setShows, clear, entryId] = useDraft(`picture.${visit.id}`, '');
  const { busy, run, at, say } = useAction();
  const keep = (chosen: File) =>
    run(async () => {
      const kept = await call(keepPicture, { in: { round }, body: await shrunk(chosen) });
      await append(pictureTaken, { ...kept, shows }, { at: visit.id, id: entryId, kept: clear });
    });
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <div className="stack picture-ask">
        <Labelled label="What it shows, before you take it" error={at('shows')}>
          {(field) => (
            <Input
              id={field}
              size="large"
              value={shows}
              maxLength={200}
              placeholder="outlet from below, cracked cap …"
              onChange={(event) => setShows(event.target.value)}
            />
          )}
        </Labelled>
        <Said say={at('shows') ? null : say} />
        <Upload
          accept="image/*"
          showUploadList={false}
          beforeUpload={(chosen) => {
            void keep(chosen);
            return false;
          }}
        >
          <Button type="primary" size="large" icon={<CameraOutlined />} loading={busy}>
            Take a picture
          </Button>
        </Upload>
        <p className="soft small">Without people on it. It is made smaller, and where it was taken is not kept in it.</p>
      </div>
      {visit.pictures.length === 0 ? (
        <Empty title="No picture of this visit yet" />
      ) : (
        <Image.PreviewGroup>
          <ul className="plain pictures">
            {visit.pictures.map((picture) => (
              <Taken key={picture.entry} picture={picture} />
            ))}
          </ul>
        </Image.PreviewGroup>
      )}
    </div>
  );
}

function Taken({ picture }: { picture: Picture }) {
  const { id, round } = useRound();
  const name = picture.shows || 'Picture';
  return (
    <li>
      <Image src={addressOf(pictureFile, { in: { round: id, sha256: picture.sha256 } })} alt={name} />
      <span className="strong">{name}</span>
      <span className="row between small soft">
        <span>
          {showMoment(picture.at, round.plan.zone)}, {picture.sha256.slice(0, 12)}…
        </span>
        <Correct entry={picture.entry} kind={pictureTaken} what={`picture ${name}`} label="Strike" />
      </span>
    </li>
  );
}

export const PicturesPage = atVisit(PicturesAt);
