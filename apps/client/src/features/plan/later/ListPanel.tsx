import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarIcon } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from './lent';

const { planActions, useAppDispatch } = lent();

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
    <View testID={testID} accessibilityLabel={title} style={styles.panel}>
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
export const ListBar = ({ children }: { children: ReactNode }) => <View style={styles.bar}>{children}</View>;

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, paddingHorizontal: 10, paddingBottom: 8 },
  panel: { flex: 1, minHeight: 0 },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 14 },
  title: { flex: 1, fontFamily: FONTS.serif, fontSize: 20 },
});
