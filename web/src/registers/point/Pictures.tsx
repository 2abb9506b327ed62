import { addressOf } from '@fonte/core/endpoints';
import { pictureFile, pictureRecord, type PictureOfRecord } from '@fonte/core/pictures';
import { pointPicture } from '@fonte/core/scout';
import { Image } from 'antd';
import { useAnswer } from '../../api/useAnswer.ts';
import { Pointed } from '../../book/picture/Pointed.tsx';
import { useKeptFile } from '../../book/files.ts';
import { siteZone, showMoment } from '../../time/show.ts';

/** The pictures that were taken here, the newest first. */
export function Pictures({ point }: { point: string }) {
  const { data = [] } = useAnswer(pictureRecord, { in: { point } });
  if (data.length === 0) return null;
  return (
    <Image.PreviewGroup>
      <ul className="plain point-pictures" aria-label="Pictures">
        {data.slice(0, 6).map((picture) => (
          <Taken key={picture.sha256} picture={picture} point={point} />
        ))}
      </ul>
    </Image.PreviewGroup>
  );
}

/** Where a picture is had from: the round in which it was taken, or the point that somebody looked at without one. */
const addressFor = ({ round, sha256 }: PictureOfRecord, point: string) =>
  round === null ? addressOf(pointPicture, { in: { point, sha256 } }) : addressOf(pictureFile, { in: { round, sha256 } });

function Taken({ picture, point }: { picture: PictureOfRecord; point: string }) {
  const { sha256, shows, at, arrow } = picture;
  const src = useKeptFile(sha256, addressFor(picture, point));
  const name = shows || 'Picture';
  return (
    <li>
      {src && (
        <Pointed arrow={arrow}>
          <Image src={src} alt={name} height={150} />
        </Pointed>
      )}
      <p className="small">
        {name} <span className="soft">{showMoment(at, siteZone())}</span>
      </p>
    </li>
  );
}
