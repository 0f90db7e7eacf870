import { type Plan, type WallFace, formatLength, formatSize, roughly } from '@velvet-tape/core';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { type RootState, useAppDispatch, useAppSelector } from '../../store/store';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { addOpening, flip, loosen, remove, stepWall } from './commands';
import { type Field, planActions } from './plan-slice';
import { selectFace, selectGhost, selectOpening, selectRoom, selectTyped } from './selectors';

const LABEL: Record<Field, string> = {
  length: 'Length',
  thickness: 'Thickness',
  ceiling: 'Ceiling',
  left: 'From left',
  right: 'From right',
  width: 'Width',
  height: 'Height',
  sill: 'Sill',
};

/** What can be typed about what is selected: each field with its value, the one being typed into raised; and what else can be done. */
export function FieldBar() {
  const fields = useFields();
  const selection = useAppSelector((state) => state.plan.selection);
  const field = useAppSelector((state) => state.plan.pad.field);
  if (fields.length === 0) return null;
  return (
    <View>
      <Reading />
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.bar}>
        {fields.map(([name, value]) => (
          <FieldChip key={name} name={name} value={value} on={name === field} />
        ))}
        {selection.kind === 'wall' && <WallActions />}
        {selection.kind === 'opening' && <OpeningActions />}
      </ScrollView>
    </View>
  );
}

function useFields(): [Field, string][] {
  const plan = useAppSelector((state) => state.plan.plan);
  const selection = useAppSelector((state) => state.plan.selection);
  const face = useAppSelector(selectFace);
  const on = useAppSelector(selectOpening);
  const room = useAppSelector(selectRoom);
  if (!plan) return [];
  const { units } = plan.job;
  const long = (mm: number) => formatLength(mm, units);
  if (selection.kind === 'opening' && on && face) {
    const fields: [Field, string][] = [
      ['left', long(on.from)],
      ['width', long(on.to - on.from)],
      ['right', long(face.length - on.to)],
      ['height', long(on.opening.height)],
    ];
    return on.opening.kind === 'window' ? [...fields, ['sill', long(on.opening.sill)]] : fields;
  }
  if (selection.kind === 'wall' && face && room) {
    return [
      ['length', lengthOf(face, plan)],
      ['thickness', thicknessOf(face, plan)],
      ['ceiling', long(room.ceilingHeight)],
    ];
  }
  return selection.kind === 'room' && room ? [['ceiling', long(room.ceilingHeight)]] : [];
}

function lengthOf(face: WallFace, plan: Plan): string {
  const rough = face.provenance === 'rough';
  return roughly(rough, formatLength(face.length, plan.job.units, rough ? 'coarse' : 'fine'));
}

function thicknessOf(face: WallFace, plan: Plan): string {
  const sizes = new Set(face.halves.map((half) => formatSize(half.left + half.right, plan.job.units)));
  return sizes.size === 1 ? [...sizes][0]! : 'mixed';
}

function FieldChip({ name, value, on }: { name: Field; value: string; on: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${LABEL[name]}: ${value}`}
      accessibilityState={{ selected: on }}
      onPress={() => dispatch(planActions.fieldChosen(name))}
      style={[
        styles.chip,
        {
          borderColor: on ? colours.brassDeep : colours.linenDeep,
          backgroundColor: on ? colours.linenDeep : colours.chalk,
        },
      ]}
    >
      <Text style={[styles.small, { color: colours.inkSoft }]}>{LABEL[name]}</Text>
      <Text style={[styles.value, { color: colours.ink }]}>{value}</Text>
    </Pressable>
  );
}

/** What is being typed, what it would do, and which corner it would move. */
function Reading() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const pad = useAppSelector((state) => state.plan.pad);
  const typed = useAppSelector(selectTyped);
  const ghost = useAppSelector(selectGhost);
  const face = useAppSelector(selectFace);
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const kind = useAppSelector((state: RootState) => state.plan.selection.kind);
  if (!pad.field) return null;
  const reason = typed && !typed.ok ? typed.reason : (ghost?.reason ?? null);
  const readsAs = typed?.ok ? formatLength(typed.mm, units) : '';
  return (
    <View style={styles.reading}>
      <View style={styles.typed}>
        <Text
          testID="typed"
          style={[styles.typedText, { color: pad.text ? colours.ink : colours.inkSoft }]}
          numberOfLines={1}
        >
          {pad.text || LABEL[pad.field]}
        </Text>
        <Text
          style={[styles.small, { color: reason ? colours.clay : colours.inkSoft }]}
          numberOfLines={2}
          accessibilityLiveRegion="polite"
        >
          {reason ?? (readsAs && `= ${readsAs}`)}
        </Text>
      </View>
      {pad.field === 'length' && face && (
        <Button
          compact
          mode="outlined"
          icon="swap-horizontal"
          onPress={() => dispatch(planActions.endSwapped())}
          textColor={colours.ink}
          contentStyle={styles.tall}
          accessibilityLabel={`The ${pad.moves === 'to' ? 'right' : 'left'} corner moves. Swap.`}
        >
          {pad.moves === 'to' ? 'right corner moves' : 'left corner moves'}
        </Button>
      )}
      {(pad.field === 'thickness' || pad.field === 'ceiling') && (
        <ScopeChoice field={pad.field} room={kind === 'room' || pad.field === 'ceiling'} />
      )}
    </View>
  );
}

function ScopeChoice({ field, room }: { field: Field; room: boolean }) {
  const dispatch = useAppDispatch();
  const scope = useAppSelector((state) => state.plan.pad.scope);
  const face = useAppSelector(selectFace);
  const kind = face?.halves[0]?.wall.kind === 'internal' ? 'inner' : 'outer';
  const words =
    room && field === 'ceiling'
      ? { wall: 'This room', all: 'All rooms' }
      : { wall: 'This wall', all: `All ${kind} walls` };
  return (
    <View style={styles.scope}>
      {(['wall', 'all'] as const).map((value) => (
        <Button
          key={value}
          compact
          mode={scope === value ? 'contained' : 'outlined'}
          onPress={() => dispatch(planActions.scopeChosen(value))}
          contentStyle={styles.tall}
          accessibilityState={{ selected: scope === value }}
        >
          {words[value]}
        </Button>
      ))}
    </View>
  );
}

function WallActions() {
  const dispatch = useAppDispatch();
  const face = useAppSelector(selectFace);
  const colours = useColours();
  return (
    <>
      <Button
        mode="outlined"
        icon="door"
        textColor={colours.ink}
        contentStyle={styles.tall}
        onPress={() => dispatch(addOpening('door'))}
        accessibilityLabel="Add door"
      >
        Door
      </Button>
      <Button
        mode="outlined"
        icon="window-closed-variant"
        textColor={colours.ink}
        contentStyle={styles.tall}
        onPress={() => dispatch(addOpening('window'))}
        accessibilityLabel="Add window"
      >
        Window
      </Button>
      <IconButton
        icon="chevron-left"
        accessibilityLabel="Wall before"
        onPress={() => dispatch(stepWall(-1))}
        style={styles.icon}
      />
      <IconButton
        icon="chevron-right"
        accessibilityLabel="Next wall"
        onPress={() => dispatch(stepWall(1))}
        style={styles.icon}
      />
      {face?.reading && (
        <Button
          mode="text"
          icon="lock-open-variant-outline"
          textColor={colours.ink}
          contentStyle={styles.tall}
          onPress={() => dispatch(loosen)}
        >
          Loosen
        </Button>
      )}
      <IconButton
        icon="delete-outline"
        accessibilityLabel="Remove wall"
        onPress={() => dispatch(remove)}
        style={styles.icon}
      />
    </>
  );
}

function OpeningActions() {
  const dispatch = useAppDispatch();
  const on = useAppSelector(selectOpening);
  const colours = useColours();
  return (
    <>
      {on?.opening.kind === 'door' && (
        <>
          <Button
            mode="outlined"
            icon="flip-horizontal"
            textColor={colours.ink}
            contentStyle={styles.tall}
            onPress={() => dispatch(flip('hinge'))}
            accessibilityLabel="Flip hinge side"
          >
            Hinge
          </Button>
          <Button
            mode="outlined"
            icon="flip-vertical"
            textColor={colours.ink}
            contentStyle={styles.tall}
            onPress={() => dispatch(flip('swing'))}
            accessibilityLabel="Flip swing"
          >
            Swing
          </Button>
        </>
      )}
      <IconButton
        icon="delete-outline"
        accessibilityLabel={`Remove ${on?.opening.kind ?? 'opening'}`}
        onPress={() => dispatch(remove)}
        style={styles.icon}
      />
    </>
  );
}

const styles = StyleSheet.create({
  bar: { paddingHorizontal: 8, paddingVertical: 4, gap: 6, alignItems: 'center' },
  chip: {
    minHeight: TOUCH,
    paddingHorizontal: 12,
    paddingVertical: 4,
    borderRadius: 8,
    borderWidth: 2,
    justifyContent: 'center',
  },
  small: { fontSize: 12.5, lineHeight: 16 },
  value: { fontFamily: FONTS.strong, fontSize: 16, fontVariant: ['tabular-nums'] },
  reading: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 10, paddingTop: 6, gap: 8, minHeight: 54 },
  typed: { flex: 1 },
  typedText: { fontFamily: FONTS.strong, fontSize: 24, lineHeight: 28, fontVariant: ['tabular-nums'] },
  scope: { flexDirection: 'row', gap: 6 },
  tall: { minHeight: TOUCH },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
});
