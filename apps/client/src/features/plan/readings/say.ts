import {
  type Misclosure,
  type Place,
  type Reading,
  misclosureInWords,
  misclosuresOn,
  overBelow,
  overBelowInWords,
  placeOfReading,
} from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import { selectFloor } from '../selectors';
import { LARGE, findMisclosures } from './use-misclosures';

/** A reading was taken: when it contradicts others that is said at once, while the tape is still in the hand. */
export const sayMisclosure =
  (place: Place | null): Command =>
  (dispatch, getState) => {
    const floor = selectFloor(getState());
    if (!floor || !place) return;
    const taken = placeOfReading(place);
    const say = (all: readonly Misclosure[]) => {
      const found = all.find(({ suspects }) =>
        suspects.some(({ reading }) => placeOfReading(reading) === taken || touches(reading, place)),
      );
      // what closes on its own floor may not stand over the one below
      const { plan, floor: id } = getState().plan;
      const off =
        !found && plan
          ? overBelow(plan, id).find((each) => each.suspects.some(({ reading }) => placeOfReading(reading) === taken))
          : null;
      if (off) dispatch(planActions.said({ text: overBelowInWords(off, floor.plan.job.units), tone: 'refused' }));
      if (found) dispatch(planActions.said({ text: misclosureInWords(found, floor.plan.job.units), tone: 'refused' }));
    };
    if (floor.readings.length <= LARGE) say(misclosuresOn(floor));
    else void findMisclosures(floor).then((all) => selectFloor(getState()) === floor && say(all));
  };

const touches = (reading: Reading, place: Place): boolean =>
  [place.from, place.to].some((corner) => corner === reading.from || corner === reading.to);
