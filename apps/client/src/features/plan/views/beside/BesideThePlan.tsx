import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarIcon } from '../../../../ui/BarButton';
import { Waiting } from '../../../../ui/Waiting';
import { useColours } from '../../../../ui/theme';
import type { HouseToDraw } from '../../../../workers/raise.worker';
import { lent } from '../../later/lent';
import { canDraw } from '../can-draw';
import { Gait } from '../gait';
import { useRaised } from '../raising';
import { Space } from '../space/Space';
import { Studio } from '../space/studio';
import type { Shown } from '../space/things';
import { backgroundOf } from '../vantage-view';
import { openWay, roomsBySize, standIn } from '../walking';
import { NOTHING_YET, NOT_RAISED, NO_WEBGL, Words } from '../Words';
import { CameraMark, type MarkedEye } from './CameraMark';

const { selectFloor, selectOption, useAppSelector } = lent();

const EYE = 1600;
const FROM = { eye: EYE, lens: { mm: 20, uprights: false } };
const SHOWN: Shown = {
  ...{ floor: null, room: null, openSide: false, seeThrough: false, apart: false, furnished: true },
  ...{ sun: null, inside: true },
};

/** Where one stands first on a floor: in its largest room, looking the way that is open. */
function firstIn({ walkable }: HouseToDraw, floor: string): MarkedEye | null {
  const own = walkable.floors.find((each) => each.floor === floor);
  const room = roomsBySize(walkable).find((id) => own?.rooms.some((each) => each.room === id));
  const at = room === undefined ? null : standIn(walkable, room);
  return at && { at, heading: openWay(walkable, at) };
}

/** Beside the plan what one would see from a mark on it: it follows the mark, and all that is done to the plan, also while it is dragged. */
export function BesideThePlan({ close }: { close(): void }) {
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const doing = useAppSelector(({ plan: { preview } }) => preview?.doing ?? null);
  const option = useAppSelector(selectOption);
  const floor = useAppSelector(selectFloor)?.floor ?? null;
  const { house, failed } = useRaised(plan, option, doing);
  const [gait] = useState(() => new Gait());
  const [studio] = useState(() => new Studio());
  const [eyes, setEyes] = useState<Readonly<Record<string, MarkedEye>>>({});
  // it is put down when the house is there, and stays where it was put
  const first = useMemo(() => (house && floor ? firstIn(house, floor) : null), [house, floor]);
  const eye = floor === null ? null : (eyes[floor] ?? first);
  useEffect(() => {
    if (eye) gait.stand(eye.at, eye.heading);
  }, [gait, eye]);
  const put = ({ x, y, heading }: { x: number; y: number; heading: number }) => {
    if (floor === null || !eye) return;
    const elevation = house?.walkable.floors.find((each) => each.floor === floor)?.elevation ?? eye.at.level;
    setEyes({ ...eyes, [floor]: { at: { x, y, level: elevation }, heading } });
  };
  return (
    <>
      {eye && house && <CameraMark eye={eye} put={put} />}
      <View
        testID="small-view"
        aria-label="The house from the mark on the plan"
        style={[styles.panel, { backgroundColor: colours.sheet, borderColor: colours.rim }]}
      >
        {!canDraw() || failed ? (
          <Words text={failed ? NOT_RAISED : NO_WEBGL} />
        ) : !house ? (
          <Waiting />
        ) : !eye ? (
          <Words text={NOTHING_YET} />
        ) : (
          <Space
            house={house}
            shown={SHOWN}
            cut={null}
            from={FROM}
            gait={gait}
            moved={(at, heading) => floor !== null && setEyes({ ...eyes, [floor]: { at, heading } })}
            background={backgroundOf(SHOWN, colours.sheet)}
            studio={studio}
            chosen={null}
            tapped={null}
          />
        )}
        <View style={[styles.close, { backgroundColor: colours.chalk }]}>
          <BarIcon icon="close" says="Close the small view" onPress={close} />
        </View>
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  panel: {
    ...{ position: 'absolute', right: 10, bottom: 10, width: 340, height: 250 },
    ...{ borderWidth: 1, borderRadius: 12, overflow: 'hidden' },
  },
  close: { position: 'absolute', top: 4, right: 4, borderRadius: 12 },
});
