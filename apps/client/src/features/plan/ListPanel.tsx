import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAppDispatch } from '../../store/store';
import { BarIcon } from '../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { planActions } from './plan-slice';

interface Props {
  title: string;
  testID: string;
  /** The files it can be taken away as. */
  downloads: readonly { icon: string; says: string; now(): void }[];
  children: ReactNode;
}

/** A list over the sheet: readings, doors and windows. */
export function ListPanel({ title, testID, downloads, children }: Props) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <View
      testID={testID}
      accessibilityLabel={title}
      style={[styles.panel, { backgroundColor: colours.chalk, borderColor: colours.brassDeep }]}
    >
      <View style={styles.head}>
        <Text style={[styles.title, { color: colours.ink }]}>{title}</Text>
        {downloads.map(({ icon, says, now }) => (
          <BarIcon key={says} icon={icon} says={says} onPress={now} />
        ))}
        <BarIcon
          icon="close"
          says={`Close ${title.toLowerCase()}`}
          onPress={() => dispatch(planActions.listed(null))}
        />
      </View>
      {children}
    </View>
  );
}

/** What is shown of a list, and in which order: a row of buttons over it. */
export const ListBar = ({ children }: { children: ReactNode }) => (
  <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.bar} style={styles.bars}>
    {children}
  </ScrollView>
);

const styles = StyleSheet.create({
  bars: { flexGrow: 0, flexShrink: 0, minHeight: TOUCH + 12 },
  bar: { gap: 6, paddingHorizontal: 10, paddingBottom: 8 },
  panel: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    right: 0,
    width: '100%',
    maxWidth: 420,
    borderLeftWidth: 2,
    zIndex: 3,
  },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 14 },
  title: { flex: 1, fontFamily: FONTS.serif, fontSize: 20 },
});
