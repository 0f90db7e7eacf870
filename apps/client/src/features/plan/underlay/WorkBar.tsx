import { StyleSheet, View } from 'react-native';
import { ProgressBar, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { choosePage, dropPages } from './commands';
import type { UnderlayState } from './underlay-slice';
import { stopWork } from './work';

/** Over the sheet: what is being done to a picture, how far that has come, and a way to stop it; or the pages of a PDF to choose from. */
export function WorkBar() {
  const colours = useColours();
  const work = useAppSelector((state) => state.underlay.work);
  const pages = useAppSelector((state) => state.underlay.pages);
  if (work)
    return (
      <View
        testID="picture-work"
        style={[styles.bar, { backgroundColor: colours.chalk, borderColor: colours.brassDeep }]}
      >
        <View style={styles.row}>
          <Text
            style={[styles.what, { color: colours.ink }]}
          >{`${work.what} · ${Math.round(work.share * 100)} %`}</Text>
          <BarButton label="Stop" onPress={stopWork} />
        </View>
        <ProgressBar progress={work.share} color={colours.brassDeep} />
      </View>
    );
  return pages && <Pages {...pages} />;
}

function Pages({ name, pages }: NonNullable<UnderlayState['pages']>) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <View testID="pdf-pages" style={[styles.bar, { backgroundColor: colours.chalk, borderColor: colours.brassDeep }]}>
      <Text style={[styles.what, { color: colours.ink }]}>{`Which page of “${name}”?`}</Text>
      <View style={[styles.row, styles.wrap]}>
        {pages.map(({ number, ratio, width, height }) => (
          <BarButton
            key={number}
            label={`${number}${ratio === null ? '' : ` · 1:${ratio}`}`}
            says={`Page ${number}, ${Math.round(width)} × ${Math.round(height)} mm${ratio === null ? '' : `, 1:${ratio}`}`}
            onPress={() => void dispatch(choosePage(number))}
          />
        ))}
        <BarButton label="None" onPress={() => dispatch(dropPages)} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    position: 'absolute',
    left: 10,
    right: 10,
    top: 10,
    borderWidth: 2,
    borderRadius: 10,
    padding: 10,
    gap: 6,
    zIndex: 4,
  },
  row: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  wrap: { flexWrap: 'wrap' },
  what: { flex: 1, fontSize: 15, fontFamily: FONTS.strong },
});
