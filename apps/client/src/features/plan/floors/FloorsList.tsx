import type { DerivedFloor, Floor } from '@velvet-tape/core';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { AllFloors } from './AllFloors';
import { Carry } from './Carry';

const { Written, deriveFloor, edit, elevationOf, floorBeside, floorHeight, floorsInOrder, formatArea, formatLength } =
  lent();
const { formatLevel, formatSize, goToFloor, overBelow, overBelowInWords, parseLength, planActions, roughly } = lent();
const { useAppDispatch, useAppSelector } = lent();

/** The floors of the house from the highest to the lowest: how high they lie, what is on them; added, named, put in order, carried up, taken away. */
export default function FloorsList(_: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const own = useAppSelector((state) => state.plan.floor);
  const other = useAppSelector((state) => state.plan.choices.otherFloor);
  const [carrying, carry] = useState<{ from: string; side: 'above' | 'below' } | null>(null);
  const [view, look] = useState<'list' | 'side' | 'over'>('list');
  const floors = [...floorsInOrder(plan)].reverse();
  if (carrying && Object.hasOwn(plan.floors, carrying.from))
    return (
      <ListPanel title="What continues" testID="carry" downloads={[]}>
        <Carry plan={plan} {...carrying} done={() => carry(null)} />
      </ListPanel>
    );
  const add = (of: string, side: 'above' | 'below') => {
    const done = dispatch(edit({ kind: 'addFloor', of, side }));
    if (done.ok && done.made) dispatch(planActions.floorChosen(done.made));
    dispatch(planActions.listed('floors'));
  };
  return (
    <ListPanel title="Floors" testID="floors" downloads={[]}>
      <ListBar>
        <BarButton
          icon="arrow-up"
          label="Floor above"
          says="Add a floor above all"
          onPress={() => add(floors[0]!.id, 'above')}
        />
        <BarButton
          icon="arrow-down"
          label="Floor below"
          says="Add a floor below all"
          onPress={() => add(floors.at(-1)!.id, 'below')}
        />
      </ListBar>
      {floors.length > 1 && (
        <ListBar>
          {VIEWS.map(([name, label]) => (
            <BarButton key={name} label={label} chosen={view === name} onPress={() => look(name)} />
          ))}
        </ListBar>
      )}
      {view !== 'list' && floors.length > 1 ? (
        <AllFloors plan={plan} over={view === 'over'} />
      ) : (
        <ScrollView tabIndex={0}>
          {floors.map((floor) => (
            <Row key={floor.id} floor={floor} on={floor.id === own} carry={carry} />
          ))}
          {floors.length > 1 && (
            <View style={styles.through}>
              <Text style={styles.words}>The floor beneath shines through:</Text>
              <ListBar>
                {(['off', 'faint', 'strong'] as const).map((each) => (
                  <BarButton
                    key={each}
                    label={each === 'off' ? 'Not' : each === 'faint' ? 'Faint' : 'Strong'}
                    chosen={other === each}
                    onPress={() => dispatch(planActions.choicesMade({ otherFloor: each }))}
                  />
                ))}
              </ListBar>
            </View>
          )}
        </ScrollView>
      )}
    </ListPanel>
  );
}

/** How exactly outer walls are held to stand over those below (a standard deviation), mm and as said in inches; null: not. */
const HELD = [
  [5, '1/4″'],
  [20, '3/4″'],
  [60, '2 1/2″'],
  [null, ''],
] as const;

const VIEWS = [
  ['list', 'As a list'],
  ['side', 'Side by side'],
  ['over', 'Over each other'],
] as const;

interface RowProps {
  floor: Floor;
  on: boolean;
  carry(what: { from: string; side: 'above' | 'below' }): void;
}

function Row({ floor, on, carry }: RowProps) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const [changing, change] = useState(false);
  const { id, name, height, buildUp, overBelow: held, hidden } = floor;
  const { units } = plan.job;
  const level = elevationOf(plan, id);
  const mark = formatLevel(level, units);
  const { rooms, area, rough } = deriveFloor(plan, id);
  const figures = `${rooms.length} ${rooms.length === 1 ? 'room' : 'rooms'}, ${roughly(rough, formatArea(area, units))}`;
  const toNext = `${formatLength(floorHeight(plan, id), units)} floor to floor, ${height === null ? 'from its ceiling' : 'as read'}`;
  const off = overBelow(plan, id);
  const keepLength = (text: string, change: (mm: number | null) => object, sort: 'small' | 'large'): boolean => {
    const put = (mm: number | null) => dispatch(edit({ kind: 'changeFloor', floor: id, ...change(mm) })).ok;
    if (text.trim() === '') return put(null);
    const read = parseLength(
      text,
      units === 'imperial' ? (sort === 'small' ? 'in' : 'ft') : sort === 'small' ? 'mm' : 'm',
    );
    if (!read.ok) dispatch(planActions.said({ text: read.reason, tone: 'refused' }));
    return read.ok && put(read.mm);
  };
  const copy = () => {
    const added = dispatch(edit({ kind: 'addFloor', of: id, side: 'above', name: `${name}, copy` }));
    if (!added.ok || !added.made) return;
    const { network, openings, solids, stairs } = deriveFloor(plan, id);
    const all = (things: readonly { id: string }[]) => things.map((each) => each.id);
    const walls = all(network.walls);
    const carried = {
      walls,
      openings: all(openings),
      solids: all(solids.map(({ solid }) => solid)),
      stairs: all(stairs.flatMap(({ stair, fromAbove }) => (fromAbove ? [] : [stair]))),
      rooms: all(rooms.map(({ room }) => room)),
    };
    dispatch(edit({ kind: 'carryFloor', from: id, to: added.made, ...carried }));
  };
  return (
    <View style={[styles.row, { borderColor: colours.linenDeep, backgroundColor: on ? colours.linen : 'transparent' }]}>
      <View style={styles.line}>
        <Pressable
          accessibilityRole="button"
          accessibilityLabel={`${name}, ${mark}, ${figures}. Go to it`}
          aria-pressed={on}
          onPress={() => dispatch(goToFloor(id))}
          style={styles.what}
        >
          <Text style={[styles.name, { color: colours.ink }]}>{name}</Text>
          <Text style={[styles.words, { color: colours.inkSoft }]}>
            <Text style={[styles.mark, { color: colours.ink }]}>{mark}</Text>
            {` · ${figures}`}
          </Text>
          <Text style={[styles.words, { color: colours.inkSoft }]}>{toNext}</Text>
        </Pressable>
        <BarIcon
          icon={hidden ? 'eye-off-outline' : 'eye-outline'}
          says={hidden ? `Show ${name}` : `Hide ${name}`}
          onPress={() => dispatch(edit({ kind: 'changeFloor', floor: id, hidden: !hidden }))}
        />
        <BarIcon
          icon="dots-vertical"
          says={`${changing ? 'Less' : 'More'} about ${name}`}
          onPress={() => change(!changing)}
        />
      </View>
      {off.map((each) => (
        <Text key={each.face.key} role="alert" style={[styles.words, styles.off, { color: colours.clay }]}>
          {overBelowInWords(each, units)}
        </Text>
      ))}
      {changing && (
        <View style={styles.does}>
          <Written
            label="Called"
            value={name}
            keep={(text) => dispatch(edit({ kind: 'changeFloor', floor: id, name: text })).ok}
          />
          {height === null && (
            <Written
              label="Ceiling to the floor above"
              value={buildUp === null ? '' : formatSize(buildUp, units)}
              keep={(text) => keepLength(text, (mm) => ({ buildUp: mm }), 'small')}
            />
          )}
          <Written
            label="Floor to floor; empty: from its ceiling"
            value={height === null ? '' : formatLength(height, units)}
            keep={(text) => keepLength(text, (mm) => ({ height: mm }), 'large')}
          />
          {floorBeside(plan, id, 'below') && (
            <>
              <Text style={[styles.words, { color: colours.inkSoft }]}>Outer walls stand over those below within:</Text>
              <ListBar>
                {HELD.map(([mm, imperial]) => (
                  <BarButton
                    key={mm ?? 'not'}
                    label={mm === null ? 'Not held' : units === 'metric' ? `${mm} mm` : imperial}
                    chosen={held === mm}
                    onPress={() => dispatch(edit({ kind: 'changeFloor', floor: id, overBelow: mm }))}
                  />
                ))}
              </ListBar>
            </>
          )}
          <ListBar>
            {rooms.length > 0 && (
              <BarButton icon="content-copy" label="Copy above" says={`Copy ${name} above itself`} onPress={copy} />
            )}
            {rooms.length > 0 &&
              (['above', 'below'] as const).map((side) => (
                <BarButton
                  key={side}
                  icon={side === 'above' ? 'arrow-expand-up' : 'download'}
                  label={side === 'above' ? 'Carry up' : 'Carry down'}
                  says={`Carry ${name} ${side === 'above' ? 'up' : 'down'}`}
                  onPress={() => carry({ from: id, side })}
                />
              ))}
            {(['above', 'below'] as const).map(
              (to) =>
                floorBeside(plan, id, to) && (
                  <BarButton
                    key={to}
                    icon={to === 'above' ? 'arrow-up' : 'arrow-down'}
                    label={to === 'above' ? 'Up' : 'Down'}
                    says={`${name} one ${to === 'above' ? 'up' : 'down'}`}
                    onPress={() => dispatch(edit({ kind: 'moveFloor', floor: id, to }))}
                  />
                ),
            )}
            <BarButton
              icon="delete-outline"
              label="Take away"
              says={`Take ${name} away, with all that is on it`}
              onPress={() => dispatch(edit({ kind: 'removeFloor', floor: id }))}
            />
          </ListBar>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: StyleSheet.hairlineWidth, paddingLeft: 14, paddingVertical: 4 },
  line: { flexDirection: 'row', alignItems: 'center' },
  what: { flex: 1, minHeight: TOUCH, gap: 2 },
  name: { fontFamily: FONTS.serif, fontSize: 18, lineHeight: 24 },
  mark: { fontFamily: FONTS.strong, fontVariant: ['tabular-nums'] },
  words: { fontSize: 14, lineHeight: 19 },
  does: { gap: 8, paddingRight: 14, paddingVertical: 6 },
  through: { padding: 14, gap: 8 },
  off: { paddingRight: 14, paddingVertical: 4 },
});
