import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { G } from 'react-native-svg';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { MarkView, drawSection, selectFloor, useAppSelector } = lent();

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

const styles = StyleSheet.create({
  section: { borderTopWidth: 2, height: HIGH },
  none: { padding: 14, fontSize: 15 },
});
