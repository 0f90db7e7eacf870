import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import type { MarksProposal, Sides } from './marks';

const { WANTED, distancesOf, dropProposal, forgetDistance, forgetMark, formatLength, keepMarks, markWords } = lent();
const { nudgeMark, placeWords, scaleWords, selectProposal, setMarks, sidesOf, slippedBy } = lent();
const { useAppDispatch, useAppSelector } = lent();

const useMarks = (): MarksProposal | null => {
  const proposal = useAppSelector(selectProposal);
  return proposal?.kind === 'marks' ? proposal : null;
};

/** What is to be marked next, and what the marks mean so far, before anything of it holds. */
export function MarksWords() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const marks = useMarks();
  const plan = useAppSelector((state) => state.plan.plan);
  const underlay = marks && plan?.underlays[marks.underlay];
  if (!marks || !plan || !underlay) return null;
  const { units } = plan.job;
  const scale = marks.task === 'scale' ? scaleWords(marks, underlay, units) : null;
  const place = marks.task === 'place' ? placeWords(marks, underlay, units) : null;
  return (
    <View style={styles.words} accessibilityLiveRegion="polite">
      <Text testID="marks-next" style={[styles.next, { color: colours.ink }]}>
        {markWords(marks)}
      </Text>
      {scale && (
        <Text testID="marks-mean" style={{ color: colours.ink }}>
          {[scale.means, scale.agree].filter(Boolean).join(' ')}
        </Text>
      )}
      {scale?.stretch && (
        <View style={styles.row}>
          <Text style={[styles.fill, { color: colours.clay }]}>{scale.stretch}</Text>
          <BarButton label="Scale both ways" onPress={() => dispatch(setMarks({ stretched: true }))} />
        </View>
      )}
      {marks.asked && scale?.likely && (
        <View style={styles.row} role="alert">
          <Text
            style={[styles.fill, styles.ask, { color: colours.ink }]}
          >{`${scale.width} wide? Or ${scale.likely.width}?`}</Text>
          <BarButton label={scale.width} says={`Yes, ${scale.width} wide`} onPress={() => dispatch(keepMarks)} />
          <BarButton
            strong
            label={scale.likely.width}
            says={`No, ${scale.likely.width} wide`}
            onPress={() => dispatch(slippedBy(scale.likely!.by))}
          />
        </View>
      )}
      {place && <Text style={{ color: colours.ink }}>{place}</Text>}
      {marks.task === 'flatten' && marks.marks.length === WANTED.flatten && <SidesChoice marks={marks} />}
    </View>
  );
}

const SIDES: readonly (readonly [Sides, string])[] = [
  ['A4 lying', 'A4 lying'],
  ['A4 upright', 'A4 upright'],
  ['A3 lying', 'A3 lying'],
  ['A3 upright', 'A3 upright'],
  ['typed', 'Type sides'],
];

function SidesChoice({ marks }: { marks: MarksProposal }) {
  const dispatch = useAppDispatch();
  return (
    <View style={styles.row}>
      {SIDES.map(([sides, label]) => (
        <BarButton
          key={sides}
          label={label}
          chosen={marks.sides === sides}
          onPress={() => dispatch(setMarks({ sides }))}
        />
      ))}
    </View>
  );
}

const NUDGES = [
  ['arrow-left', 'Nudge the mark to the left', -1, 0],
  ['arrow-up', 'Nudge the mark up', 0, -1],
  ['arrow-down', 'Nudge the mark down', 0, 1],
  ['arrow-right', 'Nudge the mark to the right', 1, 0],
] as const;

/** What else can be done while marks are set. */
export function MarksActions() {
  const dispatch = useAppDispatch();
  const marks = useMarks();
  if (!marks) return null;
  return (
    <>
      {marks.marks.length > 0 &&
        NUDGES.map(([icon, says, dx, dy]) => (
          <BarIcon key={icon} icon={icon} says={says} onPress={() => dispatch(nudgeMark(dx, dy))} />
        ))}
      {marks.marks.length > 0 ? (
        <BarButton icon="undo-variant" label="Back" says="Back one mark" onPress={() => dispatch(forgetMark)} />
      ) : (
        marks.distances.length > 0 && (
          <BarButton icon="undo-variant" label="Forget the last" onPress={() => dispatch(forgetDistance)} />
        )
      )}
      {marks.task === 'scale' && marks.distances.length > 1 && (
        <BarButton
          label="Both ways"
          says="Scale both ways apart"
          chosen={marks.stretched}
          onPress={() => dispatch(setMarks({ stretched: !marks.stretched }))}
        />
      )}
      <BarIcon icon="close" says="Drop it" onPress={() => dispatch(dropProposal)} />
    </>
  );
}

/** Keeps what was marked, once there is enough of it. */
export function MarksEnd() {
  const dispatch = useAppDispatch();
  const marks = useMarks();
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  if (!marks) return null;
  const enough =
    marks.task === 'scale'
      ? distancesOf(marks).length > 0
      : marks.marks.length === WANTED[marks.task] && (marks.task !== 'flatten' || sidesOf(marks) !== null);
  if (!enough || marks.asked) return null;
  const sides = marks.task === 'flatten' && marks.sides === 'typed' ? sidesOf(marks) : null;
  const label = sides
    ? `Flatten ${formatLength(sides.width, units)} × ${formatLength(sides.height, units)}`
    : marks.task === 'flatten'
      ? 'Flatten'
      : 'Keep';
  return <BarButton strong icon="check" label={label} onPress={() => dispatch(keepMarks)} />;
}

const styles = StyleSheet.create({
  words: { paddingHorizontal: 12, paddingTop: 8, gap: 2 },
  next: { fontSize: 16, fontFamily: FONTS.strong },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center', paddingVertical: 2 },
  fill: { flex: 1, minWidth: 150 },
  ask: { fontSize: 17, fontFamily: FONTS.strong },
});
