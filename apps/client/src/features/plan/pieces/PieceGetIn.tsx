import type { DerivedFloor, Id, Plan } from '@velvet-tape/core';
import type { PieceOnFloor } from '@velvet-tape/core/pieces';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar, Text, TextInput } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { ask, play, showAt, stop, useGetIn } from './get-in-state';
import { chosenOf, standingNow } from './standing';

const { DropMenu, deriveFloor, formatLength, floorsInOrder, openingSchedule, parseLength, planActions } = lent();
const { selectOption, useAppDispatch, useAppSelector } = lent();

/** Will it get in: through which door, taken apart or not; the answer in words, and on the plan. */
export default function PieceGetIn() {
  const chosen = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector(standingNow);
  const one = chosen.kind === 'piece' ? chosenOf(all, chosen)[0] : undefined;
  return one ? <Asking key={one.piece.id} one={one} /> : null;
}

/** Where it may come from: an opening that leads outside, or a room it is in already. */
interface Entrance {
  readonly id: Id;
  readonly label: string;
  /** As it is offered, and as it is said. */
  readonly title: string;
  readonly says: string;
}

/** What leads outside, of all floors: doors first, the widest before the others; then the rooms. */
function entrancesOf(floors: readonly DerivedFloor[], units: Units): Entrance[] {
  const openings = floors.flatMap((floor) =>
    openingSchedule(floor).filter(({ opening, rooms }) => rooms.includes(null) && opening.form !== 'roof light'),
  );
  const isWindow = ({ opening }: (typeof openings)[number]) => opening.kind === 'window';
  openings.sort((a, b) => Number(isWindow(a)) - Number(isWindow(b)) || b.opening.width - a.opening.width);
  return [
    ...openings.map((each) => ({
      id: each.opening.id,
      label: `Through ${each.label}`,
      title: `${each.label}, ${isWindow(each) ? 'a window, ' : ''}${formatLength(each.opening.width, units)} wide`,
      says: `Comes through ${each.label}`,
    })),
    ...floors.flatMap(({ name: floor, rooms }) =>
      rooms.map(({ room }) => {
        const name = room.name || 'Unnamed room';
        const where = floors.length > 1 ? `${name}, ${floor}` : name;
        return { id: room.id, label: `From ${name}`, title: `From ${where}`, says: `Comes from ${where}` };
      }),
    ),
  ];
}

type Units = Plan['job']['units'];
const SIZES = ['width', 'depth', 'height'] as const;

function Asking({ one }: { one: PieceOnFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const option = useAppSelector(selectOption);
  const { units } = plan.job;
  const { piece } = one;
  const entrances = useMemo(
    () =>
      entrancesOf(
        floorsInOrder(plan).map(({ id }) => deriveFloor(plan, id)),
        units,
      ),
    [plan, units],
  );
  const [from, setFrom] = useState<Id | null>(null);
  const [offHinges, setOffHinges] = useState(false);
  const [apart, setApart] = useState(false);
  const [typed, setTyped] = useState(() => SIZES.map((side) => formatLength(piece[side], units)));
  const state = useGetIn();
  const door = entrances.find(({ id }) => id === from) ?? entrances[0];
  if (!door)
    return (
      <Text style={[styles.says, { color: colours.inkSoft }]}>
        There is no room yet that it could come from, and no door that leads outside.
      </Text>
    );
  const asked = state.question?.piece === piece.id;
  const go = () => {
    const read = typed.map((text) => parseLength(text, units === 'metric' ? 'mm' : 'in'));
    const wrong = apart ? read.find((each) => !each.ok) : undefined;
    if (wrong && !wrong.ok) {
      dispatch(planActions.said({ text: wrong.reason, tone: 'refused' }));
      return;
    }
    const least = Math.min(...read.map((each) => (each.ok ? each.mm : Infinity)));
    if (apart && least < LEAST_CARRIED) {
      const text = `${formatLength(least, units)} is too little for what is carried. Type it with its unit, like 1.2 m.`;
      dispatch(planActions.said({ text, tone: 'refused' }));
      return;
    }
    const [width, depth, height] = read.map((each, i) => (apart && each.ok ? each.mm : piece[SIZES[i]!]));
    const size = { width: width!, depth: depth!, height: height! };
    ask(plan, option, { piece: piece.id, from: door.id, offHinges, size });
  };
  const { answer, progress } = state;
  return (
    <View testID="piece-get-in">
      <ListBar>
        <DropMenu
          icon="menu-down"
          label={door.label}
          says={`${door.says}. Change.`}
          entries={entrances.map((each) => ({
            title: each.title,
            icon: each.id === door.id ? 'check' : 'blank',
            onPress: () => setFrom(each.id),
          }))}
        />
        <BarButton label="Doors off their hinges" chosen={offHinges} onPress={() => setOffHinges(!offHinges)} />
        <BarButton
          label="Legs off"
          says="Legs off, or taken apart: sizes typed"
          chosen={apart}
          onPress={() => setApart(!apart)}
        />
      </ListBar>
      {apart && (
        <ListBar>
          {SIZES.map((side, i) => (
            <TextInput
              key={side}
              mode="outlined"
              dense
              label={LABELS[i]!}
              accessibilityLabel={`${LABELS[i]!} as it is carried`}
              value={typed[i]!}
              onChangeText={(text) => setTyped(typed.map((each, k) => (k === i ? text : each)))}
              style={styles.size}
            />
          ))}
        </ListBar>
      )}
      <ListBar>
        {progress === null ? (
          <BarButton strong label={asked && answer ? 'Try again' : 'Will it get in?'} onPress={go} />
        ) : (
          <BarButton label="Stop" says="Stop trying" onPress={stop} />
        )}
        {asked && answer?.gets && <BarButton label="Play" says="Play the way on the plan" onPress={play} />}
        {asked && answer?.gets && (
          <>
            <BarButton label="−" says="A step back" onPress={() => showAt(state.at - 0.04)} />
            <BarButton label="+" says="A step on" onPress={() => showAt(state.at + 0.04)} />
          </>
        )}
      </ListBar>
      {asked && progress !== null && (
        <View style={styles.bar}>
          <ProgressBar progress={progress} color={colours.brassDeep} />
          <Text style={{ color: colours.inkSoft }}>{`Trying it: ${Math.round(100 * progress)} %`}</Text>
        </View>
      )}
      {asked && answer && (
        <Text role="status" style={[styles.answer, { color: answer.gets ? colours.moss : colours.clay }]}>
          {answer.words}
        </Text>
      )}
      {asked && answer && state.plan !== plan && (
        <Text style={[styles.says, { color: colours.inkSoft }]}>The plan was changed since: try again.</Text>
      )}
      {asked && state.failed && (
        <Text role="alert" style={[styles.answer, { color: colours.clay }]}>
          That could not be tried here. Without a connection it may not be on the device yet.
        </Text>
      )}
      <Text style={[styles.says, { color: colours.inkSoft }]}>
        As a box that does not bend, between walls as they are drawn. Where it says yes there is a way; a hand’s breadth
        may still help where it says no. Chairs are moved aside.
      </Text>
    </View>
  );
}

/** Less than this was typed in another unit, mm. */
const LEAST_CARRIED = 20;

const LABELS = ['Width', 'Depth', 'Height'] as const;

const styles = StyleSheet.create({
  size: { width: 112, fontFamily: FONTS.sans, height: 44 },
  bar: { paddingHorizontal: 14, paddingBottom: 8, gap: 4 },
  answer: { paddingHorizontal: 14, paddingBottom: 8, fontFamily: FONTS.strong, fontSize: 15.5, lineHeight: 20 },
  says: { paddingHorizontal: 14, paddingBottom: 6, fontSize: 13.5, lineHeight: 17 },
});
