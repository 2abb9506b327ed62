import { invite, linkTo } from '@fonte/core/access';
import { kitGiven, kitTakenBack, sayPickUp } from '@fonte/core/kit';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Proven } from '../access/index.ts';
import { call } from '../api/call.ts';
import { Reasoned } from '../book/Reasoned.tsx';
import { useRound } from '../book/useRound.ts';
import { pdfOf } from '../feedback/pdf.ts';
import { Said } from '../feedback/Said.tsx';
import { save } from '../feedback/save.ts';
import { useAction } from '../feedback/useAction.ts';
import { useMay } from '../session/May.tsx';
import { siteZone, showMoment } from '../time/show.ts';
import { roomPath } from '../visit/paths.ts';
import { GiveKit } from './GiveKit.tsx';
import { notForHome } from './ways.ts';

/** A round with one point may be given to a household: here, with its link, its sheet and when it is picked up. */
export function KitPanel() {
  const { id, round } = useRound();
  const navigate = useNavigate();
  const may = useMay(kitGiven);
  const { given, putOut } = round.kit;
  const [visit, ...others] = round.visits;
  if (!visit || others.length > 0 || round.givenUp) return null;
  const why = notForHome(visit);
  if (!given) {
    // What was begun by somebody of the house is not given away any more.
    const isBegun = visit.runs.length > 0 || visit.bottles.some(({ filledAt }) => filledAt !== null);
    if (isBegun || visit.point.type !== 'tap') return null;
    if (!may) return why ? null : <p className="soft">People who live here can take this sample themselves. A coordinator gives a kit.</p>;
    return (
      <section className="row between" aria-label="Kit for a household">
        <p className="soft">{why ?? 'The people who live here can take this sample themselves.'}</p>
        {!why && <GiveKit visit={visit} given={null} />}
      </section>
    );
  }
  const isThere = round.bottles.some(({ holder }) => holder?.party.as === 'household');
  // Once the bottles were passed on they are with whoever took them.
  if (!isThere && round.custody.legs.length > 0)
    return (
      <p className="soft" aria-label="Kit for a household">
        Picked up from {given.name}, {showMoment(round.custody.legs[0]!.at, round.plan.zone)}.{putOut?.note && ` They said: ${putOut.note}`}
      </p>
    );
  return (
    <section className="panel stack" aria-label="Kit for a household">
      <div className="row between">
        <h2>With {given.name}</h2>
        <GiveKit visit={visit} given={given} />
      </div>
      <p>Picked up {sayPickUp(given.pickUp)}.</p>
      {putOut && (
        <p>
          Put out {showMoment(putOut.at, round.plan.zone)}.{putOut.note && ` They say: ${putOut.note}`}
        </p>
      )}
      {isThere && (
        <div>
          <Button type="primary" size="large" onClick={() => void navigate(roomPath(id, 'custody', null))}>
            Pick it up
          </Button>
        </div>
      )}
      {may && !putOut && (
        <Proven why="before you let somebody in">
          <ForHousehold person={given.person} name={given.name} />
        </Proven>
      )}
      {!putOut && (
        <p className="small">
          It came back on paper? <Link to={roomPath(id, 'tap', visit.id)}>Enter what the sheet says</Link>, each bottle with the time at
          which it was filled.
        </p>
      )}
      {may && visit.bottles.every(({ filledAt }) => filledAt === null) && (
        <Reasoned
          kind={kitTakenBack}
          stood={null}
          keep={`kit-back.${id}`}
          words={{
            open: 'Take the kit back',
            title: `Take the kit of ${given.name} back`,
            why: 'Why',
            write: 'It is taken back',
            back: 'Leave it there',
            stood: '',
            what: '',
          }}
        >
          <p>We take the sample ourselves then, or nobody does. What the household wrote stays aside.</p>
        </Reasoned>
      )}
    </section>
  );
}

/** The link, which is shown once, and the sheet with it. */
function ForHousehold({ person, name }: { person: string; name: string }) {
  const { id, round } = useRound();
  const { busy, run, say } = useAction();
  const [link, setLink] = useState<{ address: string; until: number } | null>(null);
  const make = () =>
    run(async () => {
      const { token, until } = await call(invite, { in: { person }, body: { round: id } });
      setLink({ address: linkTo(location.origin, token), until });
    });
  const print = () =>
    run(async () => {
      const { kitSheet } = await import('./print/sheet.ts');
      save(await pdfOf(kitSheet(round, link?.address ?? null)), `${round.plan.code}-kit.pdf`);
    });
  return (
    <div className="stack">
      {link ? (
        <>
          <p>
            Give this link to {name}, and to nobody else. It lets in once, until {showMoment(link.until, siteZone())}, and is not shown
            again. It needs a signal to be opened, and none afterwards.
          </p>
          <Input.TextArea aria-label="Link" readOnly autoSize value={link.address} onFocus={(event) => event.target.select()} />
        </>
      ) : (
        <p className="soft">With the link they do it on their phone, with the sheet on paper. A new link makes an earlier one worthless.</p>
      )}
      <Said say={say} />
      <div className="row">
        {link ? (
          <Button size="large" onClick={() => void navigator.clipboard.writeText(link.address)}>
            Copy it
          </Button>
        ) : (
          <Button type={round.aside.length > 0 ? 'default' : 'primary'} size="large" loading={busy} onClick={() => void make()}>
            Make the link
          </Button>
        )}
        <Button size="large" loading={busy} onClick={() => void print()}>
          {link ? 'Sheet with the link, as PDF' : 'Sheet without a link, as PDF'}
        </Button>
      </div>
    </div>
  );
}
