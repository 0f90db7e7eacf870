import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { FONTS, TOUCH } from '../../../../ui/theme';

/** A row at the foot; what has no room in it stands in the next. */
export const Bar = ({ children }: { children: ReactNode }) => <View style={styles.bar}>{children}</View>;

/** A figure that is typed in such a row, and what has the rest of it. */
export const TYPED = { width: 118, height: TOUCH - 4, fontFamily: FONTS.sans } as const;
export const TYPED_WIDE = { ...TYPED, width: 'auto', flex: 1, minWidth: 150 } as const;

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6, paddingHorizontal: 8 },
});
