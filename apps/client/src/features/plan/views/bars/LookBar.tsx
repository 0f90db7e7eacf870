import { BarButton } from '../../../../ui/BarButton';
import type { HouseToDraw } from '../../../../workers/raise.worker';
import { lent } from '../../later/lent';
import type { Pose } from '../gait';
import type { How } from '../space/things';
import { Bar } from './Bar';
import { CutAt } from './CutAt';
import { KeepView } from './KeepView';
import { type Light, LookButtons } from './LookButtons';

const { DropMenu, floorsInOrder, useAppSelector } = lent();

/** What shows of the house from outside. */
export function LookBar({
  house,
  how,
  setHow,
  cut,
  setCut,
  now,
  kept,
  time,
  toSun,
  toFinish,
}: Light & {
  house: HouseToDraw | null;
  how: How;
  setHow(to: Partial<How>): void;
  cut: number | null;
  setCut(mm: number | null): void;
  now(): Pose;
  kept(id: string): void;
}) {
  const plan = useAppSelector((state) => state.plan.plan)!;
  const floors = floorsInOrder(plan);
  const rooms = house?.walkable.floors.filter(({ floor }) => how.floor === null || floor === how.floor) ?? [];
  const roomName = rooms.flatMap((floor) => floor.rooms).find(({ room }) => room === how.room)?.name;
  const choice = (title: string, on: boolean, onPress: () => void) => ({
    title,
    icon: on ? 'check' : 'blank',
    onPress,
  });
  return (
    <Bar>
      {floors.length > 1 && (
        <DropMenu
          icon="menu-down"
          label={floors.find(({ id }) => id === how.floor)?.name ?? 'All floors'}
          says="Which floor is shown. Change."
          entries={[
            choice('All floors', how.floor === null, () => setHow({ floor: null, room: null })),
            ...floors.map(({ id, name }) => choice(name, how.floor === id, () => setHow({ floor: id, room: null }))),
          ]}
        />
      )}
      <DropMenu
        icon="menu-down"
        label={roomName ?? 'All rooms'}
        says="Which room is shown. Change."
        entries={[
          choice('All rooms', how.room === null, () => setHow({ room: null })),
          ...rooms.flatMap((floor) =>
            floor.rooms.map(({ room, name }) => choice(name, how.room === room, () => setHow({ room }))),
          ),
        ]}
      />
      <BarButton label="Open side" chosen={how.openSide} onPress={() => setHow({ openSide: !how.openSide })} />
      <BarButton
        label="See through"
        says="See through walls"
        chosen={how.seeThrough}
        onPress={() => setHow({ seeThrough: !how.seeThrough })}
      />
      <BarButton
        label="Furnished"
        says="With what stands loose in the rooms"
        chosen={how.furnished}
        onPress={() => setHow({ furnished: !how.furnished })}
      />
      {floors.length > 1 && how.floor === null && (
        <BarButton
          label="Apart"
          says="Floors drawn apart"
          chosen={how.apart}
          onPress={() => setHow({ apart: !how.apart })}
        />
      )}
      <CutAt cut={cut} cutAt={setCut} />
      <LookButtons time={time} toSun={toSun} toFinish={toFinish} />
      <KeepView now={now} shown={how} outside kept={kept} time={time} />
    </Bar>
  );
}
