import {
  type DerivedFloor,
  type DerivedRoom,
  type WallFace,
  MM_PER_INCH,
  formatLength,
  isRead,
} from '@velvet-tape/core';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { type RootState, useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { rem } from '../../../ui/rem';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { selectGhost } from '../chosen/kinds';
import { changeEntryUnit, enter, swapEnds } from '../commands';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { nextAlong } from '../openings/reading-along';
import {
  COUNTED,
  DEGREES,
  selectEntry,
  selectFace,
  selectFloor,
  selectGapSpot,
  selectMoves,
  selectOpening,
  selectProposed,
  selectRoom,
  selectTyped,
} from '../selectors';
import { MeterButton } from '../readings/MeterButton';
import { likelierThanTyped } from '../readings/unlikely';
import { WalkTurns } from '../walk/WalkTurns';

import { HowRead } from './HowRead';
import { ProposalActions, ProposalEnd } from '../sketching/parts';
import type { FieldShown } from './fields';
import { useFields } from './use-fields';

/** A label of more letters than this is set smaller. */
const LONG_LABEL = 14;

/** Fields whose figures are readings. */
const READ: readonly Field[] = [
  'length',
  'thickness',
  'ceiling',
  'sagitta',
  'radius',
  'arc',
  'reading',
  'leg',
  'bow',
  'gap',
  'foot',
  'top',
  'eaves',
  'ridge',
];

/** What is typed of these is read, and how is to be chosen. */
const READS: readonly string[] = ['room', 'slope'];

/** What can be typed about what is drawn or chosen: what is being typed, each field with its value, and how what is drawn goes on. */
export function FieldBar() {
  const fields = useFields();
  const drawn = useAppSelector((state) => state.plan.proposal !== null);
  const field = useAppSelector((state) => state.plan.pad.field);
  const walking = useAppSelector((state) => state.plan.proposal?.kind === 'walk');
  // of a wall that is said where it is made
  const read = useAppSelector((state) => state.plan.proposal !== null || READS.includes(state.plan.selection.kind));
  if (fields.length === 0 && !drawn) return null;
  return (
    <View>
      <Typed label={fields.find((shown) => shown.name === field)?.label ?? ''} />
      <View style={styles.bar}>
        {walking && <WalkTurns />}
        {fields.map((shown) => (
          <FieldChip key={shown.name} {...shown} on={shown.name === field} />
        ))}
        {read && field && READ.includes(field) && <HowRead />}
        {!field && <ProposalEnd />}
        {drawn && <ProposalActions />}
      </View>
    </View>
  );
}

const FieldChip = memo(function FieldChip({ name, label, value, on }: FieldShown & { on: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${label}: ${value}`}
      aria-pressed={on}
      // by Tab one comes from figure to figure
      onFocus={() => !on && dispatch(planActions.fieldChosen(name))}
      onPress={() => dispatch(planActions.fieldChosen(name))}
      style={[
        styles.chip,
        {
          borderColor: on ? colours.brassDeep : colours.rim,
          backgroundColor: on ? colours.linenDeep : colours.chalk,
        },
      ]}
    >
      <Text style={[styles.small, { color: colours.inkSoft }]} numberOfLines={1}>
        {label}
      </Text>
      <Text
        style={[
          styles.value,
          value.length > 6 && styles.long,
          value.length > 7 && styles.longer,
          { color: colours.ink },
        ]}
        numberOfLines={1}
      >
        {value}
      </Text>
    </Pressable>
  );
});

/** What is being typed, what it would do, and which corner it would move. */
function Typed({ label }: { label: string }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const pad = useAppSelector((state) => state.plan.pad);
  const typed = useAppSelector(selectTyped);
  const ghost = useAppSelector(selectGhost);
  const proposed = useAppSelector(selectProposed);
  const face = useAppSelector(selectFace);
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const kind = useAppSelector((state: RootState) => state.plan.selection.kind);
  const proposal = useAppSelector((state) => state.plan.proposal);
  const room = useAppSelector(selectRoom);
  const floor = useAppSelector(selectFloor);
  const likely = useAppSelector(likelierThanTyped);
  const spot = useAppSelector(selectGapSpot);
  const moves = useAppSelector(selectMoves);
  const refused = proposed?.reason ?? ghost?.reason ?? null;
  const reason = typed && !typed.ok ? typed.reason : refused;
  if (!pad.field) {
    return reason ? (
      <Text style={[styles.alone, { color: colours.clay }]} accessibilityLiveRegion="polite">
        {reason}
      </Text>
    ) : null;
  }
  const angle =
    pad.field === 'turn' ||
    DEGREES.includes(pad.field) ||
    (proposal?.kind === 'reading' && proposal.place?.kind === 'angle');
  const plain = angle || pad.field === 'angle' ? '°' : pad.field === 'glazing' ? ' %' : null;
  const counted = COUNTED.includes(pad.field);
  const readsAs =
    typed?.ok && !counted ? (plain === null ? formatLength(typed.value, units) : `${typed.value}${plain}`) : '';
  const taped =
    pad.field === 'gap' && spot
      ? `${spot.at + 1} of ${spot.of}`
      : pad.field === 'length'
        ? [room && floor && tapedWords(room, floor), face && floor && sureWords(face, floor)]
            .filter(Boolean)
            .join(' · ')
        : '';
  if (pad.asked && likely.length > 0 && typed?.ok) return <Unlikely typed={typed.value} likely={likely} />;
  return (
    <View style={styles.reading}>
      <View style={styles.typed}>
        <Text
          testID="typed"
          style={[
            styles.typedText,
            !pad.text && label.length > LONG_LABEL && styles.longLabel,
            { color: pad.text ? colours.ink : colours.inkSoft },
          ]}
          numberOfLines={pad.text ? 1 : 2}
        >
          {pad.text || label}
        </Text>
        <Text
          style={[styles.small, { color: reason ? colours.clay : colours.inkSoft }]}
          numberOfLines={2}
          accessibilityLiveRegion="polite"
        >
          {reason ?? (readsAs ? `= ${readsAs}` : taped)}
        </Text>
      </View>
      <EntryKey />
      {(pad.field === 'length' || pad.field === 'gap') && face && <MeterButton />}
      {pad.field === 'gap' && <AlongSteps />}
      {kind === 'opening' && <TypeScope field={pad.field} />}
      {pad.field === 'length' && face && face.halves[0]!.wall.kind !== 'chalk' && (
        <BarButton
          icon="swap-horizontal"
          onPress={() => dispatch(swapEnds)}
          says={`The ${moves === 'to' ? 'right' : 'left'} corner moves. Swap.`}
          label={moves === 'to' ? 'right' : 'left'}
        />
      )}
      {(pad.field === 'thickness' || pad.field === 'ceiling') && (
        <ScopeChoice field={pad.field} room={kind === 'room' || pad.field === 'ceiling'} />
      )}
      <ProposalEnd />
      {(pad.field === 'reading' || (pad.field === 'leg' && proposal?.kind === 'walk')) && <MeterButton />}
    </View>
  );
}

/** What a number without a unit is read in, before one is typed; a tap takes the next. */
const EntryKey = memo(function EntryKey() {
  const dispatch = useAppDispatch();
  const entry = useAppSelector(selectEntry);
  if (!entry) return null;
  return (
    <BarButton
      label={entry}
      says={`Numbers without a unit are ${UNIT_WORDS[entry]}. Change.`}
      onPress={() => dispatch(changeEntryUnit)}
    />
  );
});

const UNIT_WORDS = { m: 'metres', cm: 'centimetres', mm: 'millimetres', ft: 'feet', in: 'inches' } as const;

/** Fields whose figure is that of the type, or of one opening alone. */
const OF_TYPE: readonly Field[] = ['width', 'height', 'sill', 'head'];

/** Where several are of one type: is this one meant, or all of them? */
const TypeScope = memo(function TypeScope({ field }: { field: Field }) {
  const alike = useAppSelector((state) => {
    const type = selectOpening(state)?.opening.type;
    return Object.values(state.plan.plan?.openings ?? {}).filter((each) => each.type === type).length;
  });
  if (alike < 2 || !OF_TYPE.includes(field)) return null;
  return (
    <View style={styles.scope}>
      <ScopeButtons one="This one" all={`All ${alike}`} />
    </View>
  );
});

/** Is what is typed meant for the one that is chosen, or for all like it? */
function ScopeButtons({ one, all }: { one: string; all: string }) {
  const dispatch = useAppDispatch();
  const scope = useAppSelector((state) => state.plan.pad.scope);
  return (
    <>
      {(
        [
          ['wall', one],
          ['all', all],
        ] as const
      ).map(([value, label]) => (
        <BarButton
          key={value}
          label={label}
          chosen={scope === value}
          onPress={() => dispatch(planActions.scopeChosen(value))}
        />
      ))}
    </>
  );
}

/** While a wall is read along: how far that has come, one mark left out, or enough of it. */
function AlongSteps() {
  const dispatch = useAppDispatch();
  const spot = useAppSelector(selectGapSpot);
  if (!spot) return null;
  return (
    <View style={styles.scope}>
      <BarButton label="Leave out" says="Leave this one out" onPress={() => dispatch(nextAlong)} />
      <BarButton label="Enough" says="Stop reading along" onPress={() => dispatch(planActions.readAlong(null))} />
    </View>
  );
}

/** “2 of 4 taped” */
const tapedWords = ({ faces }: DerivedRoom, floor: DerivedFloor): string =>
  `${faces.filter((face) => isRead(floor, face)).length} of ${faces.length} taped`;

/** How well the length of a wall is known: “± 4 mm”; nothing while it is rough. */
function sureWords({ from, to, bulge, provenance }: WallFace, { survey, plan }: DerivedFloor): string {
  if (provenance === 'rough') return '';
  const deviation = survey.faceDeviation({ bulge, from, to });
  if (deviation === null) return '';
  return plan.job.units === 'metric'
    ? `± ${Math.max(1, Math.round(deviation))} mm`
    : `± ${formatLength(Math.max(MM_PER_INCH / 16, deviation), 'imperial')}`;
}

/** Lengths under this are written in mm. */
const SMALLEST = 10;

/** A size that nothing like it has: is it meant, or a likely one? */
function Unlikely({ typed, likely }: { typed: number; likely: readonly number[] }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  // as it was typed where the usual way of writing would round it to nothing
  const as = typed < SMALLEST ? `${Math.round(typed * 100) / 100} mm` : formatLength(typed, units);
  const others = likely.map((mm) => ({ mm, words: formatLength(mm, units) }));
  return (
    <View style={styles.reading} role="alert">
      <Text style={[styles.ask, { color: colours.ink }]}>
        {`${as}? ${others.map(({ words }) => `Or ${words}?`).join(' ')}`}
      </Text>
      <BarButton label={as} says={`Yes, ${as}`} onPress={() => dispatch(enter)} />
      {others.map(({ mm, words }, i) => (
        <BarButton
          key={words}
          strong={i === 0}
          label={words}
          says={`No, ${words}`}
          onPress={() => {
            dispatch(planActions.typed(units === 'metric' ? `${mm / 1000} m` : `${mm / MM_PER_INCH} in`));
            dispatch(enter);
          }}
        />
      ))}
    </View>
  );
}

const KIND_WORDS = { external: 'outer', internal: 'inner', party: 'party', chalk: '' } as const;
const GROWTH = { outwards: 'grows outwards', inwards: 'grows inwards', both: 'grows both ways' } as const;
const NEXT_GROWTH = { outwards: 'inwards', inwards: 'both', both: 'outwards' } as const;

const ScopeChoice = memo(function ScopeChoice({ field, room }: { field: Field; room: boolean }) {
  const dispatch = useAppDispatch();
  const grow = useAppSelector((state) => state.plan.pad.grow);
  const face = useAppSelector(selectFace);
  const kind = KIND_WORDS[face?.halves[0]?.wall.kind ?? 'external'];
  const [one, all] = room && field === 'ceiling' ? ['This room', 'All rooms'] : ['This wall', `All ${kind} walls`];
  return (
    <View style={styles.scope}>
      <ScopeButtons one={one!} all={all!} />
      {field === 'thickness' && (
        <BarButton
          label={grow === 'outwards' ? '→|' : grow === 'inwards' ? '|←' : '|↔|'}
          says={`It ${GROWTH[grow]}. Change.`}
          onPress={() => dispatch(planActions.growthChosen(NEXT_GROWTH[grow]))}
        />
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    paddingHorizontal: 8,
    paddingVertical: 4,
    gap: 6,
    alignItems: 'center',
  },
  chip: {
    minHeight: TOUCH,
    flexGrow: 1,
    flexBasis: '20%',
    minWidth: rem(76),
    maxWidth: '48%',
    paddingHorizontal: 6,
    paddingVertical: 2,
    borderRadius: 8,
    borderWidth: 1.5,
    justifyContent: 'center',
  },
  small: { fontSize: 12.5, lineHeight: 16 },
  value: { fontFamily: FONTS.strong, fontSize: 16, fontVariant: ['tabular-nums'] },
  reading: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    paddingHorizontal: 10,
    paddingTop: 6,
    gap: 8,
    minHeight: 54,
  },
  long: { fontSize: 14 },
  longer: { fontSize: 12.5 },
  ask: { flex: 1, fontSize: 17, fontFamily: FONTS.strong },
  alone: { paddingHorizontal: 12, paddingTop: 8, fontSize: 14 },
  typed: { flex: 1, minWidth: rem(92) },
  typedText: { fontFamily: FONTS.strong, fontSize: 24, lineHeight: 28, fontVariant: ['tabular-nums'] },
  longLabel: { fontSize: 15, lineHeight: 18 },
  scope: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
