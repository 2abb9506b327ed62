import { struck } from '@fonte/core/book';
import { addressOf } from '@fonte/core/endpoints';
import { pointPicture, pointScouted, sayScouted, type Scouted, type ScoutedPicture } from '@fonte/core/scout';
import { Image } from 'antd';
import type { z } from 'zod';
import { useKeptFile } from '../../book/files.ts';
import { penned } from '../../book/pen.ts';
import { Pointed } from '../../book/picture/Pointed.tsx';
import { writeOnce } from '../../book/send.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { FormDialog } from '../../form/FormDialog.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useSession } from '../../session/session.ts';
import { now } from '../../time/clock.ts';
import { siteZone, showMoment } from '../../time/show.ts';
import { useScouted } from './useScouted.ts';
import '../point/point.css';

/** So much of it is told. */
const told = 5;

interface Props {
  point: string;
  mayStrike?: boolean;
  /** False where its pictures stand among the others of the point. */
  isPictured?: boolean;
}

/** What was seen at a point without a round, the last first. */
export function Seen({ point, mayStrike = false, isPictured = true }: Props) {
  const all = useScouted(point).slice(0, told);
  if (all.length === 0) return null;
  return (
    <section className="stack">
      <h2>Seen without a round</h2>
      <Image.PreviewGroup>
        <ul className="plain stack">
          {all.map((seen) => (
            <li key={seen.entry} className="stack">
              <span className="row between">
                <span>
                  <span className="soft small">{showMoment(seen.at, siteZone())}</span> {sayScouted(seen).join('. ')}
                </span>
                {mayStrike && <Strike seen={seen} point={point} />}
              </span>
              {isPictured && seen.pictures.length > 0 && (
                <ul className="plain point-pictures">
                  {seen.pictures.map((picture) => (
                    <Shown key={picture.sha256} picture={picture} point={point} />
                  ))}
                </ul>
              )}
            </li>
          ))}
        </ul>
      </Image.PreviewGroup>
    </section>
  );
}

function Shown({ picture: { sha256, shows, arrow }, point }: { picture: ScoutedPicture; point: string }) {
  const src = useKeptFile(sha256, addressOf(pointPicture, { in: { point, sha256 } }));
  return (
    <li>
      {src && (
        <Pointed arrow={arrow}>
          <Image src={src} alt={shows || 'Picture'} height={150} />
        </Pointed>
      )}
      {shows && <p className="small">{shows}</p>}
    </li>
  );
}

function Strike(props: { seen: Scouted; point: string }) {
  return (
    <FormDialog type="text" size="small" by={pointScouted.by} open="Strike" title="Strike what was seen">
      {(close) => <StrikeForm {...props} close={close} />}
    </FormDialog>
  );
}

function StrikeForm({ seen, point, close }: { seen: Scouted; point: string; close: () => void }) {
  const { me } = useSession();
  const form = useEntryForm<{ reason: string }, z.output<typeof struck.payload>>({
    keep: `strike.${seen.entry}`,
    initial: { reason: '' },
    schema: struck.payload,
    read: ({ reason }) => ({ value: { entry: seen.entry, kind: pointScouted.kind, reason }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await writeOnce(await penned(struck, payload, { book: point, author: me.person.id, moment: now(), id }), kept);
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Strike it" tone="danger" enter="nothing" className="stack" leave={{ says: 'Leave it', by: close }}>
      <Field name="reason" label="Why" placeholder="wrong point, somebody is on the picture …" />
      <p className="soft small">It stays in the point’s book, struck through, with your initials.</p>
    </EntryForm>
  );
}
