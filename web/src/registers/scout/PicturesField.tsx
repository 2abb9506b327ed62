import { CameraOutlined } from '@ant-design/icons';
import { addressOf } from '@fonte/core/endpoints';
import { mostPictures, pointPicture, type ScoutedPicture } from '@fonte/core/scout';
import { Button, Input, Upload } from 'antd';
import { dropFile, keepFile, useKeptFile } from '../../book/files.ts';
import { Pointed } from '../../book/picture/Pointed.tsx';
import { Said } from '../../feedback/Said.tsx';
import { useAction } from '../../feedback/useAction.ts';
import { ArrowDialog } from '../../book/picture/ArrowDialog.tsx';
import { shrunk } from '../../book/picture/shrink.ts';

interface Props {
  point: string;
  value?: ScoutedPicture[];
  onChange?: (pictures: ScoutedPicture[]) => void;
}

/** Pictures of a point, each kept on this device as soon as it is chosen, with what it shows and an arrow at it. */
export function PicturesField({ point, value = [], onChange = () => undefined }: Props) {
  const { busy, run, say } = useAction();
  const take = (file: File) =>
    run(async () => {
      const kept = await keepFile({ point }, await shrunk(file));
      if (!value.some(({ sha256 }) => sha256 === kept.sha256)) onChange([...value, { ...kept, shows: '', arrow: null }]);
    });
  const change = (sha256: string, to: Partial<ScoutedPicture>) =>
    onChange(value.map((one) => (one.sha256 === sha256 ? { ...one, ...to } : one)));
  return (
    <div className="stack">
      {value.length > 0 && (
        <ul className="plain point-pictures">
          {value.map((picture) => (
            <li key={picture.sha256} className="stack">
              <Taken
                point={point}
                picture={picture}
                change={(to) => change(picture.sha256, to)}
                remove={() => {
                  onChange(value.filter((one) => one !== picture));
                  void dropFile(picture.sha256).catch(() => undefined);
                }}
              />
            </li>
          ))}
        </ul>
      )}
      {value.length < mostPictures && (
        <Upload
          accept="image/*"
          showUploadList={false}
          beforeUpload={(file) => {
            void take(file);
            return false;
          }}
        >
          <Button size="large" icon={<CameraOutlined />} loading={busy}>
            {value.length === 0 ? 'Take a picture' : 'Take one more'}
          </Button>
        </Upload>
      )}
      <Said say={say} />
    </div>
  );
}

function Taken({
  point,
  picture: { sha256, shows, arrow },
  change,
  remove,
}: {
  point: string;
  picture: ScoutedPicture;
  change: (to: Partial<ScoutedPicture>) => void;
  remove: () => void;
}) {
  const src = useKeptFile(sha256, addressOf(pointPicture, { in: { point, sha256 } }));
  return (
    <>
      {src && (
        <Pointed arrow={arrow}>
          <img src={src} alt={shows || 'Picture'} height={150} />
        </Pointed>
      )}
      <Input
        aria-label="What it shows"
        placeholder="which outlet, from where"
        maxLength={200}
        value={shows}
        onChange={(event) => change({ shows: event.target.value })}
      />
      <span className="row">
        {src && <ArrowDialog src={src} shows={shows} arrow={arrow} keep={(drawn) => change({ arrow: drawn })} />}
        <Button size="small" type="text" onClick={remove}>
          Leave it out
        </Button>
      </span>
    </>
  );
}
