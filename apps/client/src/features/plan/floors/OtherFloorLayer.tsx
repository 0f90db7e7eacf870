import { pathData } from '@velvet-tape/formats';
import { memo, useMemo } from 'react';
import { useAppSelector } from '../../../store/store';
import { Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { selectOtherFloor } from './other-floor';

const STRENGTH = { off: 0, faint: 0.13, strong: 0.3 } as const;

/** The walls of the floor next below, or above, shining through. */
export const OtherFloorLayer = memo(function OtherFloorLayer({ colours }: { colours: HouseColours }) {
  const other = useAppSelector(selectOtherFloor);
  const strength = useAppSelector((state) => STRENGTH[state.plan.choices.otherFloor]);
  const d = useMemo(
    () =>
      other
        ? pathData(
            other.floor.bodies.map(({ ring }) => ring),
            true,
          )
        : '',
    [other],
  );
  return other && <Path testID="other-floor" d={d} fill={colours.brassDeep} fillOpacity={strength} />;
});
