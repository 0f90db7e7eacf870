import { type Box, type Plan, deriveFloor } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg from 'react-native-svg';
import { G, Path } from '../../../ui/svg';
import { useColours } from '../../../ui/theme';
import { fitted } from '../fitted';

/** px */
const RIM = 30;

/** The walls of several floors over each other, each in a colour of its own, the lowest first. */
export function FloorsOver({
  plan,
  floors,
  box,
  height,
}: {
  plan: Plan;
  /** From the highest down. */
  floors: readonly string[];
  box: Box;
  height: number;
}) {
  const colours = useColours();
  const [width, setWidth] = useState(0);
  const inks = [colours.wall, colours.clay, colours.moss, colours.brassDeep, colours.inkSoft];
  const { transform } = fitted(box, width, height, RIM);
  const inOrder = [...floors].reverse().map((id, i) => ({ id, ink: inks[i % inks.length]! }));
  return (
    <View>
      <View
        style={{ height, backgroundColor: colours.sheet }}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      >
        {width > 0 && (
          <Svg width={width} height={height} accessibilityLabel="The floors over each other" role="img">
            <G transform={transform}>
              {inOrder.map(({ id, ink }) => (
                <Path
                  key={id}
                  testID={`over ${id}`}
                  d={pathData(
                    deriveFloor(plan, id).bodies.map(({ ring }) => ring),
                    true,
                  )}
                  fill={ink}
                  fillOpacity={0.45}
                />
              ))}
            </G>
          </Svg>
        )}
      </View>
      {[...inOrder].reverse().map(({ id, ink }) => (
        <View key={id} style={styles.line}>
          <View style={[styles.ink, { backgroundColor: ink }]} />
          <Text style={{ color: colours.ink, fontSize: 15 }}>{plan.floors[id]!.name}</Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 14, paddingVertical: 4 },
  ink: { width: 18, height: 18, borderRadius: 4, opacity: 0.6 },
});
