import type { DerivedFloor, Point } from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { G } from 'react-native-svg';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { DropMenu, MarkView, drawSection, edit, filesWorker, planActions, selectFloor, sheetsInOrder, useAppDispatch } =
  lent();
const { useAppSelector } = lent();

/** px */
const HIGH = 230;
const MARGIN = 16;
const LETTERING = 12;

/** The rooms cut along the line that was drawn, with their heights. */
export default function SectionView() {
  const colours = useColours();
  const floor = useAppSelector(selectFloor);
  const proposal = useAppSelector((state) => state.plan.proposal);
  const [width, setWidth] = useState(380);
  if (!floor || proposal?.kind !== 'section') return null;
  const { units } = floor.plan.job;
  const room = { width: width - 2 * MARGIN, height: HIGH - 2 * MARGIN };
  const drawn = drawSection(floor, proposal.a, proposal.b, { units, room, lettering: LETTERING });
  if (!drawn)
    return (
      <Text style={[styles.none, { color: colours.inkSoft }]}>No room is cut there. Draw the line through a room.</Text>
    );
  const { marks, scale, at } = drawn;
  return (
    <View
      testID="section"
      accessibilityLabel="Section along the line"
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={[styles.section, { backgroundColor: colours.linen, borderColor: colours.brassDeep }]}
    >
      <View style={styles.to}>
        <ToSheet floor={floor} a={proposal.a} b={proposal.b} />
      </View>
      <Svg width={width} height={HIGH}>
        <G transform={`matrix(${scale} 0 0 ${scale} ${MARGIN + at.x} ${MARGIN + at.y})`}>
          {marks.map((mark) => (
            <MarkView key={mark.key} mark={mark} colours={colours} lettering={LETTERING / scale} />
          ))}
        </G>
      </Svg>
    </View>
  );
}

/** The section onto a sheet, to scale: a new one, or one that is there. */
function ToSheet({ floor: { floor, name, plan: own }, a, b }: { floor: DerivedFloor; a: Point; b: Point }) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const put = (on: string | null) => {
    const paper = own.job.units === 'metric' ? 'A4' : 'Letter';
    const made = on
      ? null
      : dispatch(edit({ kind: 'addSheets', sheets: [{ name: `Section, ${name}`, paper, across: true, frames: [] }] }));
    const sheet = on ?? (made?.ok ? made.made : null);
    if (!sheet) return;
    const shows = { kind: 'section' as const, floor, a, b };
    filesWorker()
      .then((files) => files.part(made?.ok ? made.plan : plan, sheet, { shows, look: 'bare' }))
      .then((frame) => {
        if (dispatch(edit({ kind: 'addFrame', sheet, frame })).ok)
          dispatch(planActions.said({ text: 'The section is on the sheet, to scale.', tone: 'said' }));
      })
      .catch(() =>
        dispatch(planActions.said({ text: 'The section could not be put on the sheet. Try again.', tone: 'refused' })),
      );
  };
  return (
    <DropMenu
      icon="file-image-outline"
      label="To a sheet"
      says="To a sheet"
      entries={[
        { title: 'A new sheet', icon: 'plus', onPress: () => put(null) },
        ...sheetsInOrder(plan).map(({ id, name: called }) => ({ title: called, onPress: () => put(id) })),
      ]}
    />
  );
}

const styles = StyleSheet.create({
  to: { position: 'absolute', right: 8, top: 6, zIndex: 1 },
  section: { borderTopWidth: 2, height: HIGH },
  none: { padding: 14, fontSize: 15 },
});
