import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

/** A row at the foot; what has no room in it stands in the next. */
export const Bar = ({ children }: { children: ReactNode }) => <View style={styles.bar}>{children}</View>;

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6, paddingHorizontal: 8 },
});
