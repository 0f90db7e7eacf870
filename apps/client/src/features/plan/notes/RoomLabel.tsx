import { type LabelSays, type Room } from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const {
  Written,
  HATCHES,
  DropMenu,
  LABEL_PARTS,
  LABEL_SIZES,
  capital,
  edit,
  selectRoom,
  useAppDispatch,
  useAppSelector,
} = lent();

const SAID: Readonly<Record<(typeof LABEL_PARTS)[number], string>> = {
  name: 'Name',
  area: 'Area',
  size: 'Size',
  height: 'Ceiling height',
  covering: 'Floor covering',
  text: 'Own text',
};
const LARGER = 1.2;

/** What the label of a room says and how: of this room alone, or of all. */
export default function RoomLabel() {
  const dispatch = useAppDispatch();
  const room = useAppSelector(selectRoom)?.room;
  const labels = useAppSelector((state) => state.plan.plan!.job.labels);
  const [whose, setWhose] = useState<'all' | 'one'>(room?.says ? 'one' : 'all');
  if (!room) return null;
  const says = whose === 'one' ? (room.says ?? labels) : labels;
  const say = (to: LabelSays) =>
    whose === 'one'
      ? dispatch(edit({ kind: 'changeLabel', room: room.id, to: { says: to } }))
      : dispatch(edit({ kind: 'changeJob', details: { labels: to } }));
  const change = (to: Partial<Pick<Room, 'labelSize' | 'labelTurn' | 'text' | 'covering'>>) =>
    dispatch(edit({ kind: 'changeLabel', room: room.id, to }));
  const has = (part: (typeof LABEL_PARTS)[number]) => says.shows.includes(part);
  const sized = (times: number) =>
    change({ labelSize: Math.min(LABEL_SIZES.most, Math.max(LABEL_SIZES.least, room.labelSize * times)) });
  return (
    <View testID="room-label">
      <ListBar>
        <BarButton label="All rooms" chosen={whose === 'all'} onPress={() => setWhose('all')} />
        <BarButton label="This room" chosen={whose === 'one'} onPress={() => setWhose('one')} />
        <BarButton
          icon="undo-variant"
          label="Reset"
          says="Label as all have it"
          onPress={() => {
            dispatch(edit({ kind: 'changeLabel', room: room.id, to: 'reset' }));
            setWhose('all');
          }}
        />
      </ListBar>
      <ListBar>
        {LABEL_PARTS.map((part: (typeof LABEL_PARTS)[number]) => (
          <BarButton
            key={part}
            label={SAID[part]}
            chosen={has(part)}
            onPress={() =>
              say({
                ...says,
                shows: LABEL_PARTS.filter((each: typeof part) => (each === part ? !has(part) : has(each))),
              })
            }
          />
        ))}
        <BarButton label="Both units" chosen={says.both} onPress={() => say({ ...says, both: !says.both })} />
      </ListBar>
      <ListBar>
        <BarIcon icon="minus" says="Smaller label" onPress={() => sized(1 / LARGER)} />
        <BarIcon icon="plus" says="Larger label" onPress={() => sized(LARGER)} />
        <BarIcon
          icon="format-rotate-90"
          says="Turn the label a quarter"
          onPress={() => change({ labelTurn: room.labelTurn === 0 ? -90 : 0 })}
        />
        <DropMenu
          icon="texture-box"
          label={room.hatch ? capital(room.hatch) : 'Plain floor'}
          says={`Floor drawn as: ${room.hatch ?? 'plain'}`}
          entries={[null, ...HATCHES].map((hatch) => ({
            title: hatch ? capital(hatch) : 'Plain',
            icon: hatch === room.hatch ? 'check' : 'blank',
            onPress: () => dispatch(edit({ kind: 'hatch', floor: room.floor, of: { room: room.id }, hatch })),
          }))}
        />
      </ListBar>
      <Written
        style={styles.words}
        key={`text ${room.id}`}
        label="Own text"
        value={room.text}
        keep={(text) => change({ text }).ok}
      />
      <Written
        style={styles.words}
        key={`covering ${room.id}`}
        label="Floor covering"
        value={room.covering}
        keep={(covering) => change({ covering }).ok}
      />
    </View>
  );
}

const styles = StyleSheet.create({ words: { marginHorizontal: 10, marginBottom: 8 } });
