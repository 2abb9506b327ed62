import { kitPictures, type KitPicture } from '@fonte/core/kit';

/** A step as a drawing; the words beside it say the same. */
export function KitDrawing({ of, size = 120 }: { of: KitPicture; size?: number }) {
  return (
    <svg className="kit-drawing" viewBox="0 0 120 120" width={size} height={size} aria-hidden="true">
      {kitPictures[of].map(({ d, as }) => (
        <path key={d} d={d} className={as} />
      ))}
    </svg>
  );
}
