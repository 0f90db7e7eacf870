import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { TOUCH, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { makeSheets, stopMaking } from './make-sheets';
import type { Making } from './steps';
import { printSheets } from './print-sheets';
import { Spinner } from '../../../ui/Spinner';

const { useAppDispatch } = lent();

const DPI = [150, 300] as const;

/** The ways sheets leave: as what, how finely, how far that has come, and the way to stop it. */
export function Leave({ ids, what }: { ids: readonly string[]; what: string }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const [making, setMaking] = useState<Making | null>(null);
  const [dpi, setDpi] = useState<(typeof DPI)[number]>(300);
  if (making)
    return (
      <View style={styles.making} accessibilityLiveRegion="polite">
        <Spinner />
        <Text
          style={[styles.grow, { color: colours.ink }]}
        >{`Page ${Math.min(making.done + 1, making.of)} of ${making.of}`}</Text>
        <BarButton icon="stop" label="Stop" onPress={stopMaking} />
      </View>
    );
  const as = (format: 'pdf' | 'svg' | 'png' | 'jpeg') => dispatch(makeSheets(ids, format, dpi, setMaking));
  return (
    <ListBar>
      <BarButton strong icon="download" label="PDF" says={`${what} as PDF`} onPress={() => as('pdf')} />
      <BarButton label="SVG" says={`${what} as SVG`} onPress={() => as('svg')} />
      <BarButton label="PNG" says={`${what} as PNG, ${dpi} dots to the inch`} onPress={() => as('png')} />
      <BarButton label="JPEG" says={`${what} as JPEG, ${dpi} dots to the inch`} onPress={() => as('jpeg')} />
      <BarButton
        icon="printer-outline"
        label="Print"
        says={`Print ${what.charAt(0).toLowerCase()}${what.slice(1)}`}
        onPress={() => dispatch(printSheets(ids))}
      />
      <BarButton
        label={`${dpi} dpi`}
        says={`Pictures have ${dpi} dots to the inch. Change.`}
        onPress={() => setDpi(DPI[(DPI.indexOf(dpi) + 1) % DPI.length]!)}
      />
    </ListBar>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
  making: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 14,
    paddingBottom: 8,
    minHeight: TOUCH,
  },
});
