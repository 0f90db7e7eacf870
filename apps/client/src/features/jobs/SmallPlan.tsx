import type { Thumbnail } from '@velvet-tape/contract/list';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { Path, Window } from '../../ui/svg';
import { useColours } from '../../ui/theme';

/** px */
const WIDTH = 92;
const HEIGHT = 68;

/** A plan the size of a thumb; an empty sheet where nothing was drawn yet. */
export const SmallPlan = memo(function SmallPlan({ picture }: { picture: Thumbnail | null }) {
  const colours = useColours();
  return (
    <View style={[styles.sheet, { backgroundColor: colours.sheet }]} aria-hidden>
      {!picture && <Icon source="pencil-outline" size={22} color={colours.linenDeep} />}
      {picture && (
        <Window width={WIDTH - 8} height={HEIGHT - 8} viewBox={`-2 -2 ${picture.width + 4} ${picture.height + 4}`}>
          <Path d={picture.floors} fill={colours.floor} fillRule="evenodd" />
          <Path d={picture.walls} fill={colours.wall} stroke={colours.wall} strokeWidth={1.5} />
          <Path d={picture.gaps} fill={colours.floor} />
        </Window>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  sheet: { width: WIDTH, height: HEIGHT, borderRadius: 6, alignItems: 'center', justifyContent: 'center' },
});
