import { pointPlaces, type Point } from '@fonte/core/registers';
import { useAnswer } from '../api/useAnswer.ts';

type State = Point['outOfUse'];

/** Whether a point of a round is out of use by the register as it is now; by the round's own copy of it until that is known. */
export function useOutOfUse(): (point: Point) => State {
  const { data } = useAnswer(pointPlaces, {}, { revalidateOnFocus: false });
  return (point) => {
    const place = data?.find(({ id }) => id === point.id);
    if (!place) return point.outOfUse;
    return place.whyOut === null ? undefined : { ...point.outOfUse, reason: place.whyOut };
  };
}
