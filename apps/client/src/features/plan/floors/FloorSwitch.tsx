import { type Plan, floorsInOrder } from '@velvet-tape/core';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { DropMenu } from '../../../ui/DropMenu';
import { goToFloor } from '../commands';
import { planActions } from '../plan-slice';

/** Which floor is looked at, in reach of the thumb: to another one, or to all of them, where they are added and looked after. */
export function FloorSwitch({ plan, colour }: { plan: Plan; colour?: string }) {
  const dispatch = useAppDispatch();
  const floor = useAppSelector((state) => state.plan.floor);
  const floors = [...floorsInOrder(plan)].reverse();
  return (
    <DropMenu
      icon="layers-outline"
      {...(colour && { iconColor: colour })}
      says={`Floor: ${plan.floors[floor]?.name ?? ''}`}
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
