import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Path, Use } from 'react-native-svg';
import { useAppSelector } from '../../store/store';
import { useColours } from '../../ui/theme';

/** Width of the glass and how much larger things are in it, px. */
const GLASS = 116;
const LARGER = 2;
/** How far above the finger it hovers, px; near the top of the sheet it goes beside. */
const ABOVE = 96;

/** What a working finger covers, larger, beside it. `drawing` is the id of the drawn sheet. */
export function Magnifier({ drawing }: { drawing: string }) {
  const finger = useAppSelector((state) => state.view.finger);
  const width = useAppSelector((state) => state.view.width);
  const colours = useColours();
  if (!finger) return null;
  const roomAbove = finger.y > ABOVE + GLASS / 2 + 6;
  const centre = roomAbove
    ? { x: finger.x, y: finger.y - ABOVE }
    : { x: finger.x > width / 2 ? finger.x - ABOVE : finger.x + ABOVE, y: finger.y };
  const left = Math.min(width - GLASS - 4, Math.max(4, centre.x - GLASS / 2));
  const half = GLASS / 2;
  return (
    <View
      testID="magnifier"
      pointerEvents="none"
      style={[
        styles.glass,
        { left, top: Math.max(4, centre.y - half), borderColor: colours.brass, backgroundColor: colours.sheet },
      ]}
    >
      <Svg width={GLASS} height={GLASS}>
        <G transform={`translate(${half - finger.x * LARGER} ${half - finger.y * LARGER}) scale(${LARGER})`}>
          <Use href={`#${drawing}`} />
        </G>
        <Circle cx={half} cy={half} r={3} fill="none" stroke={colours.clay} strokeWidth={1.5} />
        <Path
          d={`M ${half - 16} ${half} h 10 M ${half + 6} ${half} h 10 M ${half} ${half - 16} v 10 M ${half} ${half + 6} v 10`}
          stroke={colours.clay}
          strokeWidth={1.5}
        />
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({
  glass: {
    position: 'absolute',
    width: GLASS,
    height: GLASS,
    borderRadius: GLASS / 2,
    borderWidth: 3,
    overflow: 'hidden',
  },
});
