import { arrowDrawn, type Picture } from '@fonte/core/pictures';
import { useRound } from '../book/useRound.ts';
import { May } from '../session/May.tsx';
import { ArrowDialog } from '../book/picture/ArrowDialog.tsx';

/** The arrow of a picture of a visit. */
export function DrawArrow({ picture, src, visit }: { picture: Picture; src: string; visit: string }) {
  const { append } = useRound();
  return (
    <May do={arrowDrawn}>
      <ArrowDialog
        src={src}
        shows={picture.shows}
        arrow={picture.arrow}
        keep={async (arrow) => {
          await append(arrowDrawn, { picture: picture.entry, arrow }, { at: visit });
        }}
      />
    </May>
  );
}
