import { StyleSheet, View } from 'react-native';
import { useAppDispatch } from '../../store/store';
import { BarIcon } from '../../ui/BarButton';
import { useColours } from '../../ui/theme';
import { viewActions } from './view-slice';

/** Larger and smaller, at the side of a wide sheet; on a phone two fingers do it. */
export function ZoomButtons() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <View style={[styles.column, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      <BarIcon icon="plus" says="Zoom in (+)" onPress={() => dispatch(viewActions.zoomed({ factor: 1.25 }))} />
      <BarIcon icon="minus" says="Zoom out (−)" onPress={() => dispatch(viewActions.zoomed({ factor: 1 / 1.25 }))} />
    </View>
  );
}

const styles = StyleSheet.create({
  column: { position: 'absolute', top: 10, right: 10, borderRadius: 10, borderWidth: 1 },
});
