import type { DayAndTime } from '@velvet-tape/core/sun';
import { BarButton } from '../../../../ui/BarButton';
import { lent } from '../../later/lent';
import type { Pose } from '../gait';
import { useHouse } from '../raising';
import type { Shown } from '../space/things';
import { nameFor, placeOf } from '../vantage-view';

const { edit, planActions, useAppDispatch, useAppSelector, vantagesInOrder } = lent();

/** Keeps the way one looks now as a vantage. */
export function KeepView({
  now,
  time,
  shown,
  outside,
  kept,
}: {
  now(): Pose;
  time: DayAndTime | null;
  shown: Pick<Shown, 'openSide' | 'furnished' | 'floor'>;
  outside: boolean;
  kept(id: string): void;
}) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const house = useHouse();
  const keep = () => {
    const pose = now();
    const place = house && placeOf(pose, house.walkable);
    if (!place) {
      dispatch(planActions.said({ text: 'There is no floor yet that it could be over.', tone: 'refused' }));
      return;
    }
    const taken = vantagesInOrder(plan).map(({ name }) => name);
    const result = dispatch(
      edit({
        kind: 'addVantage',
        name: nameFor(pose, house.walkable, outside, taken),
        view: {
          ...place,
          ...(outside && shown.floor !== null && { floor: shown.floor }),
          ...{ lens: outside ? 26 : 20, uprights: !outside, openSide: outside && shown.openSide },
          ...{ alone: outside && shown.floor !== null, furnished: shown.furnished, sun: time },
        },
      }),
    );
    if (result.ok && result.made) kept(result.made);
  };
  return <BarButton icon="pin-outline" label="Keep" says="Keep this view as a vantage" onPress={keep} />;
}
