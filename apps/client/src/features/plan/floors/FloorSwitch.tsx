import { floorsInOrder } from '@velvet-tape/core';
import { useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { DropMenu } from '../../../ui/DropMenu';
import { goToFloor } from '../commands';
import { planActions } from '../plan-slice';

/** Which floor is looked at, in reach of the thumb: to another one, or to all of them, where they are added and looked after. */
export function FloorSwitch({ colour }: { colour?: string }) {
  const dispatch = useAppDispatch();
  const floor = useAppSelector((state) => state.plan.floor);
  const own = useAppSelector((state) => state.plan.plan?.floors);
  const floors = useMemo(() => (own ? [...floorsInOrder({ floors: own })].reverse() : []), [own]);
  return (
    <DropMenu
      icon="layers-outline"
      {...(colour && { iconColor: colour })}
      says={`Floor: ${own?.[floor]?.name ?? ''}`}
      entries={[
        ...floors.map(({ id, name }) => ({
          title: name,
          icon: id === floor ? 'check' : 'blank',
          onPress: () => dispatch(goToFloor(id)),
        })),
        { title: 'All floors, add one', icon: 'plus', onPress: () => dispatch(planActions.listed('floors')) },
      ]}
    />
  );
}
