import type { Underlay } from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { changeChosen, formatLength, perPixelAt, showUnderlay, underlayActions } = lent();
const { useAppDispatch, useAppSelector } = lent();

const RATIOS = [20, 25, 50, 75, 100, 200] as const;
const DPIS = [96, 150, 200, 300, 600] as const;

/** The scale of a drawing on paper: 1 to something, and how fine the paper was scanned where that is not known. What it means is said before it is taken. */
export function PrintedScale({ underlay }: { underlay: Underlay }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const stated = useAppSelector((state) =>
    state.underlay.stated?.underlay === underlay.id ? state.underlay.stated.ratio : null,
  );
  const [ratio, setRatio] = useState<number | null>(stated);
  const [dpi, setDpi] = useState<number | null>(null);
  const perPixel = underlay.paper ?? (dpi === null ? null : perPixelAt(dpi));
  const width = ratio !== null && perPixel !== null ? ratio * perPixel * underlay.width : null;
  const ratios = stated !== null && !RATIOS.some((each) => each === stated) ? [stated, ...RATIOS] : RATIOS;
  const use = () => {
    if (ratio === null || perPixel === null) return;
    dispatch(changeChosen({ calibration: { kind: 'printed', perPixel, ratio } }));
    dispatch(underlayActions.scaleStated(null));
    dispatch(underlayActions.panelShown(null));
    dispatch(showUnderlay);
  };
  return (
    <View style={styles.panel}>
      <Text style={{ color: colours.ink }}>
        {stated !== null ? `1:${stated} is written on it.` : 'The scale that is printed on it:'}
      </Text>
      <View style={styles.row}>
        {ratios.map((each) => (
          <BarButton key={each} label={`1:${each}`} chosen={ratio === each} onPress={() => setRatio(each)} />
        ))}
      </View>
      {underlay.paper === null && (
        <>
          <Text style={{ color: colours.ink }}>Scanned at dots to the inch:</Text>
          <View style={styles.row}>
            {DPIS.map((each) => (
              <BarButton
                key={each}
                label={`${each}`}
                says={`${each} dots to the inch`}
                chosen={dpi === each}
                onPress={() => setDpi(each)}
              />
            ))}
          </View>
        </>
      )}
      {width !== null && (
        <View style={styles.row}>
          <Text
            testID="printed-means"
            style={[styles.means, { color: colours.ink }]}
          >{`This makes the picture ${formatLength(width, units, 'coarse')} wide.`}</Text>
          <BarButton strong icon="check" label="Use it" says="Use this scale" onPress={use} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { paddingHorizontal: 14, paddingBottom: 6, gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'center' },
  means: { flex: 1, minWidth: 150, fontSize: 15, fontVariant: ['tabular-nums'] },
});
